// The controls of a rig by hand: a number for each knob, a word for each feel, curve, colour and gradient in it.
import { capitalised } from '../../site/text'
import type { Curve } from '../../curve/curve'
import type { Channel, Knob, Output, Rig } from '../../rig/rig'
import { unitOfKnob } from '../../rig/rig'
import { sides } from '../../rig/names'
import { slotName, unitOf } from '../../rig/slot'
import { readers } from '../../signal/readers'
import type { Control, Drawing, NumberControl } from '../control'
import { feelControls } from '../feel-controls'
import type { Unit } from '../unit'

type FreeControl = Control<Rig>

/** The item of a list at an index, changed. */
const changed = <Item>(items: readonly Item[], at: number, to: Partial<NoInfer<Item>>): Item[] =>
  items.map((item, i) => (i === at ? { ...item, ...to } : item))

/** The range of a number by its unit, where the rig names none; and a step that suits it. */
const usual: Partial<Record<Unit, readonly [number, number]>> = {
  deg: [-180, 180],
  px: [-1000, 1000],
  '%': [-100, 200],
  '': [-10, 10],
  ms: [0, 5000],
  s: [0, 60],
  turn: [-1, 1],
}
const stepFor = ([least, greatest]: readonly [number, number]) => {
  const share = (greatest - least) / 100
  return [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50].find((step) => step >= share / 2) ?? 100
}

/** Whether the rig lets something lie at a height: then its numbers belong to the side view. */
const liftsBy = (knob: string, { outputs }: Rig) =>
  outputs.some((output) => output.knob === knob && output.slot.on === 'transform' && output.slot.fn === 'translateZ')

function knobControl(knob: Knob, at: number, rig: Rig): FreeControl {
  const unit = unitOfKnob(rig.knobs, knob.id) ?? ''
  const range = knob.range ?? usual[unit] ?? [-100, 100]
  const output = rig.outputs.find((each) => each.knob === knob.id)
  const curved = rig.channels.find(({ id, curve }) => id === output?.channel && curve)
  const follows = rig.channels.find((channel) => channel.id === output?.channel && isFollowing(channel))
  const drawing: Drawing = liftsBy(knob.id, rig) ? 'depths' : curved ? 'curve' : follows ? 'flick' : 'none'
  return {
    kind: 'number',
    id: knob.id,
    title: capitalised(knob.note || knob.id),
    unit,
    least: range[0],
    greatest: range[1],
    step: stepFor(range),
    drawing,
    knob: knob.id,
    handle: knob.handle,
    draws: curved ? `${curved.id}-curve` : drawing === 'flick' && follows ? `${follows.id}-feel` : undefined,
    read: ({ knobs }) => knobs[at]?.value ?? 0,
    write: (settings, value) => ({ ...settings, knobs: changed(settings.knobs, at, { value }) }),
  }
}

function tokenControl(token: NonNullable<Rig['tokens']>[number], at: number): FreeControl[] {
  if (token.of !== 'colour' && token.of !== 'gradient') return []
  return [
    {
      kind: token.of,
      id: token.id,
      token: token.id,
      title: capitalised(token.note || token.id),
      drawing: token.of === 'gradient' ? 'gradient' : 'none',
      read: ({ tokens }) => tokens?.[at]?.value ?? '',
      write: (settings, value) => ({ ...settings, tokens: changed(settings.tokens ?? [], at, { value }) }),
    },
  ]
}

/** Whether a channel follows by a feel of its own: a chain goes by half-lives, a look by times for each change. */
const isFollowing = ({ chain, signal }: Channel) => chain === undefined && signal.of !== 'look'

/** The ids of the words for a channel's feel, and for its feel of going. */
const feelIds = (id: string, which: 'feel' | 'going') =>
  [`${id}-${which}`, `${id}-${which}-time`, `${id}-${which}-past`, `${id}-${which}-frequency`, `${id}-${which}-damping`] as const

function channelControls(channel: Channel, at: number): FreeControl[] {
  const { id, signal, curve } = channel
  const write = (settings: Rig, to: Partial<Channel>): Rig => ({ ...settings, channels: changed(settings.channels, at, to) })
  const following = isFollowing(channel)
    ? feelControls<Rig>(
        { ids: feelIds(id, 'feel'), title: `How ${id} follows`, timeTitle: `${capitalised(id)} follows in`, drawing: 'flick' },
        ({ channels }) => channels[at]?.feel ?? { kind: 'direct' },
        (settings, feel) => write(settings, { feel }),
      )
    : []
  const going =
    isFollowing(channel) && channel.going
      ? feelControls<Rig>(
          { ids: feelIds(id, 'going'), title: `How ${id} goes back`, timeTitle: `${capitalised(id)} goes back in`, drawing: 'return' },
          ({ channels }) => channels[at]?.going ?? { kind: 'direct' },
          (settings, feel) => write(settings, { going: feel }),
        )
      : []
  const curves: FreeControl[] = curve
    ? [
        curveControl(
          `${id}-curve`,
          `What ${id} comes to`,
          id,
          '',
          (rig) => rig.channels[at]?.curve ?? curve,
          (settings, to) => write(settings, { curve: to }),
          spanOf(channel),
        ),
      ]
    : []
  const zones: FreeControl[] =
    signal.of === 'zone'
      ? (['columns', 'rows'] as const).map((along): NumberControl<Rig> => ({
          kind: 'number',
          id: `${id}-${along}`,
          title: capitalised(along),
          unit: '',
          least: 1,
          greatest: 24,
          step: 1,
          drawing: 'none',
          handle: { on: 'zones', along },
          read: ({ channels }) => countOf(channels[at], along),
          write: (settings, value) =>
            write(settings, { signal: { ...signal, ...zoneOf(settings.channels[at]), [along]: Math.round(value) } }),
        }))
      : []
  return [...following, ...going, ...curves, ...zones]
}

