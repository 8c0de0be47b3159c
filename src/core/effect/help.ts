// A line of help for a word: what it does to the page.
import type { Role } from '../rig/rig'
import { formatNumber, type Control } from './control'

const first = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What a word does to the page, or what it can be, in words that begin a sentence and have no end yet. */
function purposeOf<S>(control: Control<S>): string {
  const { help, title } = control
  switch (control.kind) {
    case 'number':
      return first(help ?? title)
    case 'choice':
      return first(help ?? `${title}: ${control.options.map(({ words }) => words).join('; ')}`)
    case 'feel':
      return first(help ?? `${title}: how it gets from where it is to where it is to be. The drawing shows it after a flick`)
    case 'curve':
      return first(help ?? `${title}: what each place of the pointer comes to. The stops are dragged in the drawing`)
    case 'colour':
      return `${first(help ?? title)}: a colour of CSS, or one that the page has`
    case 'gradient':
      return `${first(help ?? title)}: its stops are dragged in the drawing`
    case 'text':
      return first(help ?? `${title}: ${control.hint}`)
  }
}

/** The same as a sentence, with the range of a number. */
export function helpOf<S>(control: Control<S>): string {
  const purpose = purposeOf(control)
  if (control.kind !== 'number') return `${purpose}.`
  const range = `${formatNumber(control.least, control.unit)} to ${formatNumber(control.greatest, control.unit)}`
  return `${purpose}${control.help === undefined ? ',' : ';'} ${range}.`
}

/** What a role is called behind "the" or "its": a title may have an "its" of its own, for the sentence of a caption. */
export const nameOfRole = ({ title }: Role): string => title.replace(/^its /, '')

/** What the caption asks for where nothing fills a role. */
export const askFor = (role: Role): string =>
  role.ask ?? `point at ${role.title.startsWith('what ') ? role.title : `the ${nameOfRole(role)}`}`

/** What a noun of the caption is about: the elements of a role, or those that the effect itself is on. */
export const helpOfRole = (role: Role, isMain: boolean): string =>
  isMain
    ? 'Which elements it is on: the page marks them, and its menu has others.'
    : `Which elements are its ${nameOfRole(role)}; others can be pointed at.`
