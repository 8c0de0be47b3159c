// Free: a rig written by hand. It has no numbers of its own to turn; it is told by what it is made of.
import type { Rig } from '../../rig/rig'
import { rigSchema } from '../../rig/schema'
import { slotName } from '../../rig/slot'
import type { Kind } from '../kind'

/** Names joined as a sentence joins them. */
function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? 'nothing') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
}

const unique = (names: readonly string[]) => [...new Set(names)]

export const free: Kind<Rig> = {
  id: 'free',
  title: 'Free',
  settings: rigSchema,
  defaults: { areas: [{ id: 'area', of: 'each', select: 'body', box: 'live', among: 'one', pointer: 'any', touch: 'none' }], channels: [], knobs: [], outputs: [], parts: [], rules: [] },
  roles: [{ id: 'element', title: 'element' }],
  controls: [],
  recipes: [],
  sentence: ({ channels, outputs }) => ['Over ', { role: 'element' }, `, set by hand: ${listed(unique(channels.map(({ signal }) => signal.of)))} of the pointer for ${listed(unique(outputs.map(({ slot }) => slotName(slot))))}.`],
  time: () => [],
  rows: { more: [], exact: [] },
  answers: {
    touch: 'As each of its areas says.',
    keyboard: 'Where its looks take the keyboard, the focus shows what the pointer shows.',
    reducedMotion: 'What travels, turns or grows stays as when away; light and states go on.',
    noScript: 'The page stands as designed.',
  },
  turned: (rig) => rig,
  awayPlace: () => undefined,
  withAwayPlace: (rig) => rig,
  springs: ({ channels }) => {
    const follow = channels.map(({ feel }) => feel).find((feel) => feel.kind === 'spring')
    return follow && { follow, back: channels.flatMap(({ going }) => (going?.kind === 'spring' ? [going] : []))[0] ?? follow }
  },
  expand: (rig) => rig,
}
