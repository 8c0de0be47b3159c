// compile(): the script of a page, from its effects and from what is known of the page.
import { tablesOf, type EffectTable, type Source } from './effects'
import { Constants } from './feels'
import { joinFragments, type Fragment } from './join'
import { quote } from './literal'
import { specialise } from './specialise'
import type { Fields } from './values'

/** Members of effects and of values that a script may ask for. */
const effectMembers = ['select', 'name', 'mark', 'notForeign', 'findsAll', 'keeps', 'stands', 'isGroup', 'isWindow', 'amongAll', 'fellows', 'insets', 'bridge', 'measure', 'readsIn', 'readsInBox', 'readsInWindow', 'fine', 'taps', 'focuses', 'looks', 'parts'] as const
const valueMembers = ['property', 'pose', 'curve', 'feel', 'going', 'band', 'leave', 'holds', 'seenBy', 'links', 'link', 'halfLifeMs', 'goingHalfLifeMs', 'due', 'isEndless', 'byLook', 'timing', 'start', 'digits', 'within', 'linked', 'onPart', 'as', 'tellsZone'] as const

/** A script before it is specialised: what these effects ask for, of everything that there is. */
function writeGeneral(sources: readonly Source[], fragments: readonly Fragment[]): string {
  const constants = new Constants()
  const tables = sources.flatMap((source) => tablesOf(source, constants, () => 'plain'))
  const known = new Map([...givenOf(tables), ...knownOf(tables)])
  const main = [...constants.lines, '', writeTables(tables, known), '', ...(known.get('hasFinds') === 'true' ? ['stand()'] : []), 'listen()', ''].join('\n')
  return joinFragments(fragments, main, known)
}

/** The readable script of these effects. `fragments` is what it is made of. */
export function compile(sources: readonly Source[], fragments: readonly Fragment[]): string {
  return `(() => {\n${specialise(writeGeneral(sources, fragments)).replaceAll(/^(?=.)/gm, '  ')}\n})()\n`
}

/** What is known of the script as a whole. */
function givenOf(tables: readonly EffectTable[]): Fields {
  const some = (field: string) => tables.some(({ fields, values }) => fields.has(field) || values.some((value) => value.has(field)))
  const reads = (word: string) => tables.some(({ values }) => values.some((value) => [...value.values()].some((text) => text.includes(word))))
  const hasTouch = tables.some(({ fields }) => !fields.has('fine'))
  const hasLooks = some('looks')
  const heard = ['pointermove', 'pointerover', 'pointerout', ...(hasLooks || some('taps') || reads('pointer.buttons') ? ['pointerdown', 'pointerup'] : hasTouch ? ['pointerup'] : []), 'pointercancel', ...(some('focuses') ? ['focusin', 'focusout'] : []), 'scroll', 'resize']
  const facts = {
    hasTouch, hasLooks,
    hasFocus: some('focuses'),
    hasTaps: some('taps'),
    hasTrack: reads('speedAt') || reads('headingNow') || reads('pastOf'),
    hasPath: reads('place.entry') || reads('place.exit'),
    asksButtons: hasLooks || reads('pointer.buttons'),
    asksStood: hasLooks || reads('isStill'),
    hasFlows: some('due'),
    hasFinds: some('keeps'),
    hasBorders: true,
    tells: false,
  }
  return new Map([['heard', `[${heard.map(quote).join(', ')}]`], ...Object.entries(facts).map(([name, value]) => [name, String(value)] as const)])
}

/** Members that none of the tables has, or all have alike. */
function knownOf(tables: readonly EffectTable[]): Fields {
  const values = tables.flatMap((table) => table.values)
  const known = new Map<string, string>()
  const note = (members: readonly string[], all: readonly Fields[]) => {
    for (const member of members) {
      const texts = new Set(all.map((fields) => fields.get(member) ?? 'undefined'))
      const [text = 'undefined'] = texts
      // Functions and lists are written once, where they are given.
      if (texts.size <= 1 && /^[\w$.-]+$|^'[^'\n]*'$/.test(text)) known.set(member, text)
    }
  }
  note(effectMembers, tables.map(({ fields }) => fields))
  note(valueMembers, values)
  // A value that is followed has these of its own too: they may become others.
  const has = (member: string) => values.some((value) => value.has(member))
  const ownFollower = values.some((value) => value.get('read')?.includes('hereNow'))
  if (has('going') || has('timing') || ownFollower) known.delete('feel')
  if (ownFollower) known.delete('band')
  if (has('goingHalfLifeMs')) known.delete('halfLifeMs')
  return known
}

const writeFields = (fields: Fields, known: Fields) => [...fields].filter(([name]) => !known.has(name)).map(([name, text]) => `${name}: ${text}`)

function writeTables(tables: readonly EffectTable[], known: Fields): string {
  const write = ({ fields, values }: EffectTable) => [
    '{',
    ...writeFields(fields, known).map((member) => `  ${member},`),
    '  places: new Map(),',
    '  values: [',
    ...values.map((value) => `    { ${writeFields(value, known).join(', ')} },`),
    '  ],',
    '}',
  ]
  return `const effects = [\n${tables.map((table) => `${write(table).map((line) => `  ${line}`).join('\n')},\n`).join('')}]`
}
