// What of an effect may be otherwise for one match or in narrow windows, and the field in which it is typed.
import { useState } from 'react'
import { textOfString, writeOverride } from '../../core/export/override-value'
import type { Rig, Token } from '../../core/rig/rig'
import { Field } from '../theme/controls'

/** Something of an effect that may be otherwise for one match, or in narrow windows. */
export interface Thing {
  readonly id: string
  readonly of: 'amount' | Token['of']
  readonly words: string
  readonly unit: string
  readonly value: string
}

/** All such things of a rig: its colours, texts and pictures, then its numbers. */
export function thingsOf({ knobs, tokens = [] }: Rig): readonly Thing[] {
  return [
    ...tokens.map(({ id, of, note, value }): Thing => ({ id, of, words: note || id, unit: '', value })),
    ...knobs
      .filter(({ times, isAmount }) => times === undefined || isAmount)
      .map(({ id, note, unit, value }): Thing => ({ id, of: 'amount', words: note || id, unit, value: `${value}${unit}` })),
  ]
}

/** Whether the browser takes a text for a colour. */
export const isColour = (text: string) => CSS.supports('color', text)

interface ThingFieldProps {
  readonly label: string
  readonly thing: Thing
  readonly value: string | undefined
  readonly onValue: (value: string | undefined) => void
}

/** A field for such a value, as CSS writes it; what is none is not taken. */
export function ThingField({ label, thing, value, onValue }: ThingFieldProps) {
  const plain = textOfString((value ?? '').replace(/^url\((.*)\)$/, '$1'))
  const [text, setText] = useState(plain)
  const written = text.trim() === '' ? undefined : writeOverride(thing.of, text, thing.unit, isColour)
  const isGood = text.trim() === '' || written !== undefined
  const take = () => isGood && written !== value && onValue(written)
  return (
    <Field
      aria-label={label}
      aria-invalid={!isGood}
      value={text}
      placeholder={textOfString(thing.value)}
      width="170px"
      fontFamily="mono"
      fontSize="12px"
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      title={
        isGood
          ? 'Empty follows the others'
          : {
              amount: `A number${thing.unit ? ` in ${thing.unit}` : ''}`,
              colour: 'A CSS colour',
              gradient: 'A CSS gradient',
              text: '',
              picture: '',
            }[thing.of]
      }
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') take()
      }}
    />
  )
}
