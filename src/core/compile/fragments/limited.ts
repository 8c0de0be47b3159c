export const limited = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value))
