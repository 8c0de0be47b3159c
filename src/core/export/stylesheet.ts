// The stylesheet of an export: knobs on top, then what the page's own words do with the script's numbers.
import { cssColour, colourOnCurve } from '../curve/colour'
import { valueOnCurve } from '../curve/curve'
import { worstFacts } from '../compile/facts'
import { needsScript } from '../compile/needs-script'
import { playsUnder, restsElsewhere } from '../compile/plays'
import { comingsOf, outputsOf, type Coming } from '../rig/comings'
import {
  isLength,
  isPlain,
  markOfOutput,
  nameOfArea,
  liesInWindow,
  partWhile,
  planRig,
  propertyOfChannel,
  propertyOfKnob,
  propertyOfOutput,
  propertyOfOwn,
} from '../rig/plan'
import { poseOf } from '../rig/play'
import { addedParts, droppedBy, hasIndex, partOf, type Output, type Rig } from '../rig/rig'
import { asOneSelector, selectOf } from '../rig/resolve'
import { sides, transformFunctions } from '../rig/names'
import { keptProperties, lawOf, propertyOf, slotName } from '../rig/slot'
import { gives } from '../compile/own-rules'
import { commentText, lineLength, spoken, writeComment } from './comment'
import { cssNumber, styleText, writeDeclarations, writeKnob, writeTime, writeValue } from './css-value'
import { firmLayer, indented, mayGive, ownSyntax, ownTransition, writeOwnProperties, writeOwnRules, type SheetFacts } from './own-styles'
import type { PlannedEffect } from './plan'
import { selectOfDrawn, writeKeyframes, writeStates, writeWays, type StateRule } from './states'

/**
 * Readable CSS for these effects, in their order. `overlaps` tells which selectors (of `targetsOf`) meet on some element:
 * there, what several effects give one property is composed. `facts` tell what is known of the page: the same that its script is compiled
 * for.
 */
export function writeStylesheet(
  effects: readonly PlannedEffect[],
  overlaps: readonly (readonly string[])[] = [],
  facts: SheetFacts = worstFacts,
): string {
  const comings = comingsOf(effects, facts)
  return [
    ...writeNamed(effects),
    ...ownPropertiesOf(effects, facts),
    ...writeOwnRules(facts, targetsOf(effects)),
    ...effects.map((effect, i) => writeEffect(effect, comings[i] ?? [], facts)),
    ...writeMeetings(effects, overlaps, facts),
  ].join('\n')
}

/** The named values that these effects share, once and on top. */
function writeNamed(effects: readonly PlannedEffect[]): readonly string[] {
  const named = new Map(effects.flatMap(({ named: each = {} }) => Object.values(each).map(({ name, css }) => [name, css] as const)))
  if (named.size === 0) return []
  return [
    [
      writeComment('Values that the effects share.'),
      ':root {',
      ...[...named].map(([name, css]) => `  --${name}: ${styleText(css)};`),
      '}',
      '',
    ].join('\n'),
  ]
}

/** The properties that the script writes: numbers or colours that no element hands down, so that a change touches one element alone. */
function writeRegistered({ rig, names }: PlannedEffect): readonly string[] {
  const written = planRig(rig, names).flatMap(({ frames }) =>
    frames.flatMap(({ channels }) => channels.flatMap((channel) => channel.writes.map((write) => ({ channel, write })))),
  )
  // What an effect before it follows too is registered there.
  const known = new Set(Object.values(names.shared?.channels ?? {}))
  const lines = written
    .filter(({ write: { property } }) => !known.has(property))
    .map(({ channel, write: { property, curve } }) => {
      const unit = isLength(rig, channel.id) ? 'px' : ''
      const syntax = curve && 'colours' in curve ? 'color' : unit === 'px' ? 'length' : 'number'
      return `@property ${property} { syntax: "<${syntax}>"; inherits: false; initial-value: ${awayValue(channel, curve)}${unit}; }`
    })
  return [...new Set(lines)]
}

/** The rules that register what the scripts of these effects write: such rules count in the sheets of a whole page alone. */
export const registrationsOf = (effects: readonly PlannedEffect[], facts: SheetFacts = worstFacts): string =>
  [...ownPropertiesOf(effects, facts), ...effects.flatMap(writeRegistered)].join('\n')

const ownPropertiesOf = (effects: readonly PlannedEffect[], facts: SheetFacts) =>
  writeOwnProperties(
    effects.flatMap((effect) => boundOutputs(effect).map(({ output }) => propertyOf(output.slot))),
    facts,
  )

/** What the script writes of a channel while the pointer is away, through the curve that CSS cannot say where there is one. */
function awayValue(channel: Parameters<typeof poseOf>[0], curve: Output['curve']): string {
  const pose = poseOf(channel)
  return curve && 'colours' in curve ? cssColour(colourOnCurve(curve, pose)) : cssNumber(curve ? valueOnCurve(curve, pose) : pose)
}

