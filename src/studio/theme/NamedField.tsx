// A field that takes its text when it is left or Enter is pressed; Escape, or nothing in it where it needs something, brings the old one back.
import { useState, type ComponentProps } from 'react'
import { Field } from './controls'

interface NamedFieldProps extends Omit<ComponentProps<typeof Field>, 'value' | 'onChange' | 'onBlur' | 'onKeyDown'> {
  readonly label?: string
  readonly value: string
  readonly allowsEmpty?: boolean
  readonly onTake: (text: string) => unknown
  /** Hears that it is left, whether or not something was taken. */
  readonly onLeave?: () => void
}

export function NamedField({ label, value, allowsEmpty = false, onTake, onLeave, ...rest }: NamedFieldProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const take = () => {
    const text = (typed ?? '').trim()
    setTyped(null)
    if (typed !== null && (text !== '' || allowsEmpty) && text !== value) onTake(text)
    onLeave?.()
  }
  return (
    <Field
      {...rest}
      {...(label === undefined ? {} : { 'aria-label': label })}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') event.currentTarget.blur()
        if (event.key === 'Escape') {
          setTyped(null)
          onLeave?.()
        }
      }}
    />
  )
}
