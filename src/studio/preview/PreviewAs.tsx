// As whom the page is visited: with what hand, with which preferences, in a window how large.
import { Opens } from '../theme/Opens'
import { capitalised } from '../../core/site/text'
import { Box, Flex, Menu, Portal, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { useStudio, useView } from '../context'
import { openPreview } from './commands'
import type { View } from '../store/view-store'
import { Button, Field } from '../theme/controls'
import { narrowest, threeWindows, usualWindows, widest } from '../visitor'

const visitors: readonly { readonly value: View['visitor']; readonly words: string; readonly note: string }[] = [
  { value: 'mouse', words: 'a mouse', note: 'as most come to a desk' },
  { value: 'finger', words: 'a finger', note: 'press and drag; nothing hovers' },
  { value: 'keyboard', words: 'a keyboard', note: 'Tab moves the focus; no pointer' },
  { value: 'reduced', words: 'reduced motion', note: 'travel and turns stand still' },
  { value: 'noscript', words: 'no script', note: 'the page with our styles, nothing runs' },
  { value: 'print', words: 'print', note: 'what the sheets say of paper' },
  { value: 'forced', words: 'forced colours', note: 'few colours of the visitor’s own, about as a system forces them' },
]

export function PreviewAs() {
  const studio = useStudio()
  const { view } = studio
  const { visitor, windows } = useView('visitor', 'windows')
  const [size = { width: 1280, height: 720 }] = windows
  const words = `${visitors.find(({ value }) => value === visitor)?.words ?? ''}, ${windows.length > 1 ? windows.map(({ width }) => width).join(' · ') : `${size.width} × ${size.height}`}`
  const choose = (value: string) => {
    const known = visitors.find((each) => each.value === value)
    if (value === 'window') return void openPreview(studio)
    if (value === 'on a phone') return view.update({ drawer: 'phone' })
    const usual = usualWindows.find((each) => each.words === value)
    if (known) return view.update({ visitor: known.value })
    if (usual) return view.update({ windows: [{ width: usual.width, height: usual.height }] })
    view.update({ windows: value === 'three' ? threeWindows : windows })
  }
  return (
    <Flex align="center" gap="4px" fontSize="13px" color="soft" whiteSpace="nowrap">
      <Menu.Root onSelect={({ value }) => choose(value)} positioning={{ placement: 'bottom-end', gutter: 4 }} lazyMount unmountOnExit>
        <Menu.Trigger asChild>
          <Button
            variant="quiet"
            fontSize="13px"
            fontWeight="400"
            aria-label={`Preview as: ${words}`}
            title="Preview the page as someone else"
          >
            Preview as {words} <Opens />
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              {visitors.map(({ value, words: name, note }) => (
                <Menu.Item key={value} value={value} data-current={value === visitor ? '' : undefined}>
                  {capitalised(name)}{' '}
                  <Box as="span" color="soft" fontSize="13px" ml="6px">
                    {note}
                  </Box>
                </Menu.Item>
              ))}
              <Menu.Separator />
              {usualWindows.map(({ words: name, width, height }) => (
                <Menu.Item key={name} value={name} data-current={windows.length === 1 && size.width === width ? '' : undefined}>
                  {capitalised(name)}, {width} × {height}
                </Menu.Item>
              ))}
              <Menu.Item value="three" data-current={windows.length > 1 ? '' : undefined}>
                Three widths side by side
              </Menu.Item>
              <Menu.Separator />
              <Menu.Item value="window">Open a preview in another window</Menu.Item>
              <Menu.Item value="on a phone">On a phone …</Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {windows.length === 1 && (
        <WidthField key={size.width} width={size.width} onWidth={(width) => view.update({ windows: [{ ...size, width }] })} />
      )}
    </Flex>
  )
}

function WidthField({ width, onWidth }: { readonly width: number; readonly onWidth: (width: number) => void }) {
  const [text, setText] = useState(String(width))
  const typed = Number(text)
  const isGood = Number.isInteger(typed) && typed >= narrowest && typed <= widest
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        if (isGood) onWidth(typed)
      }}
    >
      <Field
        aria-label={`Width of the visitor’s window, ${narrowest} to ${widest} px`}
        title={isGood ? 'Width of the visitor’s window, px' : `A whole number from ${narrowest} to ${widest}`}
        aria-invalid={!isGood}
        inputMode="numeric"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => (isGood ? onWidth(typed) : setText(String(width)))}
        width="52px"
        minHeight="25px"
        px="5px"
        fontSize="13px"
        textAlign="right"
      />
    </chakra.form>
  )
}
