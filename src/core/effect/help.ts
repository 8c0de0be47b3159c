// A line of help for a word: what it does to the page.
import { formatNumber, type Control } from './control'

const first = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What a word does to the page, or what it can be, in one line. */
export function helpOf<S>(control: Control<S>): string {
  const range =
    control.kind === 'number' ? `${formatNumber(control.least, control.unit)} to ${formatNumber(control.greatest, control.unit)}` : ''
  const isColour = control.kind === 'colour' || control.kind === 'gradient'
  if (control.help !== undefined && !isColour) return `${first(control.help)}${range === '' ? '.' : `; ${range}.`}`
  switch (control.kind) {
    case 'number':
      return `${first(control.title)}, ${range}.`
    case 'choice':
      return `${first(control.title)}: ${control.options.map(({ words }) => words).join('; ')}.`
    case 'feel':
      return `${first(control.title)}: how it gets from where it is to where it is to be. The drawing shows it after a flick.`
    case 'curve':
      return `${first(control.title)}: what each place of the pointer comes to. The stops are dragged in the drawing.`
    case 'colour':
      return `${first(control.help ?? control.title)}: a colour of CSS, or one that the page has.`
    case 'gradient':
      return `${first(control.help ?? control.title)}: its stops are dragged in the drawing.`
    case 'text':
      return `${first(control.title)}: ${control.hint}.`
  }
}
