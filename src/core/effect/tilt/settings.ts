// Tilt: its settings.
import { softSpring } from '../build'
import { away, choice, colour, coming, described, flag, following, going, layers, number, percent, pinned, returning, type Layer, type SettingsOf } from '../parameters'

const parameters = {
  edge: choice({ title: 'The edge under the pointer', from: 'sinks', options: { sinks: 'sinks', rises: 'rises' }, drawing: 'sketch' }),
  /** At the left and right edge, and at the upper and lower one. */
  acrossDeg: number({ title: 'The angle', from: 9, inSample: 2, unit: 'deg', least: 0, greatest: 45, step: 1, drawing: 'sketch', knob: { id: 'lean', note: 'how far it leans at its edges', isAmount: true } }),
  upDownDeg: number({ title: 'The angle up-down', from: 9, inSample: 2, unit: 'deg', least: 0, greatest: 45, step: 1, drawing: 'sketch', knob: { id: 'lean-up-down', note: 'how far it leans at its upper and lower edge', isAmount: true } }),
  eyePx: number({ title: 'Perspective', from: 820, inSample: 0.3, unit: 'px', least: 200, greatest: 3000, step: 20, drawing: 'sketch', knob: { id: 'eye', note: 'how far away the eye is; nearer looks deeper' } }),
  /** In one space with the card, or by sliding on it: for cards that cut off or filter what they hold, which presses it flat. */
  layers: layers('heightPx', { title: 'Its height', inSample: 0.3, unit: 'px', least: -300, greatest: 300, step: 2, drawing: 'depths', inCaption: 1 }, []),
  layersRise: choice({ title: 'The layers rise', from: 'space', options: { space: 'in space, and look larger', card: 'by sliding on the card' }, drawing: 'depths', row: 'more' }),
  /** One angle for both: `upDownDeg` is then not used. */
  linked: flag({ title: 'Across and up-down', from: true, yes: { value: 'one', words: 'share one angle' }, no: { value: 'two', words: 'have their own angles' }, drawing: 'sketch', row: 'more' }),
  vanishing: choice({ title: 'The vanishing point', from: 'own', options: { own: 'is each card’s own', shared: 'is shared by the row' }, drawing: 'sketch', row: 'more' }),
  /** Without `back` it goes back as it follows. */
  follow: following('How it follows', softSpring, 'caption'),
  back: returning('How it goes back'),
  liftPx: number({ title: 'The lift', from: 0, inSample: 0.3, unit: 'px', least: 0, greatest: 300, step: 2, drawing: 'sketch', row: 'more', knob: { id: 'lift', note: 'how far it comes toward you', isAmount: true } }),
  growPercent: percent({ title: 'Scale', from: 0, greatest: 50, drawing: 'sketch', row: 'more', percentOf: { words: 'its own size' }, knob: { id: 'grow', note: 'how much it grows, as a share of its size', per: 100, isAmount: true } }),
  sheenPercent: percent({ title: 'The sheen', from: 0, row: 'more', percentOf: { words: 'full strength' }, knob: { id: 'sheen', note: 'how strong the sheen is', per: 100, isAmount: true } }),
  sheenWay: choice({ title: 'The sheen goes', from: 'opposite', options: { opposite: 'against the pointer', along: 'with the pointer' } }),
  sheenSizePercent: percent({ title: 'The size of the sheen', from: 110, least: 10, greatest: 300, step: 5, row: 'more', percentOf: { words: 'the width of the card', length: 'width' } }),
  sheenSoftPercent: percent({ title: 'How soft it is', from: 80, step: 5, row: 'more', percentOf: { words: 'its own radius' } }),
  sheenTravelPercent: percent({
    title: 'How far the sheen goes', from: 60, greatest: 150, step: 5, row: 'more', knob: { id: 'sheen-way', note: 'how far it goes, of its own size' },
    varies: ({ sheenSizePercent }) => ({ percentOf: { words: 'its own width', length: 'width', times: Number(sheenSizePercent) / 100 } }),
  }),
  sheenShape: choice({ title: 'The sheen is', from: 'round', options: { round: 'round', band: 'a slanting band' }, row: 'more' }),
  sheenColour: colour({ title: 'The colour of the sheen', from: '#ffffff', row: 'more', token: { id: 'sheen-colour', note: 'the colour of the sheen' } }),
  sheenBlend: choice({ title: 'The blend of the sheen', from: 'normal', options: { normal: 'normal', screen: 'screen', 'soft-light': 'soft light', overlay: 'overlay' }, row: 'more' }),
  /** 0 is none. */
  shadowPx: number({ title: 'The shadow falls', from: 0, inSample: 0.3, unit: 'px', least: 0, greatest: 120, step: 1, row: 'more', knob: { id: 'shadow', note: 'how far the shadow goes', isAmount: true } }),
  shadowSoftPx: number({ title: 'How soft the shadow is', from: 28, inSample: 0.3, unit: 'px', least: 0, greatest: 200, step: 2, row: 'more', knob: { id: 'shadow-soft', note: 'how soft it is' } }),
  shadowColour: colour({ title: 'The colour of the shadow', from: 'rgb(16 18 22 / 0.34)', row: 'more', token: { id: 'shadow-colour', note: 'the colour of the shadow' } }),
  /** What is there with the pointer alone: lift, scale, sheen, shadow. */
  comeMs: coming(180, { step: 10 }),
  goMs: going(320, { step: 10 }),
  away: away('it lies flat', 'it waits at the pin', 'it stays as it was left'),
  pose: pinned('the card', 'settle', { drawing: 'sketch' }),
}

export type TiltSettings = SettingsOf<typeof parameters>
export type TiltLayer = Layer<'heightPx'>
export const tiltParameters = described(parameters, ['layers', 'layersRise', 'vanishing', 'sheenPercent', 'sheenWay', 'sheenSizePercent', 'sheenSoftPercent', 'sheenTravelPercent', 'sheenShape', 'sheenColour', 'sheenBlend', 'shadowPx', 'shadowSoftPx', 'shadowColour'])
export const { settings: tiltSettings, defaults: tiltDefaults } = tiltParameters
