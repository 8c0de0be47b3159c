// A small button that opens to a menu of things to do.
import { Menu, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Button } from '../theme/controls'

interface ActionMenuProps {
  readonly label: string
  readonly isOn?: boolean
  readonly options: readonly { readonly value: string; readonly words: string; readonly isCurrent?: boolean }[]
  readonly onChoose: (value: string) => void
  readonly children: ReactNode
}

export function ActionMenu({ label, isOn = false, options, onChoose, children }: ActionMenuProps) {
  return (
    <Menu.Root onSelect={({ value }) => onChoose(value)} positioning={{ placement: 'top-start', gutter: 4 }} lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <Button
          variant="quiet"
          minHeight="25px"
          fontSize="13px"
          color="soft"
          px="4px"
          aria-label={label}
          title={label}
          data-state-on={isOn ? '' : undefined}
          borderColor={isOn ? 'edge' : undefined}
        >
          {children}
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {options.map(({ value, words, isCurrent }) => (
              <Menu.Item key={value} value={value} data-current={isCurrent ? '' : undefined}>
                {words}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}
