// Free: a rig written by hand. It has no numbers of its own to turn; it is told by what it is made of.
import type { Rig } from '../../rig/rig'
import { rigSchema } from '../../rig/schema'
import { slotName } from '../../rig/slot'
import type { Piece } from '../control'
import type { Filled, Kind } from '../kind'

/** Names joined as a sentence joins them. */
function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? 'nothing') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
}

/** The rig with the elements that were pointed at: `&` in a selector stands for the effect's own, `&id` for those of a role. */
function fillRoles(rig: Rig, own: string, filled: Filled): Rig {
  const fill = (select: string) => select.replace(/&([A-Za-z][\w-]*)?/g, (_, id?: string) => (id === undefined ? inside(own) : inside(filled[id] ?? ':not(*)')))
  const inside = (select: string) => (select.includes(',') ? `:is(${select})` : select)
  const each = <T extends object>(target: T): T => Object.fromEntries(Object.entries(target).map(([key, value]) => [key, key === 'part' || typeof value !== 'string' ? (value as unknown) : fill(value)])) as T
  return {
    ...rig,
    areas: rig.areas.map((area) => ({ ...area, select: fill(area.select), ...(area.bridge === undefined ? {} : { bridge: fill(area.bridge) }) })),
    channels: rig.channels.map((channel) => ({ ...channel, frame: typeof channel.frame === 'string' ? channel.frame : each(channel.frame), signal: channel.signal.of === 'nearest' ? { ...channel.signal, among: fill(channel.signal.among) } : channel.signal })),
    outputs: rig.outputs.map((output) => ({ ...output, to: output.to === 'self' ? output.to : each(output.to) })),
    rules: rig.rules.map((rule) => ({ ...rule, select: fill(rule.select) })),
  }
}

const unique = (names: readonly string[]) => [...new Set(names)]

export const free: Kind<Rig> = {
  id: 'free',
  title: 'Free',
  settings: rigSchema,
  defaults: { areas: [{ id: 'area', of: 'each', select: 'body', box: 'live', among: 'one', pointer: 'any', touch: 'none' }], channels: [], knobs: [], outputs: [], parts: [], rules: [] },
  roles: ({ roles }) => [{ id: 'element', title: 'element', needs: 'yours' }, ...(roles ?? [])],
  controls: [],
  recipes: [],
  sentence: ({ channels, outputs, roles = [] }) => ['Over ', { role: 'element' }, ...roles.flatMap((role): Piece[] => [` with `, { role: role.id }]), `, set by hand: ${listed(unique(channels.map(({ signal }) => signal.of)))} of the pointer for ${listed(unique(outputs.map(({ slot }) => slotName(slot))))}.`],
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
  expand: (rig, select, filled = {}) => fillRoles(rig, select, filled),
}
