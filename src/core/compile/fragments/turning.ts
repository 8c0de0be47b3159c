import { limited } from './limited'
import { pointer } from './pointer'
import type { At, Follower } from './types'

/** What a reading becomes by a turn of the wheel, or of two fingers, that it has not taken yet; it is there again when the pointer comes back. */
function takenTurn({ place }: At, follower: Follower, start: number, next: (reading: number) => number): number {
  const { turnedTo = start } = follower
  if (!place.isOn || follower.turn === pointer.turns) return turnedTo
  follower.turn = pointer.turns
  follower.turnedTo = next(turnedTo)
  return follower.turnedTo
}

export const wheeled = (at: At, follower: Follower, start: number, least: number, greatest: number, perPx: number) =>
  takenTurn(at, follower, start, (reading) => limited(reading + pointer.wheelPx * perPx, least, greatest))

export const pinched = (at: At, follower: Follower, start: number, least: number, greatest: number) =>
  takenTurn(at, follower, start, (reading) => limited(reading * pointer.pinch, least, greatest))
