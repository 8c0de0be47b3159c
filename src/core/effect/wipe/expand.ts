// Wipe as a rig: how far the line is from the middle of each element, along the way it goes, cuts both sides and carries what rides on it.
import type { Channel, Knob, Layer, Output, Part, Rig, Rule } from '../../rig/rig'
import { asCompound, asOneSelector } from '../../rig/resolve'
import type { Place } from '../../geometry/place'
import { areaOn, channelsIn, groundOf, outputOn, rigOf, sliding } from '../build'
import type { Filled } from '../kind'
import { wipeParameters, type WipeSettings } from './settings'

const { knob } = wipeParameters

/** A direction as a step along each axis; what is less than a millionth of it is nothing. */
interface Way {
  readonly x: number
  readonly y: number
}

const plain = (part: number) => Number(part.toFixed(6)) || 0

function wayOf(directionDeg: number): Way {
  const angle = (directionDeg * Math.PI) / 180
  return { x: plain(Math.sin(angle)), y: plain(-Math.cos(angle)) }
}

const isAcross = ({ x, y }: Way) => Math.abs(x) >= Math.abs(y)

/** Farther than anything that a layer shows beside itself: cut is what lies beyond the line, and nothing else. */
const far = 200

/** A sum as CSS writes it, without what is nothing. */
const sum = (first: string, size: number, unit: string) =>
  size === 0 ? first : `${first} ${size < 0 ? '-' : '+'} ${plain(Math.abs(size))}${unit}`

/**
 * What is left of an element on one side of a line that crosses its middle axis `{line}` px beyond its middle; `keeps` is the side: 1 what lies
 * before the line on its way, -1 what lies beyond. A soft edge goes on by a half of its width.
 */
function sideCss(way: Way, keeps: 1 | -1, isSoft: boolean): string {
  const [along, aside] = isAcross(way) ? [way.x, way.y] : [way.y, way.x]
  // Toward lower coordinates, what lies before the line has the higher ones.
  const isLower = keeps * along > 0
  const edge = sum('{line}', isSoft ? (isLower ? 1 : -1) / (2 * Math.abs(along)) : 0, ' * {soft}')
  if (aside === 0) {
    const cut = isLower ? `calc(50% - ${isSoft ? `(${edge})` : edge})` : `calc(50% + ${edge})`
    const cutSide = isAcross(way) ? (isLower ? 'right' : 'left') : isLower ? 'bottom' : 'top'
    return `inset(${['top', 'right', 'bottom', 'left'].map((side) => (side === cutSide ? cut : `-${far}vmax`)).join(' ')})`
  }
  const slant = Number(((aside / along) * (far / 2)).toFixed(3))
  const point = (main: string, cross: string) => (isAcross(way) ? `${main} ${cross}` : `${cross} ${main}`)
  const [near, beyond] = [`calc(50% - ${far / 2}vmax)`, `calc(50% + ${far / 2}vmax)`]
  const end = isLower ? `-${far}vmax` : `calc(100% + ${far}vmax)`
  const onLine = (lean: number) => `calc(50% + ${sum(edge, lean, 'vmax')})`
  return `polygon(${[point(onLine(slant), near), point(onLine(-slant), beyond), point(end, beyond), point(end, near)].join(', ')})`
}

/** Where the line waits, as a share of the ground along an axis. */
const waitsAt = (way: Way, waitsPercent: number, axis: 'x' | 'y') => 0.5 + Math.sign(way[axis]) * (waitsPercent / 100 - 0.5)

/** Where the line waits, as a place of the ground: from -1 to 1 along each axis that it goes along. */
export function waitingPlace({ directionDeg, waitsPercent }: WipeSettings): Place {
  const way = wayOf(directionDeg)
  return { x: 2 * waitsAt(way, waitsPercent, 'x') - 1, y: 2 * waitsAt(way, waitsPercent, 'y') - 1 }
}

/** How much of its way the line has gone where it waits through a place, %. */
export function waitingPercent({ directionDeg }: WipeSettings, place: Place): number {
  const way = wayOf(directionDeg)
  const main = isAcross(way) ? 'x' : 'y'
  return Math.round(100 * Math.min(1, Math.max(0, 0.5 + (Math.sign(way[main]) * place[main]) / 2)))
}

