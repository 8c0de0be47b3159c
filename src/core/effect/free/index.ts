// Free: a rig written by hand. It is told by what it is made of, and each of its knobs, feels and curves is a word.
import type { Rig } from '../../rig/rig'
import { rigSchema } from '../../rig/schema'
import { slotName } from '../../rig/slot'
import type { Control, Piece } from '../control'
import type { Filled, Kind } from '../kind'
import { freeControls } from './controls'
import { freeRecipes } from './recipes'

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

/** The words of the sentence: the first few numbers and colours. */
function mainWords(rig: Rig): readonly Control<Rig>[] {
  return freeControls(rig).slice(0, rig.knobs.length + (rig.tokens?.length ?? 0)).slice(0, 4)
}

const lowerCase = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** What the pointer gives, as a sentence says it. */
const signalWords: Readonly<Record<Rig['channels'][number]['signal']['of'], string>> = {
  x: 'where the pointer is across', y: 'how far down it is', centredX: 'where the pointer is across', centredY: 'how far down it is', xPx: 'its way from the left', yPx: 'its way from the top', distance: 'its distance', angle: 'its direction', heading: 'where it heads',
  speed: 'its speed', zone: 'the zone it is in', nearest: 'what it is nearest to', inside: 'whether it is there', here: 'whether it is there', pressed: 'whether it is pressed', focus: 'the focus', still: 'its standing still', entrySide: 'the side it came from', exitSide: 'the side it left by', past: 'where it was', time: 'time', look: 'its look',
}

const unique = (names: readonly string[]) => [...new Set(names)]

export const free: Kind<Rig> = {
  id: 'free',
  title: 'Free',
  settings: rigSchema,
  defaults: { areas: [{ id: 'area', of: 'each', select: 'body', box: 'live', among: 'one', pointer: 'any', touch: 'none' }], channels: [], knobs: [], outputs: [], parts: [], rules: [] },
  roles: ({ roles }) => [{ id: 'element', title: 'element', needs: 'yours' }, ...(roles ?? [])],
  controls: freeControls,
  recipes: freeRecipes,
  sentence: (rig) => {
    const { channels, outputs, roles = [] } = rig
    const words = mainWords(rig)
    const others: Piece[] = roles.flatMap((role): Piece[] => [` with `, { role: role.id }])
    return ['Over ', { role: 'element' }, ...others, `, ${listed(unique(channels.map(({ signal }) => signalWords[signal.of])))} ${unique(channels.map(({ signal }) => signal.of)).length > 1 ? 'set' : 'sets'} ${listed(unique(outputs.map(({ slot }) => slotName(slot))))}`, ...words.flatMap((control, i): Piece[] => [i === 0 ? ': ' : ', ', `${lowerCase(control.title)} `, { control: control.id }]), '.']
  },
  time: (rig) => {
    const [first] = rig.channels.filter(({ chain, signal }) => chain === undefined && signal.of !== 'look')
    if (!first) return []
    return first.feel.kind === 'direct' ? ['Follows ', { control: `${first.id}-feel` }, '.'] : ['Follows ', { control: `${first.id}-feel` }, ', in ', { control: `${first.id}-feel-time` }, '.']
  },
  rows: (rig) => {
    const shown = new Set(mainWords(rig).map(({ id }) => id))
    const rest = freeControls(rig).map(({ id }) => id).filter((id) => !shown.has(id))
    const isExact = (id: string) => /-(frequency|damping|past)$/.test(id)
    return { more: rest.filter((id) => !isExact(id)), exact: rest.filter(isExact) }
  },
  answers: {
    touch: 'As each of its areas says.',
    keyboard: 'Where its looks take the keyboard, the focus shows what the pointer shows.',
    reducedMotion: 'What travels, turns or grows stays as when away; light and states go on.',
    noScript: 'The page stands as designed.',
  },
  turned: (rig) => rig,
  awayPlace: () => undefined,
  withAwayPlace: (rig) => rig,
  feels: ({ channels }) => {
    const [first] = channels.filter(({ feel }) => feel.kind !== 'direct')
    const follow = first?.feel ?? { kind: 'direct' }
    const back = first?.going ?? follow
    return { follow, back, come: follow, go: back }
  },
  expand: (rig, select, filled = {}) => fillRoles(rig, select, filled),
}
