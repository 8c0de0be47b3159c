/** What is nearer to 0 than this is 0: what is divided by it would be no number any more. */
const nearest = 1e-9

export const orZero = (value: number): number => (Math.abs(value) < nearest ? 0 : value)
