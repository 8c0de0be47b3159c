// Traces as CSV: t,x,y,buttons[,phase][,type][,by][,key], a line for each sample.
import { keys, phases, pointerTypes, type Sample } from '../signal/sample'

const known = ['t', 'x', 'y', 'buttons', 'phase', 'type', 'by', 'key', 'scrollX', 'scrollY'] as const

/**
 * Reads a trace. Lines in order of time; `phase` is `move` and `type` is `mouse` where they are left out. `by` tells of a wheel how many px
 * it turned, of a pinch how many times as large; `key` which key went down.
 * Throws an Error that names the line for anything else.
 */
export function readTrace(text: string): readonly Sample[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/)
  const names = (lines[0] ?? '').split(',').map((name) => name.trim())
  for (const name of ['t', 'x', 'y', 'buttons'])
    if (!names.includes(name)) throw new Error(`A trace begins with the line t,x,y,buttons; there is no column "${name}".`)
  const odd = names.find((name) => !(known as readonly string[]).includes(name))
  if (odd !== undefined) throw new Error(`A trace has no column "${odd}"; its columns are ${known.join(', ')}.`)
  const samples: Sample[] = []
  lines.slice(1).forEach((line, i) => {
    if (line.trim() === '') return
    const cells = line.split(',').map((cell) => cell.trim())
    const cell = (name: string) => cells[names.indexOf(name)] ?? ''
    const number = (name: string) => {
      const value = cell(name) === '' ? NaN : Number(cell(name))
      if (!Number.isFinite(value)) throw new Error(`Line ${i + 2} of the trace: "${cell(name)}" is no number for ${name}.`)
      return value
    }
    const word = <Word extends string>(name: string, words: readonly Word[], usual?: Word): Word => {
      const text = cell(name) || usual
      const found = words.find((each) => each === text)
      if (!found) throw new Error(`Line ${i + 2} of the trace: ${name} is one of ${words.join(', ')}, not "${text}".`)
      return found
    }
    const sample: Sample = {
      t: number('t'),
      x: number('x'),
      y: number('y'),
      buttons: number('buttons'),
      phase: word('phase', phases, 'move'),
      pointerType: word('type', pointerTypes, 'mouse'),
    }
    if (sample.phase === 'wheel' || sample.phase === 'pinch') sample.by = number('by')
    if (sample.phase === 'key') sample.key = word('key', keys)
    if (sample.t < (samples.at(-1)?.t ?? -Infinity))
      throw new Error(`Line ${i + 2} of the trace: its time lies before that of the line above.`)
    samples.push(sample)
  })
  if (samples.length === 0) throw new Error('The trace has no samples.')
  return samples
}

/** Writes a trace that `readTrace` reads. */
export function writeTrace(samples: readonly Sample[]): string {
  const more = samples.some(({ by, key }) => by !== undefined || key !== undefined)
  const line = ({ t, x, y, buttons, phase, pointerType, by, key }: Sample) =>
    `${[t, x, y, buttons, phase, pointerType, ...(more ? [by ?? '', key ?? ''] : [])].join(',')}\n`
  return `t,x,y,buttons,phase,type${more ? ',by,key' : ''}\n${samples.map(line).join('')}`
}