const zoneOf = (channel: Channel | undefined) => (channel?.signal.of === 'zone' ? channel.signal : {})
const countOf = (channel: Channel | undefined, along: 'columns' | 'rows') => (channel?.signal.of === 'zone' ? channel.signal[along] : 1)

/** The least and greatest number that a channel's signal gives, as far as the curve has stops and the signal goes by itself. */
function spanOf({ signal, curve }: Channel): readonly [number, number] {
  const stops = curve?.stops.map(({ at }) => at) ?? []
  const span = readers[signal.of].span(signal)
  const own: readonly [number, number] = signal.of.startsWith('centred') ? [-1, 1] : [0, Number.isFinite(span) && span < 1e4 ? span : 1]
  return [Math.min(own[0], ...stops), Math.max(own[1], ...stops)]
}

function curveControl(
  id: string,
  title: string,
  across: string,
  unit: Unit,
  read: (rig: Rig) => Curve,
  write: (rig: Rig, curve: Curve) => Rig,
  [from, to]: readonly [number, number],
): FreeControl {
  return { kind: 'curve', id, title, drawing: 'curve', unit, across: { title: across, channel: across, unit: '', from, to }, read, write }
}

function outputControls(output: Output, at: number, rig: Rig): FreeControl[] {
  const { curve, slot, channel } = output
  if (!curve || 'colours' in curve) return []
  const driving = rig.channels.find(({ id }) => id === channel)
  const read = ({ outputs }: Rig): Curve => {
    const present = outputs[at]?.curve
    return present && 'stops' in present ? present : curve
  }
  return [
    curveControl(
      `${slotName(slot)}-curve`,
      `What ${channel ?? 'it'} does to the ${slotName(slot)}`,
      channel ?? '',
      unitOf(slot),
      read,
      (settings, to) => ({ ...settings, outputs: changed(settings.outputs, at, { curve: to }) }),
      driving ? spanOf({ ...driving, curve }) : [0, 1],
    ),
  ]
}

/** How far inside its edges an area counts, a number for each side; its delay and the time until it counts as still. */
function areaControls({ id, insets, looks }: Rig['areas'][number], at: number): FreeControl[] {
  const inner = insets
    ? sides.map((side): NumberControl<Rig> => ({
        kind: 'number',
        id: `${id}-${side}`,
        title: `Inset at the ${side}`,
        unit: insets[side].unit,
        least: -500,
        greatest: 500,
        step: insets[side].unit === '%' ? 1 : 2,
        drawing: 'none',
        handle: { on: 'inset', side },
        percentOf:
          insets[side].unit === '%'
            ? {
                words: side === 'left' || side === 'right' ? 'the width' : 'the height',
                length: side === 'left' || side === 'right' ? 'width' : 'height',
              }
            : undefined,
        read: ({ areas }) => areas[at]?.insets?.[side].value ?? 0,
        write: (settings, value) => ({
          ...settings,
          areas: changed(settings.areas, at, {
            insets: { ...insets, ...settings.areas[at]?.insets, [side]: { value, unit: insets[side].unit } },
          }),
        }),
      }))
    : []
  const times = looks
    ? (['goDelayMs', 'stillMs'] as const)
        .filter((key) => looks[key] !== undefined)
        .map((key): NumberControl<Rig> => ({
          kind: 'number',
          id: `${id}-${key}`,
          title: key === 'goDelayMs' ? 'Waits before it goes' : 'Counts as still after',
          unit: 'ms',
          least: key === 'goDelayMs' ? 0 : 1,
          greatest: 10_000,
          step: 20,
          drawing: 'none',
          read: ({ areas }) => areas[at]?.looks?.[key] ?? 0,
          write: (settings, value) => ({
            ...settings,
            areas: changed(settings.areas, at, { looks: { ...looks, ...settings.areas[at]?.looks, [key]: value } }),
          }),
        }))
    : []
  return [...inner, ...times]
}

/** All controls of a rig. The first of an id counts. */
export function freeControls(rig: Rig): readonly FreeControl[] {
  const all = [
    ...rig.knobs.map((knob, at) => knobControl(knob, at, rig)),
    ...(rig.tokens ?? []).flatMap(tokenControl),
    ...rig.channels.flatMap(channelControls),
    ...rig.outputs.flatMap((output, at) => outputControls(output, at, rig)),
    ...rig.areas.flatMap(areaControls),
  ]
  return all.filter(({ id }, i) => all.findIndex((each) => each.id === id) === i)
}
