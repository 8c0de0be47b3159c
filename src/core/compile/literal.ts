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

/** A comment in one line, whose text can neither end the element that the script stands in nor keep it from ending (HTML, 13.2.5.4). */
export const lineComment = (text: string): string =>
  `// ${text.replaceAll(/\s+/g, ' ').trim().replaceAll('</', '< /').replaceAll('<!--', '< !--')}`
