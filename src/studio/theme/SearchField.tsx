// A field that searches as one types; Escape empties it first.
import type { ComponentProps, KeyboardEvent } from 'react'
import { Field } from './controls'

interface SearchFieldProps extends Omit<ComponentProps<typeof Field>, 'value' | 'onChange' | 'onKeyDown' | 'type'> {
  readonly label: string
  readonly value: string
  readonly onSearch: (search: string) => void
  /** Hears keys that are not for the field itself, such as the arrow down into what was found. */
  readonly onKey?: (event: KeyboardEvent<HTMLInputElement>) => void
}

export function SearchField({ label, value, onSearch, onKey, ...rest }: SearchFieldProps) {
  return (
    <Field
      {...rest}
      type="search"
      aria-label={label}
      value={value}
      onChange={({ currentTarget }) => onSearch(currentTarget.value)}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || value === '') return onKey?.(event)
        event.stopPropagation()
        onSearch('')
      }}
      _placeholder={{ color: 'soft', opacity: 1 }}
    />
  )
}
