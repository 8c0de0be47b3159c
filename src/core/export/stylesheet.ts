// The stylesheet of an export: knobs on top, then what the page's own words do with the script's numbers.
import { composedOutputs } from '../rig/evaluate'
import { poseOf } from '../rig/play'
import type { Knob, Output } from '../rig/rig'
import type { Figure } from './plan'

/** Readable CSS for these figures, in their order. */
export function writeStylesheet(figures: readonly Figure[]): string {
  return figures.map(writeFigure).join('\n')
}

function writeFigure(figure: Figure): string {
  const { name, number, rig, sentence } = figure
  const knobs = rig.knobs.map((knob) => [`--${name}-${knob.id}: ${cssNumber(knob.value)}${knob.unit};`, knob.note] as const)
  const width = Math.max(...knobs.map(([declaration]) => declaration.length))
  const lines = [
    writeComment(`Figure ${number}. ${sentence} The script writes ${spoken(figure.properties)}.`),
    `${styleText(rig.area.select)} {`,
    ...knobs.map(([declaration, note]) => `  ${declaration.padEnd(width)}  /* ${note} */`),
    '  transform:',
    ...composedOutputs(rig).map((output, index, all) => `    ${writeFunction(figure, output)}${index === all.length - 1 ? ';' : ''}`),
    '}',
    '',
  ]
  return lines.join('\n')
}

/** One transform function: `base + factor * knob * channel` in calc(), without what says nothing. */
function writeFunction({ name, rig, properties }: Figure, { fn, base, factor, knob, channel }: Output): string {
  const factors = [`var(--${name}-${knob})`]
  if (channel !== undefined) {
    const index = rig.channels.findIndex(({ id }) => id === channel)
    const played = rig.channels[index]
    factors.push(`var(${properties[index] ?? ''}, ${cssNumber(played ? poseOf(played) : 0)})`)
  }
  if (factor !== 1) factors.unshift(cssNumber(factor))
  const product = factors.join(' * ')
  if (base !== 0) return `${fn}(calc(${cssNumber(base)} + ${product}))`
  return factors.length > 1 ? `${fn}(calc(${product}))` : `${fn}(${product})`
}

/** The lengths and angles of knobs as CSS writes them: no exponent, no needless digits. */
export function cssNumber(value: Knob['value']): string {
  return String(Number(value.toFixed(6)))
}

const lineLength = 76

/** A comment over as many lines as it needs. */
function writeComment(text: string): string {
  const lines = ['/*']
  for (const word of commentText(text).split(' ')) {
    const line = `${lines.at(-1)} ${word}`
    if (line.length <= lineLength) lines[lines.length - 1] = line
    else lines.push(`   ${word}`)
  }
  return `${lines.join('\n')} */`
}

/** Text that cannot end the comment it stands in. */
function commentText(text: string): string {
  return text.replaceAll('\u202f', ' ').replaceAll('*/', '* /').replaceAll('</', '< /')
}

/** CSS that can also stand inside a style element. */
function styleText(text: string): string {
  return text.replaceAll('</', '<\\/')
}

function spoken(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? 'nothing') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
}
