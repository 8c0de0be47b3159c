// Whether the pointer, or the focus, is there; and how.
import { turnTo, valueAt, rests } from '../feel/follower'
import { lastOnGrid, nextOnGrid, type Reader } from './reader'
import type { Signal } from './signal'

export const inside: Reader<Signal> = { span: () => 1, read: () => 1 }

export const pressed: Reader<Signal> = { span: () => 1, read: (_, { pointer }) => (pointer.buttons ? 1 : 0) }

export const finger: Reader<Extract<Signal, { of: 'finger' }>> = {
  span: () => 2,
  read: ({ roomPx }, { pointer }) => (!pointer.isTouch ? 0 : pointer.y < roomPx ? 1 : -1),
}

export const focus: Reader<Signal> = {
  span: () => 1,
  read: (_, { presence }) => (presence.focused ? 1 : 0),
  away: (_, { presence }) => (presence.focused ? 1 : 0),
}

export const still: Reader<Extract<Signal, { of: 'still' }>> = {
  span: () => 1,
  read: ({ afterMs }, { presence, t }) => (t >= presence.anchorAt + afterMs ? 1 : 0),
  due: ({ afterMs }, { presence, t }) => (presence.inside && presence.anchorAt + afterMs > t ? presence.anchorAt + afterMs : Infinity),
}

export const here: Reader<Extract<Signal, { of: 'here' }>> = {
  span: () => 1,
  read: ({ come }, { t }, { own }) => {
    turnTo(own, 1, come, 1, t)
    return valueAt(own, t)
  },
  away: ({ go }, { t }, { own }) => {
    turnTo(own, 0, go, 1, t)
    return valueAt(own, t)
  },
  due: (_, { t }, { own }) => (rests(own, lastOnGrid(t)) ? Infinity : nextOnGrid(t)),
}
