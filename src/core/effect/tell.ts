// What a control says of the settings, in plain text.
import { nameOfFeel } from '../feel/named'
import { formatNumber, type Control } from './control'

/** The word of a feel that is none of the five. */
export const ownFeelWords = 'custom'

/** The value of a control in words, as a sentence has it. */
export function tellValue<S>(control: Control<S>, settings: S): string {
  switch (control.kind) {
    case 'number':
      return formatNumber(control.read(settings), control.unit)
    case 'choice': {
      const chosen = control.read(settings)
      return control.options.find(({ value }) => value === chosen)?.words ?? ''
    }
    case 'feel':
      return nameOfFeel(control.read(settings))?.words ?? ownFeelWords
    case 'curve':
      return `a curve of ${control.read(settings).stops.length} stops`
    case 'colour':
    case 'gradient':
    case 'text':
      return control.read(settings)
  }
}