/** For visitors who prefer reduced motion, what travels, turns or grows stays where it lies without the pointer. */
function writeCalm(effect: PlannedEffect, facts: SheetFacts): readonly string[] {
  const { rig, names } = effect
  const bySelect = new Map<string, Set<string>>()
  for (const output of rig.outputs) {
    const frozen = [output.channel, output.weight]
      .map((id) => rig.channels.find((channel) => channel.id === id))
      .filter((channel) => channel && channel.group !== 'light' && channel.group !== 'state')
    const part = partOf(output.to)
    const select = part === undefined ? guarded([boundOf(effect, output)]) : `.${names.name}-${part}`
    for (const channel of frozen) {
      if (!channel) continue
      const plain = isPlain(output) || channel.id !== output.channel
      const property = plain
        ? propertyOfChannel(names, channel.id, channel.id === output.channel ? output.link : undefined)
        : propertyOfOutput(names, output)
      bySelect.set(
        select,
        (bySelect.get(select) ?? new Set()).add(
          `${property}: ${awayValue(channel, plain ? undefined : output.curve)}${isLength(rig, channel.id) ? 'px' : ''} !important;`,
        ),
      )
    }
  }
  for (const { select, part, css } of rig.rules.filter(({ isCalm }) => isCalm)) {
    const target = part === undefined ? styleText(select) : `.${names.name}-${part}`
    const lines = writeDeclarations(css, names).map(asImportant)
    bySelect.set(target, new Set([...(bySelect.get(target) ?? []), ...lines]))
  }
  if (bySelect.size === 0 || rig.notCalm) return []
  const rules = [...bySelect].flatMap(([select, lines]) => [`  ${select.replaceAll('\n', '\n  ')} { ${[...lines].join(' ')} }`])
  // What is held in a layer goes before all else: so does this, where parts are held.
  const isHeld =
    rig.rules.some(({ isCalm, part }) => isCalm && part !== undefined) && (facts.partStyles.length > 0 || facts.hasPartTransitions)
  return ['@media (prefers-reduced-motion: reduce) {', ...(isHeld ? [`  ${firmLayer}`, ...indented(rules), '  }'] : rules), '}']
}

/** What a knob or a token is given: a named value, or a value of its own. */
function givenTo(effect: PlannedEffect, id: string, own: string): string {
  const shared = effect.named?.[id]
  if (!shared) return own
  return multiplied(effect, id, `var(--${shared.name})`, shared.times)
}

/** A value of a knob, so many times, and as many times as the knob is of another one. */
function multiplied({ rig, names }: PlannedEffect, id: string, value: string, times = 1): string {
  const by = rig.knobs.find((knob) => knob.id === id)?.times
  const factors = [...(times === 1 ? [] : [cssNumber(times)]), value, ...(by === undefined ? [] : [`var(${propertyOfKnob(names, by)})`])]
  return factors.length === 1 ? value : `calc(${factors.join(' * ')})`
}

/** The selectors of all elements of the page that the effects write on. */
export function targetsOf(effects: readonly PlannedEffect[]): readonly string[] {
  return [...new Set(effects.flatMap((effect) => boundOutputs(effect).map(({ select }) => select)))]
}

/** An output with the effect that it belongs to, and the selector of what it is written on. */
interface Bound {
  readonly effect: PlannedEffect
  readonly output: Output
  readonly select: string
  /** The attribute that tells that the script is at work there. */
  readonly mark: string
}

