// Data as JavaScript source, the way a person would lay it out.

const lineLength = 100

/** A value (plain objects, arrays, texts, numbers, booleans) as a literal; what is undefined is left out. */
export function writeLiteral(value: unknown, indent = ''): string {
  if (typeof value === 'string') return quote(value)
  if (Array.isArray(value)) return layOut('[', ']', value.map((each) => writeLiteral(each, `${indent}  `)), indent, '')
  if (typeof value === 'object' && value !== null) {
    const entries = Object.entries(value).filter(([, each]) => each !== undefined)
    return layOut('{', '}', entries.map(([key, each]) => `${key}: ${writeLiteral(each, `${indent}  `)}`), indent, ' ')
  }
  return String(value)
}

/** On one line where it fits, else an item a line. */
function layOut(open: string, close: string, items: readonly string[], indent: string, space: string): string {
  const line = `${open}${space}${items.join(', ')}${space}${close}`
  if (items.length === 0) return `${open}${close}`
  if (indent.length + line.length <= lineLength && !line.includes('\n') && !line.includes('//')) return line
  return `${open}\n${items.map((item) => `${indent}  ${item},\n`).join('')}${indent}${close}`
}

/** A JavaScript string that can also stand inside a script element. */
export function quote(text: string): string {
  const inner = JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'").replaceAll('</', '<\\/').replaceAll('<!--', '<\\!--')
  return `'${inner}'`
}
