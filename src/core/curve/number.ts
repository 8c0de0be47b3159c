// Numbers as CSS writes them.

/** A plain CSS number, or NaN. */
export function readNumber(text: string): number {
  return /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/.test(text) ? Number(text) : NaN
}