/** On which elements the knobs and tokens stand: the areas, and what uses some of them outside of these, parts that stand elsewhere among it. */
function ownersOf({ rig, names }: PlannedEffect): readonly string[] {
  const { areas, rules, states = [] } = rig
  const homes = areas.map(({ of, select }) => (of === 'window' ? ':root' : select))
  const isInside = (select: string) =>
    homes.some((home) => home === ':root' || select === home || /^(\s*>|\s+[^\s+~>]|[.:[#])/.test(afterStart(select, home)))
  const outside = rules.filter(({ select, css }) => !isInside(select) && Object.values(css).some((value) => value.includes('{')))
  const linked = states.flatMap(({ to }) => (typeof to === 'object' && 'linked' in to && !isInside(to.linked) ? [to.linked] : []))
  const elsewhere = addedParts(rig).filter(({ host, is }) => (host ?? is) !== undefined && !homes.includes(':root'))
  return [
    ...new Set([
      ...[...homes, ...outside.map(({ select }) => select), ...linked].map(styleText),
      ...elsewhere.map(({ id }) => `.${names.name}-${id}`),
    ]),
  ]
}

/** What follows a text's beginning; empty where it begins otherwise. */
const afterStart = (text: string, start: string): string => (text.startsWith(start) ? text.slice(start.length) : '')

function writeEffect(effect: PlannedEffect, comings: readonly Coming[], facts: SheetFacts): string {
  const { names, number, rig, sentence } = effect
  const written = planRig(rig, names).flatMap(({ frames }) =>
    frames.flatMap(({ channels }) =>
      channels.flatMap(({ id, writes }) => (comings.some((coming) => coming.id === id) ? [] : writes.map(({ property }) => property))),
    ),
  )
  const given = (id: string, own: string, note: string) => [`${propertyOfKnob(names, id)}: ${givenTo(effect, id, own)};`, note] as const
  const knobs = [
    ...rig.knobs.map((knob) => given(knob.id, writeKnob(names, knob), knob.note)),
    ...(rig.tokens ?? []).map(({ id, value, note }) => given(id, styleText(value), note)),
    ...comings.flatMap((coming) => writeTimes(effect, coming)),
    ...writeWays(effect),
  ]
  const width = Math.max(0, ...knobs.map(([declaration]) => declaration.length).filter((length) => length <= longestBeside))
  const owners = ownersOf(effect)
  const rules = writeRules(effect, comings, facts)
  return [
    writeComment(
      `Effect ${number}. ${sentence} ${written.length > 0 ? `The script writes ${spoken([...new Set(written)])}.` : needsScript(rig) ? 'The script says where the pointer is.' : 'It needs no script.'}`,
    ),
    ...writeRegistered(effect),
    ...(knobs.length > 0
      ? [`${owners.join(',\n')} {`, ...knobs.flatMap(([declaration, note]) => writeKnown(declaration, note, width)), '}']
      : []),
    ...writeNarrow(effect, owners),
    ...writeOverrides(effect),
    ...(addedParts(rig).length > 0 ? [`${listParts(effect, addedParts(rig))} { display: none; }`] : []),
    // In print, and with a visitor's own few colours, the page is as it was designed.
    ...(rules.length > 0
      ? [
          `@media ${['screen', '(forced-colors: none)', ...conditionsOf(effect)].join(' and ')} {`,
          ...rules.map((line) => (line ? `  ${line}` : line)),
          '}',
        ]
      : []),
    ...writeLives(effect),
    ...writeKeyframes(effect),
    ...writeMoving(effect, facts),
    ...writeCalm(effect, facts),
    '',
  ].join('\n')
}

/** A note stands beside what is no longer than this. */
const longestBeside = 90

/** A custom property with its note beside it, or above it where it is long. */
const writeKnown = (declaration: string, note: string, width: number): readonly string[] =>
  note === ''
    ? [`  ${declaration}`]
    : declaration.length > longestBeside
      ? [`  /* ${commentText(note)} */`, `  ${declaration}`]
      : [`  ${declaration.padEnd(width)}  /* ${commentText(note)} */`]

/** What of hover looks and rules moves, where that is welcome. */
function writeMoving(effect: PlannedEffect, facts: SheetFacts): readonly string[] {
  const blocks = writeStates(effect, 'moving').map((state) => ({ select: state[0], ...behindOwnTimes(state, facts) }))
  const conditions = ['screen', '(forced-colors: none)', ...new Set([...conditionsOf(effect), '(prefers-reduced-motion: no-preference)'])]
  const write = (select: string, declarations: readonly string[]) =>
    declarations.length > 0 ? [...`${select} {`.split('\n'), ...indented(declarations), '}'] : []
  const firm = blocks.flatMap(({ select, held }) => write(select, held))
  const lines = [
    ...effect.rig.rules
      .filter(({ isMotion }) => isMotion)
      .flatMap(({ select, css }) => write(styleText(select), writeDeclarations(css, effect.names))),
    ...blocks.flatMap(({ select, loose }) => write(select, loose)),
    ...(firm.length > 0 ? [firmLayer, ...indented(firm), '}'] : []),
  ]
  return lines.length > 0 ? [`@media ${conditions.join(' and ')} {`, ...lines.map((line) => `  ${line}`), '}'] : []
}

/** What single matches have otherwise: one custom property on each. */
function writeOverrides(effect: PlannedEffect): readonly string[] {
  const { names, overrides = {} } = effect
  const known = knownIn(effect)
  const bySelect = grouped(
    Object.entries(overrides)
      .filter(([id]) => known.has(id))
      .flatMap(([id, { values }]) =>
        Object.entries(values).map(([select, value]) => ({
          select,
          line: `${propertyOfKnob(names, id)}: ${multiplied(effect, id, styleText(value))};`,
        })),
      ),
    ({ select }) => select,
  )
  return [...bySelect].map(([select, lines]) => `${styleText(select)} { ${lines.map(({ line }) => line).join(' ')} }`)
}

/** What knobs and tokens are in narrow windows. */
function writeNarrow(effect: PlannedEffect, owners: readonly string[]): readonly string[] {
  const { names, narrow } = effect
  const known = knownIn(effect)
  const lines = Object.entries(narrow?.values ?? {})
    .filter(([id]) => known.has(id))
    .map(([id, value]) => `    ${propertyOfKnob(names, id)}: ${multiplied(effect, id, styleText(value))};`)
  return lines.length === 0 ? [] : [`@media (max-width: ${narrow?.upToPx ?? 0}px) {`, `  ${owners.join(',\n  ')} {`, ...lines, '  }', '}']
}

/** The knobs and tokens of an effect, by id. */
const knownIn = ({ rig }: PlannedEffect) => new Set([...rig.knobs, ...(rig.tokens ?? [])].map(({ id }) => id))

/** All rules of an effect, by what they select. */
function writeRules(effect: PlannedEffect, comings: readonly Coming[], facts: SheetFacts): readonly string[] {
  const { rig, names } = effect
  const { hasPositions } = facts
  const blocks = new Map<string, string[]>()
  const firm = new Map<string, readonly string[]>()
  // What one selector says stands in one block, where it is first met.
  const add = (select: string, declarations: readonly string[]) => {
    const known = blocks.get(select) ?? []
    if (declarations.length > 0) blocks.set(select, [...known, ...declarations.filter((each) => !known.includes(each))])
  }
  const hold = (select: string, declarations: readonly string[]) => firm.set(select, [...(firm.get(select) ?? []), ...declarations])
  for (const { select, css, whilePlayed } of rig.rules.filter(({ isMotion, isCalm }) => !isMotion && !isCalm)) {
    add(whilePlayed ? selectPlayed(effect, select) : styleText(select), writeDeclarations(css, names))
  }
  const isPinched = (id: string) => rig.channels.some(({ area, signal }) => area === id && signal.of === 'pinch')
  for (const { id, of, select, pointer, touch } of rig.areas)
    if (pointer === 'any' && of !== 'window') add(styleText(select), touchAction(touch, isPinched(id)))
  // What is added to an element stands where that is; where the page may position it, the script looks.
  for (const { id, of, select } of hasPositions ? [] : rig.areas)
    if (addedParts(rig).some(({ area, host, is, inside }) => area === id && host === undefined && is === undefined && inside === undefined))
      add(`${of === 'window' ? ':root' : asOneSelector(styleText(select))}[data-${nameOfArea(names, rig, id)}]`, ['position: relative;'])
  for (const { host } of rig.parts)
    // Of no weight: where the page positions it, that stays.
    if (typeof host === 'object') add(`:where(${styleText(host.on)})`, ['position: relative;'])
  const added = addedParts(rig)
  const common = sharedCss(added.some(hasIndex) ? [] : added)
  if (added.length > 0) add(listParts(effect, added), ['display: block;', 'pointer-events: none;', ...writeDeclarations(common, names)])
  for (const part of rig.parts.filter(({ drawn }) => drawn))
    for (const [select, declarations] of writeDrawn(effect, part)) add(select, declarations)
  for (const { is } of added) if (is !== undefined) add(`:where(${styleText(is)}[popover])`, takenPlainly)
  for (const part of added) {
    const { id, css, reached, host, is } = part
    const own = rig.outputs.filter(({ to }) => partOf(to) === id).map((output) => ({ effect, output, select: '', mark: '' }))
    const rest = Object.fromEntries(
      Object.entries(css).filter(([property, text]) => !(property in common) && `${property} ${text}` !== 'pointer-events none'),
    )
    add(`.${names.name}-${id}`, [
      ...(host === 'top' ? onTop : []),
      ...(is === undefined ? [] : taken),
      ...(reached && !('pointer-events' in css) ? ['pointer-events: auto;'] : []),
      ...writeDropped(effect, part),
      ...writeDeclarations(rest, names, hasIndex(part) ? `${names.name}-${id}` : undefined),
      ...writeSlots(own).flatMap(({ lines: each }) => each),
    ])
  }
  const list = listParts(effect, added)
  if (added.length > 0 && facts.partStyles.length > 0) {
    // What the page gives all that is in things is not for parts.
    hold(list, [...facts.partStyles.map((property) => `${property}: unset !important;`), ...(blocks.get(list) ?? []).map(asImportant)])
    for (const { id, box } of added) {
      const select = `.${names.name}-${id}`
      // Nothing of the page gives what is ours alone, and a script could not write it any more.
      const isForThem = (line: string) => !line.startsWith('--') && (box === undefined || !line.startsWith('inset:'))
      hold(select, (blocks.get(select) ?? []).filter(isForThem).map(asImportant))
    }
  }
  if (added.length > 0 && facts.hasPartTransitions) {
    hold(list, ['transition: none !important;'])
    for (const {
      id,
      css: { transition },
    } of added)
      if (transition !== undefined) hold(`.${names.name}-${id}`, writeDeclarations({ transition }, names).map(asImportant))
  }
  for (const same of grouped(boundOutputs(effect), ({ select, mark }) => `${select} ${mark}`).values()) {
    const { loose, held } = heldAgainst(facts, same)
    add(guarded(same), loose)
    if (held.length > 0) hold(guarded(same), held)
  }
  for (const coming of comings)
    for (const [select, declarations] of writeComing(effect, coming)) {
      add(select, declarations)
      if (facts.hasPartTransitions && declarations.some((line) => line.startsWith('transition:')))
        hold(select, declarations.map(asImportant))
    }
  for (const state of writeStates(effect, 'still')) {
    const { loose, held } = behindOwnTimes(state, facts)
    add(state[0], loose)
    if (held.length > 0) hold(state[0], held)
  }
  const write = (all: ReadonlyMap<string, readonly string[]>) =>
    [...all].flatMap(([select, declarations]) => [...`${select} {`.split('\n'), ...indented(declarations), '}'])
  return [...write(blocks), ...(firm.size > 0 ? [firmLayer, ...indented(write(firm)), '}'] : [])]
}

/** What a rule selects while the script is at work: an area, something in one, or what is written on. */
function selectPlayed(effect: PlannedEffect, select: string): string {
  const { rig, names } = effect
  const homeOf = ({ of, select: own }: Rig['areas'][number]) => (of === 'window' ? ':root' : own)
  const area = rig.areas.find((each) => select === homeOf(each) || select.startsWith(`${homeOf(each)} `))
  // What is no area is marked where it is written on.
  const mark = area
    ? `data-${nameOfArea(names, rig, area.id)}`
    : boundOutputs(effect).find((each) => each.select === select || isWithin(each.output.to, select))?.mark
  if (mark === undefined) return styleText(select)
  const home = area ? homeOf(area) : select
  return `${asOneSelector(styleText(home))}[${mark}]${styleText(select.slice(home.length))}`
}

/** What a look declares: by itself, and what is held: what the page would give otherwise, what takes its time behind what the page itself does, and of parts what the page gives whatever is in things. */
function behindOwnTimes(
  [, declarations, isOnPage, isOff]: StateRule,
  facts: SheetFacts,
): { readonly loose: readonly string[]; readonly held: readonly string[] } {
  if (!isOnPage) {
    // What parts are by themselves is held there; what a look makes of them has to be as well.
    const isHeld = (line: string) => facts.partStyles.length > 0 || (facts.hasPartTransitions && line.startsWith('transition'))
    return { loose: declarations.filter((line) => !isHeld(line)), held: declarations.filter(isHeld).map(asImportant) }
  }
  const isKept = gives(facts.ownRules, 'transition')
  const isTime = (line: string) => isKept && line.startsWith('transition')
  // What the page gives by a stronger rule is held against it, and nothing else.
  const isContested = (line: string) => !isOff && facts.contested.some((property) => line.startsWith(`${property}: `))
  return {
    loose: declarations.filter((line) => !isTime(line) && !isContested(line)),
    held: [
      ...declarations.filter(isContested).map(asImportant),
      ...declarations.filter(isTime).map((line) => asImportant(line.replace(/^transition: /, `transition: ${ownTransition}, `))),
    ],
  }
}

/** A line of a declaration as of an important one; of those that take several lines the last one says so. */
const asImportant = (line: string) => line.replace(/;$/, ' !important;')

/**
 * What these outputs declare on one element: by itself, and what has to be held against rules of the page that give the same; with the
 * page's own transitions, behind which nothing that follows the pointer takes any time.
 */
function heldAgainst(
  facts: SheetFacts,
  bound: readonly Bound[],
  isWritten: (property: string) => boolean = () => true,
): { readonly loose: readonly string[]; readonly held: readonly string[] } {
  const slots = writeSlots(bound, facts).filter(({ property }) => isWritten(property))
  const linesOf = (isHeld: boolean) => slots.filter(({ property }) => mayGive(facts, property) === isHeld).flatMap(({ lines }) => lines)
  const followed = bound.flatMap(({ effect: { names }, output }) => [
    propertyOf(output.slot),
    ...(output.channel === undefined
      ? []
      : [isPlain(output) ? propertyOfChannel(names, output.channel, output.link) : propertyOfOutput(names, output)]),
    ...(output.weight === undefined ? [] : [propertyOfChannel(names, output.weight)]),
  ])
  const still = [...new Set(followed)].map((name) => `${name} 0s`)
  const list = gives(facts.ownRules, 'transition') ? [`transition: ${[ownTransition, ...still].join(', ')} !important;`] : []
  return { loose: linesOf(false), held: [...linesOf(true).map(asImportant), ...list] }
}

/** Where what is dropped lies, and how it lives. */
function writeDropped({ rig, names }: PlannedEffect, part: Rig['parts'][number]): readonly string[] {
  const by = droppedBy(part)
  if (!by) return []
  const property = `--${names.name}-${part.id}`
  return [
    `position: ${liesInWindow(rig, part) ? 'fixed' : 'absolute'};`,
    `left: calc(var(${property}-x) * 1px);`,
    `top: calc(var(${property}-y) * 1px);`,
    `animation: ${names.name}-${part.id} ${cssNumber(by.forMs)}ms ${by.easing ?? 'linear'} both;`,
  ]
}

/** The lives of what is dropped, as keyframes. */
function writeLives({ rig, names }: PlannedEffect): readonly string[] {
  return addedParts(rig).flatMap((part) => {
    const { from = {}, to = {} } = droppedBy(part) ?? {}
    if (!droppedBy(part)) return []
    const fill = (css: Readonly<Record<string, string>>) => writeDeclarations(css, names, `${names.name}-${part.id}`).join(' ')
    return [`@keyframes ${names.name}-${part.id} {`, `  from { ${fill(from)} }`, `  to { ${fill(to)} }`, '}']
  })
}

/** What takes off what browsers give to all that is in the top layer. */
const onTop = [
  'inset: 0 auto auto 0;',
  'margin: 0;',
  'border: 0;',
  'padding: 0;',
  'overflow: visible;',
  'background: none;',
  'color: inherit;',
]

/** Where an element of the page lies that is taken for a part. */
const taken = ['position: fixed;', 'inset: 0 auto auto 0;', 'margin: 0;']

/** What takes off the rest of it, where the page itself gives it none. */
const takenPlainly = ['border: 0;', 'padding: 0;', 'overflow: visible;', 'background: none;', 'color: inherit;']

/** What the stylesheet draws itself, as a pseudo-element of the match or of a part: it lies where that is, wherever it stands. */
function writeDrawn(
  effect: PlannedEffect,
  { area, css, drawn, inside }: Rig['parts'][number],
): readonly (readonly [select: string, declarations: readonly string[]])[] {
  const own = effect.rig.areas.find((each) => each.id === area)
  if (!own || !drawn) return []
  const around = effect.rig.parts.find(({ id }) => id === inside)
  if (around) {
    const select = `.${effect.names.name}-${around.id}`
    return [
      [`${select}::${drawn}`, ["content: '';", ...writeDeclarations(css, effect.names, hasIndex(around) ? select.slice(1) : undefined)]],
    ]
  }
  return [
    // Of no weight: where the page positions it, that stays.
    [`:where(${styleText(own.select)})`, ['position: relative;']],
    [selectOfDrawn(own, drawn), ["content: '';", 'pointer-events: none;', ...writeDeclarations(css, effect.names)]],
  ]
}

/** The property that holds how a channel comes or goes; of the only one the name says no more. */
function propertyOfWay({ names, rig }: PlannedEffect, { id }: Coming, way: 'comes' | 'goes' | 'way'): string {
  const isOnly = rig.channels.filter(({ signal }) => signal.of === 'inside').length === 1 && !rig.knobs.some((knob) => knob.id === way)
  return `--${names.name}-${isOnly ? '' : `${id}-`}${way}`
}

/** How a channel comes and goes, for a designer to turn. */
function writeTimes(effect: PlannedEffect, coming: Coming): readonly (readonly [declaration: string, note: string])[] {
  const { feel, going = feel } = coming
  return [
    [`${propertyOfWay(effect, coming, 'comes')}: ${writeTime(feel)};`, 'how it comes'],
    [`${propertyOfWay(effect, coming, 'goes')}: ${writeTime(going)};`, 'how it goes'],
  ]
}

/** What comes with the pointer and goes with it: the script says by a mark that it is there, and a transition does the rest. */
function writeComing(effect: PlannedEffect, coming: Coming): readonly (readonly [select: string, declarations: readonly string[]])[] {
  const { rig, names } = effect
  const property = propertyOfChannel(names, coming.id)
  const area = rig.areas.find(({ id }) => id === coming.area)
  const ground = area?.of === 'window' ? ':root' : asOneSelector(styleText(area?.select ?? ''))
  const mark = `data-${nameOfArea(names, rig, coming.area)}`
  const shown = outputsOf(rig, coming)
  const parts = [...new Set(shown.flatMap(({ to }) => partOf(to) ?? []))]
  const within = [
    ...new Set(shown.filter(({ to }) => typeof to === 'object' && 'within' in to).map((output) => styleText(selectOf(rig, output)))),
  ]
  const isOnSelf = shown.some(({ to }) => to === 'self')
  const on = `${ground}[${mark}="on"]`
  const isThere = [
    ...(isOnSelf ? [on] : []),
    ...within.map((select) => `${on} ${select.startsWith(`${ground} `) ? select.slice(ground.length + 1) : `:is(${select})`}`),
    ...parts.map((part) => partWhile(rig, names, on, part)),
  ]
  return [
    [
      [
        ...(isOnSelf ? [`${ground}[${mark}]`] : []),
        ...within.map((select) => `${asOneSelector(select)}[${mark}]`),
        ...parts.map((part) => `.${names.name}-${part}`),
      ].join(',\n'),
      [`transition: ${property} var(${propertyOfWay(effect, coming, 'way')}, var(${propertyOfWay(effect, coming, 'goes')}));`],
    ],
    [on, [`${propertyOfWay(effect, coming, 'way')}: var(${propertyOfWay(effect, coming, 'comes')});`]],
    [isThere.join(',\n'), [`${property}: 1;`]],
    // A part that has just been added begins as it goes.
    ...(parts.length > 0
      ? [[parts.map((part) => partWhile(rig, names, on, part)).join(',\n'), ['@starting-style {', `  ${property}: 0;`, '}']] as const]
      : []),
  ]
}

/** The classes of parts, a line each. */
const listParts = ({ names }: PlannedEffect, parts: Rig['parts']) => parts.map(({ id }) => `.${names.name}-${id}`).join(',\n')

/** The declarations that all parts have. */
function sharedCss([first, ...rest]: Rig['parts']): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(first?.css ?? {}).filter(([property, value]) => rest.every(({ css }) => css[property] === value)),
  )
}

const isWithin = (to: Output['to'], select: string) => typeof to === 'object' && 'within' in to && to.within === select

/** What an effect writes on elements of the page. */
function boundOutputs(effect: PlannedEffect): readonly Bound[] {
  return effect.rig.outputs.filter(({ to }) => partOf(to) === undefined).map((output) => boundOf(effect, output))
}

const boundOf = (effect: PlannedEffect, output: Output): Bound => ({
  effect,
  output,
  select: styleText(selectOf(effect.rig, output)),
  mark: markOfOutput(effect.names, effect.rig, output),
})

/** Rules for elements on which several effects meet, for the properties that more than one of them drives. */
function writeMeetings(effects: readonly PlannedEffect[], overlaps: readonly (readonly string[])[], facts: SheetFacts): readonly string[] {
  const all = effects.flatMap(boundOutputs)
  const sets = new Map([...targetsOf(effects).map((select) => [select]), ...overlaps].map((set) => [[...set].sort().join('\n'), set]))
  return [...sets.values()].flatMap((set) => {
    const bound = all.filter(({ select }) => set.includes(select))
    // Those that play under a condition meet the others under it alone.
    return subsetsOf([...new Set(bound.flatMap(({ effect }) => conditionsOf(effect)))]).flatMap((conditions) =>
      writeMeeting(
        bound.filter(({ effect }) => conditionsOf(effect).every((each) => conditions.includes(each))),
        conditions,
        facts,
      ),
    )
  })
}

/** The rule for elements that all of these are written on, where all of these conditions hold. */
function writeMeeting(bound: readonly Bound[], conditions: readonly string[], facts: SheetFacts): readonly string[] {
  const owners = (property: string) =>
    new Set(
      bound
        .filter(({ output }) => propertyOf(output.slot) === property)
        .map(({ effect, mark, select }) => `${effect.number} ${mark} ${select}`),
    )
  const meetsIn = (property: string) => owners(property).size > 1
  const shares = bound.some(({ output }) => meetsIn(propertyOf(output.slot)))
  // They have one list of transitions.
  const hasList = gives(facts.ownRules, 'transition') && new Set(bound.map(({ effect, mark }) => `${effect.number} ${mark}`)).size > 1
  const meeting = hasList ? bound : bound.filter(({ output }) => meetsIn(propertyOf(output.slot)))
  const isNew = conditions.every((condition) => meeting.some(({ effect }) => conditionsOf(effect).includes(condition)))
  if (!(shares || hasList) || !isNew) return []
  const numbers = [...new Set(meeting.map(({ effect }) => String(effect.number)))]
  const selector = guarded(meeting)
    .split('\n')
    .map((line) => `  ${line}`)
    .join('\n')
  const { loose, held } = heldAgainst(facts, meeting, meetsIn)
  const rule = (lines: readonly string[]) => [`${selector} {`, ...lines.map((line) => `    ${line}`), '  }']
  const words =
    numbers.length > 1
      ? `Effects ${spoken(numbers)} meet here: their values are composed.`
      : `Effect ${numbers[0] ?? ''} meets itself here: its values are composed.`
  return [
    [
      writeComment(words),
      `@media ${['screen', '(forced-colors: none)', ...conditions].join(' and ')} {`,
      ...(loose.length > 0 ? rule(loose) : []),
      ...(held.length > 0 ? [`  ${firmLayer}`, ...indented(rule(held)), '  }'] : []),
      '}',
      '',
    ].join('\n'),
  ]
}

/** Under which conditions of the browser an effect plays, besides those that all have. */
const conditionsOf = ({ rig }: PlannedEffect): readonly string[] => [
  ...(rig.finePointerOnly ? ['(any-pointer: fine)'] : []),
  ...(restsElsewhere(rig) ? [] : playsUnder(rig)),
  ...(rig.media === undefined ? [] : [rig.media]),
]

/** All subsets of some conditions, the smaller ones first; of more than four only none and all. */
function subsetsOf(conditions: readonly string[]): readonly (readonly string[])[] {
  if (conditions.length > 4) return [[], conditions]
  const subsets = conditions.reduce<readonly (readonly string[])[]>(
    (sets, condition) => [...sets, ...sets.map((set) => [...set, condition])],
    [[]],
  )
  return [...subsets].sort((one, other) => one.length - other.length)
}

/** The members of a list by a key, in their order. */
function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>()
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item])
  return groups
}

