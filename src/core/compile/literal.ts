// Numbers and texts as JavaScript source.

/** A number without needless digits. */
export function number(value: number): string {
  return Object.is(value, -0) ? '0' : String(Number(value.toPrecision(12)))
}

/** A string that can also stand inside a script element. */
export function quote(text: string): string {
  const inner = JSON.stringify(text)
    .slice(1, -1)
    .replaceAll('\\"', '"')
    .replaceAll("'", "\\'")
    .replaceAll('</', '<\\/')
    .replaceAll('<!--', '<\\!--')
  return `'${inner.replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')}'`
}
