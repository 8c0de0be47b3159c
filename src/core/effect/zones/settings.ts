// Zones: its settings.
import { choice, coming, declarations, described, going, number, percent, type SettingsOf } from '../parameters'

const count = (title: string, along: 'columns' | 'rows', from: number, help: string) =>
  number({
    title,
    help,
    from,
    unit: '',
    isWhole: true,
    least: 1,
    greatest: 40,
    step: 1,
    varies: ({ marginXPx, marginYPx }) => ({
      handle: { on: 'zones', along, insetPx: Number(along === 'columns' ? marginXPx : marginYPx) },
    }),
  })

const margin = (title: string, side: 'left' | 'top', help: string) =>
  number({ title, help, from: 0, unit: 'px', least: 0, greatest: 2000, step: 4, handle: { on: 'inset', side } })

const parameters = {
  where: choice({
    title: 'The pointer is read',
    help: 'whether all of the window chooses, or one part of the page',
    from: 'window',
    options: { window: 'anywhere in the window', area: 'in an area' },
  }),
  /** Into what it is cut. */
  cut: choice({
    title: 'It is cut into',
    help: 'how the area is divided, one part for each element',
    from: 'columns',
    options: { columns: 'columns', rows: 'rows', grid: 'a grid', nearest: 'what is nearest to each' },
  }),
  columns: count('Columns', 'columns', 4, 'into how many parts the area is cut across'),
  rows: count('Rows', 'rows', 4, 'into how many parts the area is cut from top to bottom'),
  marginXPx: margin('Margins at the sides', 'left', 'how far from both sides the parts begin; in the margin the outermost one goes on'),
  marginYPx: margin(
    'Margins above and below',
    'top',
    'how far from top and bottom the parts begin; in the margin the outermost one goes on',
  ),
  hysteresisPx: number({
    title: 'It goes on beyond its border for',
    help: 'how far past its border the next one is chosen; it calms a hand on the border',
    section: 'Area',
    from: 0,
    unit: 'px',
    least: 0,
    greatest: 200,
    step: 1,
    row: 'more',
  }),
  /** Which one is chosen before the pointer comes: 0 for none. */
  first: number({
    title: 'Chosen from the start',
    help: 'which one is chosen before the pointer comes; 0 for none',
    from: 1,
    unit: '',
    isWhole: true,
    least: 0,
    greatest: 1600,
    step: 1,
    row: 'more',
  }),
  leaves: choice({
    title: 'When the pointer leaves',
    help: 'which one is chosen while the pointer is elsewhere',
    section: 'Motion',
    from: 'stays',
    options: { stays: 'the last one stays chosen', first: 'the first choice is back', none: 'none is chosen' },
    row: 'more',
  }),
  othersPercent: percent({
    title: 'The others are seen at',
    from: 40,
    percentOf: { words: 'what they are' },
    knob: { id: 'others', note: 'how much of the others is seen', per: 100 },
  }),
  growPercent: percent({
    title: 'The chosen one grows to',
    from: 100,
    least: 50,
    greatest: 200,
    percentOf: { words: 'its size' },
    row: 'more',
    knob: { id: 'grow', note: 'how many times as large the chosen one is', per: 100 },
  }),
  chosenCss: declarations({
    title: 'More CSS of the chosen one',
    help: 'more declarations of CSS for the chosen one, such as opacity: 0.6',
    row: 'more',
  }),
  linked: choice({
    title: 'What is linked',
    help: 'what the elements do that are linked to them, one for one',
    from: 'alone',
    options: { alone: 'is seen for the chosen one alone', dims: 'is dimmed for the others', css: 'has its own CSS' },
    row: 'more',
  }),
  linkedCss: declarations({
    title: 'CSS of what is linked to the chosen one',
    help: 'declarations of CSS for what is linked to the chosen one, such as opacity: 0.6',
    row: 'more',
  }),
  focus: choice({
    title: 'The focus on one of them',
    help: 'whether one is chosen as Tab comes to it',
    section: 'Touch and access',
    from: 'chooses',
    options: { chooses: 'chooses it', none: 'does nothing' },
    row: 'more',
  }),
  keyboard: choice({
    title: 'Arrow keys, with the focus on the area',
    help: 'whether arrow keys go from one to the next',
    section: 'Touch and access',
    from: 'choose',
    options: { choose: 'choose too', none: 'do nothing' },
    row: 'more',
  }),
  comeMs: coming(260),
  goMs: going(360),
}

export type ZonesSettings = SettingsOf<typeof parameters>
export const zonesParameters = described(parameters)
export const { settings: zonesSettings, defaults: zonesDefaults } = zonesParameters