/**
 * The selector of elements that all of these are written on, where the script is at work: without it the page stands as designed. Where one of
 * them is, the others count as they are without the pointer.
 */
function guarded(bound: readonly Bound[]): string {
  const [first = '', ...rest] = [...new Set(bound.map(({ select }) => select))]
  const marks = [...new Set(bound.map(({ mark }) => `[${mark}]`))]
  return `${asOneSelector(first)}${rest.map((select) => `:is(${select})`).join('')}${marks.length > 1 ? `:is(${marks.join(', ')})` : marks.join('')}`
}

/** What a finger may still do by itself on an area that takes drags. */
function touchAction(touch: Rig['areas'][number]['touch'], isPinched: boolean): readonly string[] {
  const scrolls = { 'drag-x': ['pan-y'], 'drag-y': ['pan-x'], drag: [], tap: undefined, none: undefined }[touch]
  if (!scrolls) return []
  // Two fingers are left to the page where the effect does nothing with them.
  return [`touch-action: ${[...scrolls, ...(isPinched ? [] : ['pinch-zoom'])].join(' ') || 'none'};`]
}

/** The declarations of these outputs on one element, each property once, composed by its law. */
function writeSlots(
  bound: readonly Bound[],
  facts?: SheetFacts,
): readonly { readonly property: string; readonly lines: readonly string[] }[] {
  const bySlot = grouped(bound, ({ output }) => slotName(output.slot))
  const write = ({ effect, output }: Bound) => writeValue(effect.rig, effect.names, output)
  const join = (name: string) =>
    joinValues(bySlot.get(name)?.map(write) ?? [], joints[lawOf(bySlot.get(name)?.[0]?.output.slot ?? { on: 'opacity' })])
  return [...grouped(bound, ({ output }) => propertyOf(output.slot))].map(([property, same]) => {
    const [first] = same
    // What the page itself gives the element comes first.
    const kept =
      first && facts && mayGive(facts, property)
        ? [
            property in ownSyntax
              ? `var(${propertyOfOwn(property)})`
              : `var(${propertyOfOwn(property)},${keptProperties[property] ? ` ${keptProperties[property]}` : ''})`,
          ]
        : []
    switch (first?.output.slot.on) {
      case 'transform': {
        const functions = transformFunctions.filter((fn) => bySlot.has(fn)).map((fn) => `${fn}(${join(fn)})`)
        return { property, lines: ['transform:', ...endLast([...kept, ...functions].map((each) => `  ${each}`))] }
      }
      case 'filter':
        return {
          property,
          lines: [
            `filter: ${[...kept, ...same.map((each) => `${slotName(each.output.slot)}(${joinValues([write(each)], '+')})`)].join(' ')};`,
          ],
        }
      case 'inset':
        return {
          property,
          lines: [`clip-path: inset(${sides.map((side) => (bySlot.has(`inset-${side}`) ? join(`inset-${side}`) : '0')).join(' ')});`],
        }
      case 'slide':
        return {
          property,
          lines: [`translate: ${(['slide-x', 'slide-y'] as const).map((name) => (bySlot.has(name) ? join(name) : '0')).join(' ')};`],
        }
      case 'clip':
        return { property, lines: [`clip-path: ${writeLayers(same).at(-1) ?? 'none'};`] }
      case 'shadow':
      case 'background':
      case 'mask':
        return {
          property,
          lines: [
            `${property}:`,
            ...endLast([...kept, ...writeLayers(same)].flatMap((each, i, all) => `  ${each}${i < all.length - 1 ? ',' : ''}`.split('\n'))),
            ...(property === 'mask-image' ? ['mask-composite: intersect;'] : []),
          ],
        }
      default:
        return { property, lines: first ? [`${property}: ${joinValues([...kept, join(slotName(first.output.slot))], '*')};`] : [] }
    }
  })
}

