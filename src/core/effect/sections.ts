// The headings under which the rows of an effect stand: by what a row is about, unless its parameter says otherwise.
import { hasWords } from '../site/text'
import type { Control, Section } from './control'

export const sections = ['Shape', 'Light', 'Motion', 'Touch and access', 'Area', 'Strength'] as const satisfies readonly Section[]

/** Those that are folded until they are asked for. */
export const foldedAtFirst: readonly Section[] = ['Touch and access', 'Area', 'Strength']

/** What the ids of rows say of what they are about; the first that fits counts. */
const byId: readonly (readonly [RegExp, Section])[] = [
  [/^(touch|reducedMotion|windowWidth|calm|keys|keyboard|focus|tap|finger|name|noScript|system|arrow|zooms)$/, 'Touch and access'],
  [/^(strengthPercent|neighbours)$/, 'Strength'],
  [/^(inset|hold$|hysteresis|stackBelow)/, 'Area'],
  [/(sheen|shadow|colour|blend|shade|light|ground|ink$|fades|falloff|grain|fineness|detail|seed|highlight|darker|wash)/i, 'Light'],
  [/(Ms$|^past|^back|frequency|damping|^follow|stagger|^way$|^goWay$|release|speed|press|plays|turnS|leaves|travel|lean)/i, 'Motion'],
]

/** The heading under which a control stands among the rows. */
export function sectionOf<S>(control: Control<S>): Section {
  if (control.section) return control.section
  const named = byId.find(([pattern]) => pattern.test(control.id))?.[1]
  if (named) return named
  if (control.kind === 'colour' || control.kind === 'gradient') return 'Light'
  if (control.kind === 'feel' || (control.kind === 'number' && ['ms', 's', 'Hz'].includes(control.unit))) return 'Motion'
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
