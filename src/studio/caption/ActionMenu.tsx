// A small button that opens to a menu of things to do.
import { entryText, type MenuEntry } from './menu-entry'
import { Menu, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Button } from '../theme/controls'

interface ActionMenuProps {
  readonly label: string
  readonly isOn?: boolean
  readonly options: readonly (MenuEntry & { readonly isCurrent?: boolean })[]
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
            {options.map(({ isCurrent, ...entry }) => (
              <Menu.Item key={entry.value} value={entry.value} data-current={isCurrent ? '' : undefined}>
                {entryText(entry)}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}
