// Data as JavaScript source, the way a person would lay it out.

const lineLength = 100

/** What is worth saying of a value, for a comment behind it; undefined for nothing. */
export type Remark = (value: unknown) => string | undefined

/** A value (plain objects, arrays, texts, numbers, booleans) as a literal; what is undefined is left out. */
export function writeLiteral(value: unknown, remark: Remark = () => undefined, indent = ''): string {
  if (typeof value === 'string') return quote(value)
  if (typeof value !== 'object' || value === null) return String(value)
  const isList = Array.isArray(value)
  const entries = Object.entries(value).filter(([, each]) => each !== undefined)
  const items = entries.map(([key, each]) => ({ text: `${isList ? '' : `${/^[\w$]+$/.test(key) ? key : quote(key)}: `}${writeLiteral(each, remark, `${indent}  `)}`, note: remark(each) }))
  return isList ? layOut('[', ']', items, indent, '') : layOut('{', '}', items, indent, ' ')
}

/** On one line where it fits and nothing is remarked, else an item a line. */
function layOut(open: string, close: string, items: readonly { readonly text: string; readonly note: string | undefined }[], indent: string, space: string): string {
  const line = `${open}${space}${items.map(({ text }) => text).join(', ')}${space}${close}`
  if (items.length === 0) return `${open}${close}`
  if (indent.length + line.length <= lineLength && !line.includes('\n') && items.every(({ note }) => note === undefined)) return line
  return `${open}\n${items.map(({ text, note }) => `${indent}  ${text},${note === undefined ? '' : ` // ${note}`}\n`).join('')}${indent}${close}`
}

/** A JavaScript string that can also stand inside a script element. */
export function quote(text: string): string {
  const inner = JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'").replaceAll('</', '<\\/').replaceAll('<!--', '<\\!--')
  return `'${inner}'`
}
