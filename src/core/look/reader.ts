// The look of an element as a signal.
import type { Reader } from '../signal/reader'
import type { LookValues, Pose, Signal } from '../signal/signal'

/** The value of a pose; one that is given by sides for this side. */
export function poseValue(pose: Pose, side: number): number {
  return typeof pose === 'number' ? pose : (pose[side] ?? pose[0])
}

const valueOf = (values: LookValues, shown: keyof LookValues) => values[shown] ?? values.off

type LookSignal = Extract<Signal, { of: 'look' }>

const sideOf = ({ axis }: LookSignal, all: number, x: number, y: number) => (axis === 'x' ? x : axis === 'y' ? y : all)

const read: Reader<LookSignal>['read'] = (signal, { presence, others }) => {
  const { values, whose, leaveTo } = signal
  const look = whose === 'others' ? others : presence.look
  const shown = look?.shown ?? 'off'
  if (shown === 'off' && leaveTo !== undefined && look?.before !== 'off')
    return poseValue(leaveTo, sideOf(signal, presence.exitSide, presence.exitX, presence.exitY))
  return valueOf(values, shown)
}

export const look: Reader<LookSignal> = {
  span: ({ values }) => Math.max(...Object.values(values).map(Number)) - Math.min(...Object.values(values).map(Number)) || 1,
  read,
  away: read,
  start: (signal, { presence }) =>
    signal.enterFrom !== undefined && signal.whose === undefined && presence.look.before === 'off' && presence.look.shown !== 'off'
      ? poseValue(signal.enterFrom, sideOf(signal, presence.entrySide, presence.entryX, presence.entryY))
      : NaN,
}