/** The layers of one property, their holes filled. */
function writeLayers(bound: readonly Bound[]): readonly string[] {
  const layers = grouped(bound, ({ effect, output: { slot } }) => `${effect.names.name} ${'layer' in slot ? slot.layer : ''}`)
  return [...layers.values()].map((same) => {
    const slot = same[0]?.output.slot
    const layer = same[0]?.effect.rig.layers?.find(({ id }) => slot && 'layer' in slot && id === slot.layer)
    const fill = (hole: string) => {
      const filling = same.filter(({ output }) => 'hole' in output.slot && output.slot.hole === hole)
      // What no value fills is a knob or a token.
      return filling.length === 0 && same[0]
        ? `var(${propertyOfKnob(same[0].effect.names, hole)})`
        : joinValues(
            filling.map(({ effect, output }) => writeValue(effect.rig, effect.names, output)),
            '+',
          )
    }
    const text = styleText(layer?.css ?? 'none')
    const filledIn = (css: string) =>
      css.replace(/\{([^}]*)\}/g, (_, hole: string, at: number) => (isCounted(css.slice(0, at)) ? withoutCalc(fill(hole)) : fill(hole)))
    const filled = filledIn(text)
    // Where it is long, values that follow one another have a line each.
    return filled.length > lineLength ? filledIn(text.replaceAll('} {', '}\n    {')) : filled
  })
}

/** Whether what comes after this text stands in a calc(). */
function isCounted(before: string): boolean {
  const opened: string[] = []
  for (const [token] of before.matchAll(/[\w-]*\(|\)/g)) {
    if (token === ')') opened.pop()
    else opened.push(token)
  }
  return opened.includes('calc(')
}

/** A value as a term of what is worked out already. */
function withoutCalc(value: string): string {
  const inner = /^calc\((.*)\)$/.exec(value)?.[1]
  return inner === undefined || !isSingle(value) ? value : / [+-] /.test(inner) ? `(${inner})` : inner
}

/** What stands between values that are composed by a law. */
const joints = { add: '+', multiply: '*', greatest: ',', last: '' } as const

/** One value by itself, or several joined; what is more than a single word stands in calc(). */
function joinValues(values: readonly string[], by: (typeof joints)[keyof typeof joints]): string {
  const only = values.at(-1) ?? '0'
  if (by === ',' && values.length > 1) return `max(${values.join(', ')})`
  const text =
    values.length < 2 || by === ''
      ? only
      : values.map((value) => (/^[\w-]+\([^()]*(\([^()]*\)[^()]*)*\)$|^[\w.-]+$/.test(value) ? value : `(${value})`)).join(` ${by} `)
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
