// Controls that read and write one setting as it stands.
import type { ChoiceControl, ColourControl, GradientControl, NumberControl } from './control'

/** The settings of one type, by name. */
type KeysOf<S, Value> = { [Key in keyof S]-?: S[Key] extends Value ? Key : never }[keyof S] & string

type Given<C> = Omit<C, 'kind' | 'id' | 'read' | 'write' | 'drawing'> & { readonly drawing?: NumberControl<unknown>['drawing'] }

/** Makers of controls for settings of a type. */
export function plainControls<S extends object>() {
  return {
    number: (id: KeysOf<S, number>, given: Given<NumberControl<S>>): NumberControl<S> => ({
      kind: 'number', id, drawing: 'none', ...given, read: (settings) => Number(settings[id]), write: (settings, value) => ({ ...settings, [id]: value }),
    }),
    choice: (id: KeysOf<S, string>, given: Given<ChoiceControl<S>>): ChoiceControl<S> => ({
      kind: 'choice', id, drawing: 'none', ...given, read: (settings) => String(settings[id]),
      write: (settings, value) => (given.options.some((option) => option.value === value) ? { ...settings, [id]: value } : settings),
    }),
    colour: (id: KeysOf<S, string>, title: string): ColourControl<S> => ({
      kind: 'colour', id, title, drawing: 'none', read: (settings) => String(settings[id]), write: (settings, value) => ({ ...settings, [id]: value }),
    }),
    gradient: (id: KeysOf<S, string>, title: string): GradientControl<S> => ({
      kind: 'gradient', id, title, drawing: 'gradient', read: (settings) => String(settings[id]), write: (settings, value) => ({ ...settings, [id]: value }),
    }),
  }
}