/** The rig of a wipe: `select` is the front; among the roles are the back, what rides on the line, what belongs to a side, and the ground. */
export function expandWipe(settings: WipeSettings, select: string, roles: Filled = {}): Rig {
  const { directionDeg, softPx, away, waitsPercent, cuts, layers, path, follow } = settings
  const ground = roles.ground ?? groundOf(select)
  // What has no back, or is its own, gives way to nothing: it stands as the page has it.
  const back = roles.back === select ? undefined : roles.back
  const way = wayOf(directionDeg)
  const channel = channelsIn('ground')
  const isSoft = softPx > 0
  const knobs: Knob[] = isSoft ? [knob(settings, 'softPx')] : []
  const channels: Channel[] = []
  const outputs: Output[] = []
  const drawn: Layer[] = []
  const axes = (['x', 'y'] as const).filter((axis) => way[axis] !== 0)
  const mainAxis = isAcross(way) ? 'x' : 'y'
  const rests = away === 'waits' ? 'settle' : 'hold'

  /** Where the pointer is from the middle of an element: of all of them at the same instant the same point of the ground. */
  const follows = (id: string, element: string) =>
    axes.map((axis) => {
      // Layers that are laid there are as large as the ground: they have one reading.
      const isLaid = layers === 'over' && (id === 'front' || id === 'back')
      const own = isLaid ? axis : `${id}-${axis}`
      if (!channels.some((each) => each.id === own))
        channels.push(
          channel(own, { of: `${axis}Px`, from: 'centre' }, 'light', follow, {
            frame: isLaid ? 'area' : { each: element },
            away: { kind: rests, pose: waitsAt(way, waitsPercent, axis), isShare: true, byFinger: 'hold' },
          }),
        )
      return { axis, channel: own, to: isLaid ? ({ within: element } as const) : ('self' as const) }
    })
  const cut = (id: string, element: string | undefined, keeps: 1 | -1) => {
    if (element === undefined) return
    const read = follows(id, element)
    const draw = (kind: 'clip' | 'mask', css: string, scale: number) => {
      const layer = `${id}-${kind}`
      drawn.push({ id: layer, css })
      for (const { axis, channel: own, to } of read)
        outputs.push(outputOn(to, { on: kind, layer, hole: 'line', unit: 'px' }, { factor: plain(way[axis] * scale), channel: own }))
    }
    draw('clip', sideCss(way, keeps, isSoft), 1 / way[mainAxis])
    if (!isSoft) return
    const [seen, unseen] = keeps === 1 ? ['#000', 'transparent'] : ['transparent', '#000']
    const stops = `${seen} calc(50% + {line} - {soft} / 2), ${unseen} calc(50% + {line} + {soft} / 2)`
    draw('mask', `linear-gradient(${directionDeg}deg, ${stops})`, 1)
  }
  if (back !== undefined) cut('front', select, 1)
  if (cuts === 'both') cut('back', back, -1)
  cut('ahead', roles.ahead, 1)
  cut('behind', roles.behind, -1)

  const { rider } = roles
  if (rider !== undefined) {
    const read = follows('rider', rider)
    for (const to of axes)
      for (const { axis, channel: own } of read)
        outputs.push(outputOn('self', sliding(to === 'x' ? 'X' : 'Y'), { factor: plain(way[to] * way[axis]), channel: own }))
    if (path.stops.some(({ value }) => value !== 0)) {
      channels.push(
        channel('run', { of: mainAxis }, 'light', follow, {
          away: { kind: rests, pose: waitsAt(way, waitsPercent, mainAxis), byFinger: 'hold' },
        }),
      )
      outputs.push(outputOn({ within: rider }, sliding(mainAxis === 'x' ? 'Y' : 'X'), { channel: 'run', curve: path }))
    }
  }
  // Whoever has no pointer moves the line by a slider as large as the ground, which is seen while it has the focus.
  channels.push(
    channel(
      'at',
      { of: mainAxis },
      'light',
      { kind: 'direct' },
      { away: { kind: rests, pose: waitsAt(way, waitsPercent, mainAxis), byFinger: 'hold' } },
    ),
  )
  const line: Part = {
    id: 'line',
    area: 'ground',
    reached: { role: 'slider', value: 'at', namedBy: [select, ...(back === undefined ? [] : [back])] },
    // The pointer is meant for what lies under it.
    css: { position: 'absolute', inset: '0', 'outline-offset': '-3px', 'pointer-events': 'none' },
  }
  const stacked: Rule[] =
    layers === 'over' && back !== undefined
      ? [
          { select: ground, css: { display: 'grid' } },
          { select: `${asOneSelector(ground)} > :is(${select}, ${back})`, css: { 'grid-area': '1 / 1' } },
          { select: `${asOneSelector(ground)} > ${asCompound(select)}`, css: { 'z-index': '1' } },
        ]
      : []
  return rigOf({
    areas: [areaOn('ground', ground, { arrowKeys: 0.05 })],
    channels,
    knobs,
    outputs,
    parts: [line],
    layers: drawn,
    rules: stacked,
  })
}
