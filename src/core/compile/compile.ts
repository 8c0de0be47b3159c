// compile(): the script of a page, from its effects and from what is known of the page.
import { Constants } from './feels'
import { tablesOf, type EffectTable, type Source } from './effects'
import type { Fields } from './values'
import { quote } from './literal'

/** What a script holds before it is specialised: all fragments, and the tables of its effects. */
export function writeGeneral(sources: readonly Source[], fragments: string): string {
  const constants = new Constants()
  const tables = sources.flatMap((source) => tablesOf(source, constants, () => 'plain'))
  return [fragments, ...constants.lines, writeGiven(tables), writeTables(tables), 'if (given.finds) stand()', 'listen()', ''].join('\n')
}

function writeGiven(tables: readonly EffectTable[]): string {
  const some = (field: string) => tables.some(({ fields, values }) => fields.has(field) || values.some((value) => value.has(field)))
  const reads = (word: string) => tables.some(({ values }) => values.some((value) => [...value.values()].some((text) => text.includes(word))))
  const touch = tables.some(({ fields }) => !fields.has('fine'))
  const looks = some('looks')
  const given = {
    heard: ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', ...(some('focus') ? ['focusin', 'focusout'] : []), 'scroll', 'resize'],
    touch, focus: some('focus'), taps: some('taps'), track: reads('speedAt') || reads('headingNow') || reads('pastOf'), path: reads('place.entry') || reads('place.exit'), stands: looks || reads('isStill'),
    flows: some('due'), finds: some('keeps'), looks, tells: false,
  }
  return `const given = {\n${Object.entries(given).map(([name, value]) => `  ${name}: ${Array.isArray(value) ? `[${value.map(quote).join(', ')}]` : typeof value === 'string' ? quote(value) : String(value)},\n`).join('')}}`
}

const writeFields = (fields: Fields) => [...fields].map(([name, text]) => `${name}: ${text}`)

function writeTables(tables: readonly EffectTable[]): string {
  const written = tables.map(({ fields, values }) => `  {\n    ${[...writeFields(fields), 'places: new Map()'].join(',\n    ')},\n    values: [\n${values.map((value) => `      { ${writeFields(value).join(', ')} },\n`).join('')}    ],\n  },\n`)
  return `const effects = [\n${written.join('')}]`
}
