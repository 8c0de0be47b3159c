// Magnifier: its settings.
import { choice, colour, coming, countsIf, described, following, going, number, percent, text, type SettingsOf } from '../parameters'

/** How many times as large it shows things, from the least to the most. */
export const zoomRange = { least: 1.2, greatest: 8 } as const

const zoom = (title: string, from: number, help: string) =>
  number({ title, help, section: 'Touch and access', from, unit: '', ...zoomRange, step: 0.1, row: 'more' })

const parameters = {
  zoom: number({
    title: 'So many times as large',
    from: 2.5,
    unit: '',
    ...zoomRange,
    step: 0.1,
    knob: { id: 'zoom', note: 'how many times as large it shows things' },
  }),
  sizePx: number({
    title: 'Its size',
    from: 190,
    inSample: 0.21,
    unit: 'px',
    least: 24,
    greatest: 1200,
    step: 2,
    handle: { on: 'diameter' },
    knob: { id: 'size', note: 'how tall the lens is' },
  }),
  shape: choice({
    title: 'The lens is',
    help: 'the outline of the lens',
    from: 'circle',
    options: { circle: 'a round lens', box: 'a box', strip: 'a reading strip' },
  }),
  widePercent: percent({
    title: 'Its width is',
    from: 100,
    least: 30,
    greatest: 600,
    step: 5,
    percentOf: { words: 'its height' },
    row: 'more',
    knob: { id: 'wide', note: 'its width as a share of its height', per: 100 },
  }),
  cornersPx: number({
    title: 'Its corners',
    from: 12,
    inSample: 0.4,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 1,
    row: 'more',
    knob: { id: 'corners', note: 'how round its corners are' },
  }),
  rimPx: number({
    title: 'Its rim',
    from: 5,
    inSample: 0.5,
    unit: 'px',
    least: 0,
    greatest: 60,
    step: 0.5,
    knob: { id: 'rim', note: 'how wide the rim is' },
  }),
  rimColour: colour({ title: 'The colour of its rim', from: '#e9e2d0', token: { id: 'rim-colour', note: 'the colour of the rim' } }),
  highlightPercent: percent({
    title: 'The light on the glass',
    section: 'Light',
    from: 30,
    row: 'more',
    knob: { id: 'highlight', note: 'how bright the light on the glass is', per: 100 },
  }),
  shadowPx: number({
    title: 'Its shadow',
    section: 'Light',
    from: 18,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 120,
    step: 1,
    row: 'more',
    knob: { id: 'shadow', note: 'how far its shadow reaches' },
  }),
  /** The attribute of pictures that names a sharper file of each. */
  sharper: text({
    title: 'The attribute with a sharper file',
    help: 'where a picture names a file with more detail, such as data-large',
    from: '',
    hint: 'an attribute of the picture, such as data-large',
    faultOf: (name) => (/^([a-z][a-z0-9-]{0,39})?$/.test(name) ? undefined : 'is not the name of an attribute, such as data-large'),
    row: 'more',
  }),
  zooms: choice({
    title: 'Ctrl and the wheel, or two fingers',
    help: 'whether visitors change how large it shows things',
    section: 'Touch and access',
    from: 'zoom',
    options: { zoom: 'change how large', page: 'are left to the page' },
    row: 'more',
  }),
  ...countsIf(({ zooms }) => zooms === 'zoom', {
    leastZoom: zoom('At the least', zoomRange.least, 'visitors cannot make things smaller than this in it'),
    mostZoom: zoom('At the most', zoomRange.greatest, 'visitors cannot make things larger than this in it'),
  }),
  finger: choice({
    title: 'A finger on it',
    help: 'what a finger on it does',
    section: 'Touch and access',
    from: 'drag',
    options: { drag: 'moves the lens, beside it', scroll: 'scrolls the page' },
    row: 'more',
  }),
  besidePx: number({
    title: 'Away from the finger',
    section: 'Touch and access',
    from: 28,
    unit: 'px',
    least: 0,
    greatest: 200,
    step: 2,
    row: 'more',
    knob: { id: 'beside', note: 'how far the lens is from a finger' },
  }),
  keyboard: choice({
    title: 'By keyboard',
    help: 'whether it can be used without a pointer',
    section: 'Touch and access',
    from: 'reached',
    options: { reached: 'it is reached, and moved by arrow keys', no: 'it is left out' },
    row: 'more',
  }),
  /** What it is called where it has the focus. */
  name: text({
    title: 'Its name for screen readers',
    help: 'what screen readers call it, and how it is used',
    section: 'Touch and access',
    from: 'Magnifier: arrow keys move it, plus and minus change how large',
    hint: 'what it is, and how it is used',
    faultOf: (name) => (name.length > 200 ? 'is too long' : /[<>]/.test(name) ? 'has no tags in it' : undefined),
    row: 'more',
  }),
  arrow: choice({
    title: 'The system’s own cursor',
    help: 'whether the arrow of the system is seen over the lens',
    section: 'Touch and access',
    from: 'gone',
    options: { gone: 'is not seen on it', stays: 'stays' },
    row: 'more',
  }),
  comeMs: coming(140),
  goMs: going(180),
  follow: following('How it follows', { kind: 'direct' }),
}

export type MagnifierSettings = SettingsOf<typeof parameters>
export const magnifierParameters = described(parameters)
export const { settings: magnifierSettings, defaults: magnifierDefaults } = magnifierParameters
