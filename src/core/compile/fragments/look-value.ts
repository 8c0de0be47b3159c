import type { Look, LookName, Place } from './types'

/** The value of the look that is shown. */
export const lookValue = (values: Readonly<Partial<Record<LookName, number>>>, off: number, look: Look | undefined) =>
  values[look?.shown ?? 'off'] ?? off

/** The value of a look; of one that has gone off, the pose that it leaves to, which may hang on the side. */
export const leftTo = (values: Readonly<Partial<Record<LookName, number>>>, off: number, look: Look | undefined, pose: number) =>
  (look?.shown ?? 'off') === 'off' && look?.before !== 'off' ? pose : lookValue(values, off, look)

/** The pose that it comes from, where it has just come on. */
export const cameFrom = ({ look }: Place, pose: number) => (look.before === 'off' && look.shown !== 'off' ? pose : undefined)
