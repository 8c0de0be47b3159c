// The stylesheet of an export: knobs on top, then what the page's own words do with the script's numbers.
import type { Output, Rig, Target } from '../rig/rig'
import { propertyOf, sides, slotName, transformFunctions, type Slot } from '../rig/slot'
import { planRig, propertyOfOwn } from '../rig/plan'
import { writeKnob, writeValue } from './css-value'
import type { Figure } from './plan'

/** Readable CSS for these figures, in their order. */
export function writeStylesheet(figures: readonly Figure[]): string {
  return figures.map(writeFigure).join('\n')
}

function writeFigure(figure: Figure): string {
  const { names, number, rig, sentence } = figure
  const written = planRig(rig, names).flatMap(({ frames }) => frames.flatMap(({ channels }) => channels.flatMap(({ writes }) => writes.map(({ property }) => property))))
  const knobs = rig.knobs.map((knob) => [`--${names.name}-${knob.id}: ${writeKnob(names, knob)};`, knob.note] as const)
  const width = Math.max(0, ...knobs.map(([declaration]) => declaration.length))
  const owners = [...new Set(rig.areas.map(({ of, select }) => (of === 'window' ? ':root' : styleText(select))))]
  const rules = writeRules(figure)
  return [
    writeComment(`Figure ${number}. ${sentence} The script writes ${spoken([...new Set(written)])}.`),
    ...(knobs.length > 0 ? [`${owners.join(',\n')} {`, ...knobs.map(([declaration, note]) => (note ? `  ${declaration.padEnd(width)}  /* ${commentText(note)} */` : `  ${declaration}`)), '}'] : []),
    ...rig.parts.map(({ id }) => `.${names.name}-${id} { display: none; }`),
    // In print, and with a visitor's own few colours, the page is as it was designed.
    ...(rules.length > 0 ? ['@media screen and (forced-colors: none) {', ...rules.map((line) => (line ? `  ${line}` : line)), '}'] : []),
    '',
  ].join('\n')
}

/** All rules of a figure, by what they select. */
function writeRules({ rig, names }: Figure): readonly string[] {
  const lines: string[] = []
  const add = (select: string, declarations: readonly string[]) => {
    if (declarations.length > 0) lines.push(...`${select} {`.split('\n'), ...declarations.map((line) => `  ${line}`), '}')
  }
  for (const { select, css } of rig.rules) add(styleText(select), writeDeclarations(css))
  for (const { of, select, pointer, touch } of rig.areas) if (pointer === 'any' && of !== 'window') add(styleText(select), touchAction(touch))
  for (const { id, css } of rig.parts) {
    const own = rig.outputs.filter(({ to }) => typeof to === 'object' && 'part' in to && to.part === id)
    add(`.${names.name}-${id}`, ['display: block;', 'pointer-events: none;', ...writeDeclarations(css), ...writeSlots(rig, names, own)])
  }
  const targets = new Map<string, Output[]>()
  for (const output of rig.outputs) {
    if (typeof output.to === 'object' && 'part' in output.to) continue
    const select = selectOf(rig, output)
    targets.set(select, [...(targets.get(select) ?? []), output])
  }
  for (const [select, outputs] of targets) add(guarded(select, names), writeSlots(rig, names, outputs))
  return lines
}

function writeDeclarations(css: Readonly<Record<string, string>>): readonly string[] {
  return Object.entries(css).map(([name, value]) => `${name}: ${styleText(value)};`)
}

/** The selector where the script is at work: without it the page stands as designed. */
function guarded(select: string, { name }: Figure['names']): string {
  return `${select.includes(',') ? `:is(${select})` : select}[data-${name}]`
}

/** What a finger may still do by itself on an area that takes drags. */
function touchAction(touch: Rig['areas'][number]['touch']): readonly string[] {
  if (touch === 'drag-x') return ['touch-action: pan-y pinch-zoom;']
  if (touch === 'drag-y') return ['touch-action: pan-x pinch-zoom;']
  return touch === 'drag' ? ['touch-action: pinch-zoom;'] : []
}

