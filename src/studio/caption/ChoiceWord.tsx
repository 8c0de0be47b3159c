// A live word that is one of a few: it opens to the others.
import { Opens } from '../theme/Opens'
import { entryText, type MenuEntry } from './menu-entry'
import { Box, Menu, Portal, chakra } from '@chakra-ui/react'
import { useEffect, useRef, type ComponentProps, type RefObject } from 'react'
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
  /** Whether it is a hole that asks to be filled. */
  readonly isOpen?: boolean
  /** Whether options may still be on their way, so that a single one is no reason to choose it at once. */
  readonly isWaiting?: boolean
  readonly onTouch: () => void
  readonly onChange: (value: string) => void
}

/** A word in a sentence that opens to a menu of words; one that has a single entry does that at once. */
export function WordMenu({ label, words, note, options, isOpen = false, isWaiting = false, onTouch, onChange }: WordMenuProps) {
  const trigger = useRef<HTMLButtonElement>(null)
  const [only, ...more] = options
  if (only && more.length === 0 && !isWaiting)
    return (
      <Word
        label={label}
        words={words}
        title={note}
        isOpen={isOpen}
        onFocus={onTouch}
        onPointerDown={onTouch}
        onClick={() => onChange(only.value)}
      />
    )
  return (
    <Menu.Root onSelect={({ value }) => onChange(value)} positioning={{ placement: 'top-start', gutter: 4 }} lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <Word ref={trigger} label={label} words={words} isOpen={isOpen} onFocus={onTouch} onPointerDown={onTouch} opens />
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

interface WordProps extends ComponentProps<typeof chakra.button> {
  readonly label: string
  readonly words: string
  readonly isOpen: boolean
  /** Whether a menu opens from it. */
  readonly opens?: boolean
}

/** A word of the sentence that can be pressed. */
function Word({ label, words, isOpen, opens = false, title, ...rest }: WordProps) {
  return (
    <chakra.button
      type="button"
      aria-label={`${label}: ${words}`}
      display="inline-flex"
      alignItems="baseline"
      gap="5px"
      maxWidth="min(250px, 100%)"
      textAlign="left"
      verticalAlign="baseline"
      px="7px"
      lineHeight="23px"
      background="ground"
      border={isOpen ? '1px dashed' : '1px solid'}
      borderColor={isOpen ? 'madder' : 'hairline'}
      borderRadius="4px"
      color="ink"
      fontWeight="600"
      cursor="pointer"
      _hover={isOpen ? { background: 'sheet' } : { borderColor: 'edge' }}
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
      {...rest}
    >
      <Box as="span" overflow="hidden" textOverflow="ellipsis" whiteSpace="var(--word-lines, nowrap)" title={title ?? words}>
        {words}
      </Box>
      {opens && <Opens />}
    </chakra.button>
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
