// How each signal is read. An exported script holds those that its page needs.
import { look } from '../look/reader'
import { angle, heading } from './direction'
import { distance } from './distance'
import { past, speed, time } from './motion'
import { centredX, centredY, x, xPx, y, yPx } from './position'
import { over, overHeight, overWidth, overX, overY } from './over'
import { finger, focus, here, inside, pressed, still } from './presence'
import type { Reader } from './reader'
import { entrySide, exitSide } from './side'
import type { Signal, SignalName } from './signal'
import { chosen, excessX, excessY, height, overflowX, overflowY, width } from './size'
import { pinch, wheel } from './turning'
import { nearest, zone } from './zone'

/** By the signal's name; each reader is only ever asked for a signal of its own name. */
export const readers = {
  x,
  y,
  centredX,
  centredY,
  xPx,
  yPx,
  distance,
  angle,
  heading,
  speed,
  past,
  time,
  zone,
  nearest,
  inside,
  pressed,
  focus,
  still,
  here,
  entrySide,
  exitSide,
  look,
  wheel,
  pinch,
  finger,
  chosen,
  width,
  height,
  overflowX,
  overflowY,
  excessX,
  excessY,
  over,
  overX,
  overY,
  overWidth,
  overHeight,
} as Readonly<Record<SignalName, Reader<Signal>>>