/** The selector of what an output is written on. */
function selectOf(rig: Rig, { to, channel }: Output): string {
  const read = rig.channels.find(({ id }) => id === channel)
  const area = rig.areas.find(({ id }) => id === (read?.area ?? rig.areas[0]?.id))
  const frame = read && typeof read.frame === 'object' && 'each' in read.frame ? read.frame.each : area?.of === 'window' ? ':root' : (area?.select ?? '')
  return styleText(targetSelect(frame, to))
}

function targetSelect(frame: string, to: Target): string {
  if (to === 'self' || 'part' in to) return frame
  if ('linked' in to) return to.linked
  return frame.includes(',') ? `:is(${frame}) ${to.within}` : `${frame} ${to.within}`
}

/** The declarations of these outputs on one element, each property once, composed by its law. */
function writeSlots(rig: Rig, names: Figure['names'], outputs: readonly Output[]): readonly string[] {
  const lines: string[] = []
  const bySlot = new Map<string, Output[]>()
  for (const output of outputs) bySlot.set(slotName(output.slot), [...(bySlot.get(slotName(output.slot)) ?? []), output])
  const term = (name: string) => bySlot.get(name)?.map((output) => writeValue(rig, names, output)) ?? []
  const transforms = transformFunctions.filter((fn) => bySlot.has(fn)).map((fn) => `  ${fn}(${joinValues(term(fn), fn.startsWith('scale') ? '*' : '+')})`)
  // What the page itself does to the element comes first.
  const isPart = outputs.some(({ to }) => typeof to === 'object' && 'part' in to)
  if (transforms.length > 0) lines.push('transform:', ...endLast([...(isPart ? [] : [`  var(${propertyOfOwn(names)},)`]), ...transforms]))
  const filters = outputs.filter(({ slot }) => slot.on === 'filter').map((output) => `${slotName(output.slot)}(${joinValues([writeValue(rig, names, output)], '+')})`)
  if (filters.length > 0) lines.push(`filter: ${filters.join(' ')};`)
  if (outputs.some(({ slot }) => slot.on === 'inset')) {
    const cuts = sides.map((side) => (bySlot.has(`inset-${side}`) ? joinValues(term(`inset-${side}`), ',') : '0'))
    lines.push(`clip-path: inset(${cuts.join(' ')});`)
  }
  for (const same of bySlot.values()) {
    const slot = same[0]?.slot
    if (slot?.on === 'opacity' || slot?.on === 'property') lines.push(`${propertyOf(slot)}: ${joinSlot(slot, same.map((output) => writeValue(rig, names, output)))};`)
  }
  return lines
}

function joinSlot(slot: Slot, values: readonly string[]): string {
  if (slot.on === 'opacity' || (slot.on === 'property' && slot.law === 'multiply')) return joinValues(values, '*')
  return slot.on === 'property' && slot.law === 'replace' ? joinValues(values.slice(-1), '+') : joinValues(values, '+')
}

/** One value by itself, or several joined; what is more than a single word stands in calc(). */
function joinValues(values: readonly string[], by: '+' | '*' | ','): string {
  const [only = '0'] = values
  if (by === ',' && values.length > 1) return `max(${values.join(', ')})`
  const text = values.length < 2 ? only : values.map((value) => (/^[\w-]+\([^()]*(\([^()]*\)[^()]*)*\)$|^[\w.-]+$/.test(value) ? value : `(${value})`)).join(` ${by} `)
  return isSingle(text) ? text : `calc(${text})`
}

/** Whether a text is one word or one function: then it needs no calc(). */
function isSingle(text: string): boolean {
  if (/^[\w.%-]+$/.test(text)) return true
  if (!/^[\w-]+\(.*\)$/.test(text)) return false
  let depth = 0
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '(') depth++
    else if (text[i] === ')' && --depth === 0 && i < text.length - 1) return false
  }
  return true
}

function endLast(lines: readonly string[]): readonly string[] {
  return lines.map((line, i) => (i === lines.length - 1 ? `${line};` : line))
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

