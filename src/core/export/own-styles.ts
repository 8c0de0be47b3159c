// What the page itself gives the elements of effects, in a stylesheet: kept beside what effects give, and composed with it.
import type { Facts } from '../compile/facts'
import { gives, writeOwn } from '../compile/own-rules'
import type { ComingFacts } from '../rig/comings'
import { isContained } from '../rig/css-text'
import { propertyOfOwn } from '../rig/plan'
import { keptProperties } from '../rig/slot'
import { writeComment } from './comment'
import { styleText } from './css-value'

/** What has to be known of a page for its stylesheet. */
export type SheetFacts = ComingFacts &
  Pick<Facts, 'hasPositions' | 'ownLayers' | 'hasOwnStyles' | 'hasInlineStyles' | 'hasPartTransitions' | 'partStyles' | 'contested'>

/** The properties that keep what the page itself gives elements, of those that are driven: nobody inherits them. */
export function writeOwnProperties(driven: readonly string[], facts: SheetFacts): readonly string[] {
  const kept = [
    ...new Set(driven.filter((property) => mayGive(facts, property))),
    ...(gives(facts.ownRules, 'transition') ? ['transition'] : []),
  ]
  return kept.length === 0
    ? []
    : [
        [
          ...kept.map((property) => `@property ${propertyOfOwn(property)} { ${ownSyntax[property] ?? 'syntax: "*"; inherits: false;'} }`),
          '',
        ].join('\n'),
      ]
}

/** Those that a transition of the page may take from one value to another. */
export const ownSyntax: Readonly<Record<string, string>> = {
  transform: 'syntax: "<transform-list>"; inherits: false; initial-value: translate(0);',
  opacity: 'syntax: "<number>"; inherits: false; initial-value: 1;',
}

/** Whether the page may give elements something of a property itself. */
export const mayGive = ({ hasOwnStyles, hasInlineStyles, ownRules }: SheetFacts, property: string): boolean =>
  property in keptProperties && (hasOwnStyles || hasInlineStyles || gives(ownRules, property))

/** The page's own list of transitions, or one of nothing. */
export const ownTransition = 'var(--own-transition, visibility 0s)'

/** In which layer stands what the page's own rules may not overrule: of what is important, layers count before what is in none. */
export const firmLayer = '@layer pointer-effects {'
/** Says that this layer comes first, where it stands before all others. */
export const layerOrder = '@layer pointer-effects;'
export const indented = (lines: readonly string[]) => lines.map((line) => (line ? `  ${line}` : line))

/** What the page's own rules give, as it stands in them. */
export function writeOwnRules({ ownRules, ownLayers }: SheetFacts, targets: readonly string[]): readonly string[] {
  const rules = ownRules.filter(({ context, select, declarations }) =>
    [...context.map((each) => each.slice(1)), select, ...declarations.map(([, value]) => value)].every(isContained),
  )
  if (rules.length === 0) return []
  const given = rules.flatMap(({ declarations }) => declarations.map(([name]) => name))
  const written = rules.map(({ context, select, declarations }) =>
    [...context].reduceRight<readonly string[]>(
      (lines, around) => [`${styleText(around)} {`, ...indented(lines), '}'],
      [`${styleText(select)} { ${declarations.map((each) => styleText(writeOwn(each, given))).join(' ')} }`],
    ),
  )
  // Each layer counts where it does in the page's own sheets.
  const order = rules.some(({ context }) => context.some((each) => each.startsWith('@layer')))
    ? [`@layer ${ownLayers.filter((name) => /^[\w.-]+$/.test(name)).join(', ')};`]
    : []
  // What the page takes its time for begins with the page, and goes on where the effect comes.
  const always =
    gives(rules, 'transition') && targets.length > 0
      ? [...`${targets.join(',\n')} {`.split('\n'), `  transition: ${ownTransition} !important;`, '}']
      : []
  return [
    [
      writeComment('What the page itself gives these elements goes on with the effects: its rules again, for properties of their own.'),
      firmLayer,
      ...indented([...order, ...written.flat(), ...always]),
      '}',
      '',
    ].join('\n'),
  ]
}
