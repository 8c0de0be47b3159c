// A live word that is one of a few: it opens to the others.
import { Opens } from '../theme/Opens'
import { entryText, type MenuEntry } from './menu-entry'
import { Box, Menu, Portal, chakra } from '@chakra-ui/react'
import { useEffect, useRef, type RefObject } from 'react'
import type { ChoiceControl } from '../../core/effect/control'

interface ChoiceWordProps {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a word serves the controls of every kind
  readonly control: ChoiceControl<any>
  readonly value: string
  readonly onTouch: () => void
  readonly onChange: (value: string) => void
}

export function ChoiceWord({ control, value, onTouch, onChange }: ChoiceWordProps) {
  const current = control.options.find((option) => option.value === value)
  return (
    <WordMenu
      label={control.title}
      words={current?.words ?? value}
      onTouch={onTouch}
      options={control.options.map((option) => ({ value: option.value, words: option.words, isCurrent: option.value === value }))}
      onChange={onChange}
    />
  )
}

interface WordMenuProps {
  readonly label: string
  readonly words: string
  /** What is to be known before choosing, above the options. */
  readonly note?: string
  readonly options: readonly (MenuEntry & { readonly isCurrent: boolean })[]
  readonly onTouch: () => void
  readonly onChange: (value: string) => void
}

/** A word in a sentence that opens to a menu of words. */
export function WordMenu({ label, words, note, options, onTouch, onChange }: WordMenuProps) {
  const trigger = useRef<HTMLButtonElement>(null)
  return (
    <Menu.Root onSelect={({ value }) => onChange(value)} positioning={{ placement: 'top-start', gutter: 4 }} lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <chakra.button
          ref={trigger}
          type="button"
          aria-label={`${label}: ${words}`}
          onFocus={onTouch}
          onPointerDown={onTouch}
          display="inline-flex"
          alignItems="baseline"
          gap="5px"
          maxWidth="min(250px, 100%)"
          textAlign="left"
          verticalAlign="baseline"
          px="7px"
          lineHeight="23px"
          background="ground"
          border="1px solid"
          borderColor="hairline"
          borderRadius="4px"
          color="ink"
          fontWeight="600"
          cursor="pointer"
          _hover={{ borderColor: 'edge' }}
          _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
        >
          <Box as="span" overflow="hidden" textOverflow="ellipsis" whiteSpace="var(--word-lines, nowrap)" title={words}>
            {words}
          </Box>
          <Opens />
        </chakra.button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            <FocusReturn to={trigger} />
            {note && (
              <Box px="9px" py="4px" fontSize="13px" color="soft">
                {note}
              </Box>
            )}
            {options.map((option) => (
              <Menu.Item key={option.value} value={option.value} data-current={option.isCurrent ? '' : undefined}>
                {entryText(option)}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}

/**
 * Gives focus back to the word when the menu is gone. The menu does so itself when it closes, but an arrow key pressed
 * in the frame before takes it into the menu once more, which then leaves with it.
 */
function FocusReturn({ to }: { readonly to: RefObject<HTMLButtonElement | null> }) {
  useEffect(
    () => () => {
      if (document.activeElement === document.body) to.current?.focus()
    },
    [to],
  )
  return null
}
