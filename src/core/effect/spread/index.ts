// Spread: of panels in a row or a column the one under the pointer grows, and the others give way.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind, RowOf } from '../kind'
import type { Sample } from '../samples'
import { expandSpread } from './expand'
import { spreadDefaults, spreadParameters, spreadSettings, type SpreadSettings } from './settings'
import { spreadSentence, spreadTime } from './words'

/** Four strips side by side, with a line in each. */
const sample: Sample = {
  html: '<div class="sample"><div class="strip"><i></i></div><div class="strip"><i></i></div><div class="strip"><i></i></div></div>',
  css: `.sample { display: flex; width: 58px; height: 76px; }
  .strip { flex: 1; min-width: 0; overflow: clip; display: grid; align-items: end; padding: 0 4px 8px; border-radius: 3px; background: #6f8f7a; }
  .strip + .strip { background: #24424a; } .strip + .strip + .strip { background: #a8562f; }
  i { height: 4px; background: #f0d9a8; }`,
  select: '.strip',
}

/** The settings that matter. */
const leftOut = ({ off, along, isHeld, lays, plays }: SpreadSettings): readonly string[] => [
  ...(off === 'dim' ? [] : ['dimPercent']),
  ...(along === 'across' ? [] : ['isHeld']),
  ...((along === 'across' && isHeld) || lays === 'grid' ? [] : ['panels']),
  ...(along === 'across' && isHeld ? [] : ['besidePx']),
  ...(plays === 'open' ? [] : ['resumes']),
]

/** The settings as they suit the row in which the panels stand. */
const inRow = (settings: SpreadSettings, { count, gapPx, besidePx, along, isFlex, isGrid }: RowOf): SpreadSettings => ({
  ...settings,
  panels: Math.min(40, Math.max(2, count)),
  gapPx: isFlex || isGrid ? Math.min(200, gapPx) : settings.gapPx,
  besidePx: Math.min(400, besidePx),
  along,
  lays: isFlex ? 'page' : isGrid ? 'grid' : 'effect',
})

export const spread: Kind<SpreadSettings> = {
  id: 'spread',
  title: 'Spread',
  does: 'Of several side by side the one under the pointer grows.',
  suits: ['group', 'box'],
  alsoCalled: ['accordion', 'expanding panels', 'flex gallery', 'expanding columns', 'hover accordion', 'strips'],
  family: reveal,
  sample,
  settings: spreadSettings,
  defaults: spreadDefaults,
  roles: () => [
    { id: 'panel', title: 'panel', needs: 'yours', ask: 'point at one of several' },
    { id: 'content', title: 'its content', needs: 'yours' },
  ],
  wantsBox: true,
  wantsSeveral: true,
  needsSeveral: true,
  controls: (settings) => spreadParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: (settings) => ({ ...spreadParameters.forSample(settings), panels: 3, besidePx: 8, stackBelowPx: 0, first: 0, stays: false }),
  onRow: inRow,
  recipes: [
    {
      id: 'one-opens',
      title: 'One opens',
      need: 'The panel that you meet opens, and shows what is in it; the others give way.',
      settings: spreadDefaults,
    },
    {
      id: 'first-is-open',
      title: 'The first is open',
      need: 'One is open from the start, and the last one that was met stays so.',
      settings: { ...spreadDefaults, first: 1, stays: true, growsTimes: 3, off: 'dim' },
    },
    {
      id: 'films-in-strips',
      title: 'Films in strips',
      need: 'Strips of film that play while they are open, and go on from where they were.',
      settings: { ...spreadDefaults, growsTimes: 4, off: 'seen', plays: 'open', comeMs: 520, goMs: 420 },
    },
    {
      id: 'drawers',
      title: 'Drawers',
      need: 'A column of drawers, of which one is pulled out.',
      settings: { ...spreadDefaults, along: 'down', growsTimes: 3.2, off: 'dim', dimPercent: 55 },
    },
  ],
  sentence: spreadSentence,
  time: spreadTime,
  answers: {
    touch: 'A tap opens one, and a tap elsewhere closes it; the page scrolls as ever.',
    keyboard: 'The focus in a panel opens it: what is in it can be focused, seen or not.',
    reducedMotion: 'It opens at once.',
    noScript: 'Where it needs a script all stand as the page has them; otherwise all of it is there.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: { kind: 'direct' }, back: { kind: 'direct' }, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandSpread,
  lacks: ['strength', 'insets', 'touch'],
}
