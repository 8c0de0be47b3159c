// Places that are more than one element, and frames of reference other than the area's own.
import { hullOf } from '../core/geometry/box'
import { emptyFrame, frameOf, type Frame } from '../core/geometry/frame'
import type { PlayedFigure, PlayedFrame } from '../core/rig/played'
import { findAll } from './find'
import { lodge, type House } from './house'
import type { Styled } from './measure'
import type { Cast } from './stands'

type CastPlay = Cast['plays'][number]

/** The frames of one kind inside `scope`: each element of a role, one box, or the window. */
function castFrame({ of, channels }: PlayedFrame, figure: PlayedFigure, house: House, scope: ParentNode & Styled): readonly CastPlay[] {
  const isLive = figure.area.box === 'live'
  const among = channels.flatMap(({ signal }) => (signal.of === 'nearest' ? [signal.among] : []))[0]
  const zones = among === undefined ? [] : findAll(house.root, among).map((element) => lodge(house, element, isLive).frame)
  if (of === 'window' || of === 'area') return [{ frame: house.window, insets: undefined, channels, zones, element: scope }]
  if ('each' in of) return findAll(scope, of.each).map((element) => ({ frame: lodge(house, element, isLive).frame, insets: undefined, channels, zones, element }))
  const box = scope.querySelector(of.box) ?? house.root.querySelector(of.box)
  return box ? [{ frame: lodge(house, box, isLive).frame, insets: undefined, channels, zones, element: scope }] : []
}

/** The one place of a group, or of the window. */
function castAll(figure: PlayedFigure, house: House): readonly Cast[] {
  const { area, frames } = figure
  const page = house.root.ownerDocument ?? (house.root as Document)
  const elements = area.of === 'group' ? findAll(house.root, area.select) : [page.documentElement]
  const scope = house.root instanceof Document ? page.documentElement : elements[0]
  if (!scope || elements.length === 0) return []
  const boxes = area.of === 'group' ? elements.map((element) => lodge(house, element, area.box === 'live').frame) : [house.window]
  if (area.bridge !== undefined) boxes.push(...findAll(house.root, area.bridge).map((element) => lodge(house, element, area.box === 'live').frame))
  const frame = area.of === 'group' ? emptyFrame() : house.window
  if (area.of === 'group') house.groups.set(frame, elements.map((element) => lodge(house, element, area.box === 'live')))
  const plays = frames.flatMap((each): readonly CastPlay[] => {
    const found = castFrame(each, figure, house, scope)
    return each.of === 'area' ? found.map((play) => ({ ...play, frame, insets: area.insets })) : found
  })
  return [{ elements, frame, boxes, plays, members: [...elements, ...plays.map(({ element }) => element)] }]
}

/** The boxes of a match, with those that are bridged to it. */
function bridge({ area }: PlayedFigure, house: House, element: Styled, frame: Frame, members: Element[]): readonly Frame[] {
  if (area.bridge === undefined) return [frame]
  const bridged = findAll(element, area.bridge)
  members.push(...bridged)
  return [frame, ...bridged.map((each) => lodge(house, each, area.box === 'live').frame)]
}

/** Brings the frames of groups in line with their members: the box around all of them. */
function readGroups({ groups }: House): void {
  for (const [frame, members] of groups) {
    const hull = hullOf(members.map((member) => member.hull))
    if (hull) Object.assign(frame, frameOf(hull))
  }
}

export const frames = { castFrame, castAll, bridge, readGroups }
