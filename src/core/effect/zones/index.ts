// Zones: where the pointer is chooses one of several, and what is linked to it.
import { comingFeel } from '../build'
import { state } from '../families'
import type { Kind, RowOf } from '../kind'
import type { Sample } from '../samples'
import { expandZones } from './expand'
import { zonesDefaults, zonesParameters, zonesSettings, type ZonesSettings } from './settings'
import { zonesSentence, zonesTime } from './words'

/** Three bars side by side. */
const sample: Sample = {
  html: '<div class="sample"><div class="bed"></div><div class="bed"></div><div class="bed"></div></div>',
  css: `.sample { width: 58px; height: 76px; display: grid; grid-template-columns: 1fr 1fr 1fr; gap: 4px; }
  .bed { border-radius: 3px; background: #6f8f7a; } .bed + .bed { background: #c98b5a; } .bed + .bed + .bed { background: #24424a; }`,
  select: '.bed',
}

/** The settings that matter. */
const leftOut = ({ cut, where, linked }: ZonesSettings): readonly string[] => [
  ...(cut === 'rows' || cut === 'nearest' ? ['columns'] : []),
  ...(cut === 'columns' || cut === 'nearest' ? ['rows'] : []),
  ...(cut === 'nearest' ? ['marginXPx', 'marginYPx'] : []),
  ...(where === 'area' ? [] : ['keyboard']),
  ...(linked === 'css' ? [] : ['linkedCss']),
]

/** As many zones as there are elements, cut as they lie. */
const inRow = (settings: ZonesSettings, { count, along }: RowOf): ZonesSettings =>
  settings.cut === 'nearest' || settings.cut === 'grid'
    ? settings
    : { ...settings, ...(along === 'across' ? { cut: 'columns', columns: limited(count) } : { cut: 'rows', rows: limited(count) }) }

const limited = (count: number) => Math.min(40, Math.max(2, count))

export const zones: Kind<ZonesSettings> = {
  id: 'zones',
  title: 'Zones',
  does: 'Where the pointer is chooses one of several.',
  suits: ['group', 'page', 'picture'],
  alsoCalled: ['hotspots', 'mouse position', 'hover areas', 'scrub', 'image sequence', 'hover index', 'follow sections'],
  family: state,
  sample,
  settings: zonesSettings,
  defaults: zonesDefaults,
  roles: ({ where }) => [
    { id: 'zones', title: 'element', needs: 'yours', ask: 'point at one of several' },
    { id: 'linked', title: 'linked element', needs: 'yours' },
    ...(where === 'area' ? ([{ id: 'ground', title: 'area', needs: 'yours' }] as const) : []),
  ],
  wantsBox: true,
  wantsSeveral: true,
  needsSeveral: true,
  inStep: ['linked'],
  controls: (settings) => zonesParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: (settings) => ({
    ...settings,
    where: 'area',
    columns: 3,
    rows: settings.cut === 'grid' ? 1 : 3,
    marginXPx: 0,
    marginYPx: 0,
    first: 0,
    leaves: 'none',
  }),
  onRow: inRow,
  recipes: [
    {
      id: 'across-the-window',
      title: 'Across the window',
      need: 'Wherever the pointer is, the column of the window that it is in chooses one of them.',
      settings: zonesDefaults,
    },
    {
      id: 'nearest-one',
      title: 'The nearest one',
      need: 'The one that the pointer is nearest to, in what they stand in; gaps go to the nearest.',
      settings: { ...zonesDefaults, where: 'area', cut: 'nearest', growPercent: 104 },
    },
    {
      id: 'chart-table',
      title: 'By a grid',
      need: 'The area is cut into a grid, row by row; each field chooses one.',
      settings: { ...zonesDefaults, where: 'area', cut: 'grid', columns: 3, rows: 2, othersPercent: 60, hysteresisPx: 6 },
    },
    {
      id: 'only-while-there',
      title: 'Only while it is there',
      need: 'None is chosen until the pointer comes, and none once it has gone.',
      settings: { ...zonesDefaults, where: 'area', first: 0, leaves: 'none', othersPercent: 25, goMs: 520 },
    },
  ],
  sentence: zonesSentence,
  time: zonesTime,
  answers: {
    touch: 'A tap on one of them chooses it, and it stays chosen; the page scrolls as ever.',
    keyboard: 'The focus on one of them, or in it, chooses it; in an area that has the focus, arrow keys do.',
    reducedMotion: 'What is chosen is another at once; nothing travels.',
    noScript: 'All of them, and all that is linked, stand as the page has them.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: { kind: 'direct' }, back: { kind: 'direct' }, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandZones,
  lacks: ['strength', 'insets', 'touch', 'neighbours'],
}
