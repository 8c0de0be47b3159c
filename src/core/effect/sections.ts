// The headings under which the rows of an effect stand: as their parameters say, else by what sort of word a row is.
import { hasWords } from '../site/text'
import type { Control, Section } from './control'

export const sections = ['Shape', 'Light', 'Motion', 'Touch and access', 'Area', 'Strength'] as const satisfies readonly Section[]

/** Those that are folded until they are asked for. */
export const foldedAtFirst: readonly Section[] = ['Touch and access', 'Area', 'Strength']

/** The heading under which a control stands among the rows. */
export function sectionOf<S>({ section, ...control }: Control<S>): Section {
  if (section) return section
  if (control.kind === 'colour' || control.kind === 'gradient') return 'Light'
  if (control.kind === 'feel' || (control.kind === 'number' && ['ms', 's'].includes(control.unit))) return 'Motion'
  return 'Shape'
}

/** Whether a control says what it says from the start. `settings` and `defaults` are of its kind. */
export function isAsAtFirst<S>(control: Control<S>, settings: S, defaults: S): boolean {
  return JSON.stringify(control.read(settings)) === JSON.stringify(control.read(defaults))
}

/** The settings with that control as it is from the start. */
export function reset<S>(control: Control<S>, settings: S, defaults: S): S {
  const write = control.write as (settings: S, value: unknown) => S
  return write(settings, control.read(defaults))
}

/** Whether a row has all words of a search: in its title, its heading, or what it can be. */
export function isFound<S>(control: Control<S>, search: string): boolean {
  const options = control.kind === 'choice' ? control.options.map(({ words }) => words) : []
  return hasWords([control.title, sectionOf(control), ...options].join(' '), search)
}
