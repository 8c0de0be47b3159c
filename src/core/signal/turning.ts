// What a wheel turns, and what two fingers do.
import type { At, Memory, Reader } from './reader'
import type { Signal } from './signal'

type Wheel = Extract<Signal, { of: 'wheel' }>
type Pinch = Extract<Signal, { of: 'pinch' }>

/** A reading that goes on from where it is, once with each turn; it is there again when the pointer comes back. */
function turned(
  { start, least, greatest }: Wheel | Pinch,
  { pointer, presence }: At,
  memory: Memory,
  next: (reading: number) => number,
): number {
  const turnedTo = Number.isNaN(memory.turnedTo) ? start : memory.turnedTo
  if (!presence.inside || memory.turn === pointer.turns) return turnedTo
  memory.turn = pointer.turns
  memory.turnedTo = Math.min(greatest, Math.max(least, next(turnedTo)))
  return memory.turnedTo
}

const readWheel: Reader<Wheel>['read'] = (signal, at, memory) =>
  turned(signal, at, memory, (reading) => reading + at.pointer.wheelPx * signal.perPx)
const readPinch: Reader<Pinch>['read'] = (signal, at, memory) => turned(signal, at, memory, (reading) => reading * at.pointer.pinch)

export const wheel: Reader<Wheel> = { span: ({ least, greatest }) => greatest - least, read: readWheel }
export const pinch: Reader<Pinch> = { span: ({ least, greatest }) => greatest - least, read: readPinch }
