// A colour as a live word: a swatch that opens to the page's own custom properties and colours, a picker, an eyedropper where the browser has
// one, and CSS text.
import { Box, Flex, Popover, Portal, chakra } from '@chakra-ui/react'
import { Pipette } from 'lucide-react'
import { useRef, useState } from 'react'
import { useStudio, useView } from '../context'
import { newGesture } from '../store/site-store'
import { Button, Field } from '../theme/controls'
import { ColourPicker } from './ColourPicker'

interface ColourFieldProps {
  readonly label: string
  /** Of what the browser is asked whether it takes the text. */
  readonly property?: 'color' | 'background'
  readonly value: string
  readonly onTouch?: () => void
  readonly onValue: (css: string, gesture: string) => void
}

/** What a browser that can pick colours off the screen offers. */
interface EyeDropperWindow {
  readonly EyeDropper?: new () => { readonly open: () => Promise<{ readonly sRGBHex: string }> }
}

/** A gradient, or a colour, over the checks that show how much of it is clear. */
export const overChecks = (gradient: string) => ({
  background: `${gradient}, repeating-conic-gradient(#b9bdb6 0 25%, #fff 0 50%) 0 0 / 8px 8px`,
})
export const swatch = (css: string) => overChecks(`linear-gradient(${css}, ${css})`)

/** What a document takes of one value of CSS, characters. */
const mostText = 500

/** A colour or a whole background as a swatch shows it. */
const groundOf = (css: string, isColour: boolean) => (isColour ? swatch(css) : { background: css })

export function ColourField({ label, property = 'color', value, onTouch, onValue }: ColourFieldProps) {
  const { link, view } = useStudio()
  const { colours, colourNames, matches } = useView('colours', 'colourNames', 'matches')
  const [typed, setTyped] = useState<string | null>(null)
  const gesture = useRef('')
  const text = typed ?? value
  const takes = (css: string) => CSS.supports(property, css) && css.length <= mostText && /^[^{};<]*$/.test(css)
  const isGood = takes(text)
  const give = (css: string) => onValue(css, (gesture.current ||= newGesture()))
  const take = () => {
    if (typed !== null && isGood && typed !== value) give(typed)
    setTyped(null)
  }
  const { EyeDropper } = (typeof window === 'undefined' ? {} : window) as EyeDropperWindow
  return (
    <Popover.Root
      lazyMount
      unmountOnExit
      positioning={{ placement: 'top-start', gutter: 5 }}
      onOpenChange={({ open }) => {
        gesture.current = ''
        if (open)
          Promise.all([link.ask({ type: 'colours' }), link.ask({ type: 'colour-names' })]).then(
            ([used, named]) => view.update({ colours: used, colourNames: named }),
            () => undefined,
          )
      }}
    >
      <Popover.Trigger asChild>
        <chakra.button
          type="button"
          aria-label={`${label}: ${value}`}
          title={`${value}; or paste a colour`}
          onFocus={onTouch}
          onPointerDown={onTouch}
          onPaste={(event) => {
            const pasted = event.clipboardData.getData('text').trim()
            if (takes(pasted)) onValue(pasted, newGesture())
          }}
          display="inline-block"
          width="44px"
          height="22px"
          verticalAlign="-5px"
          borderRadius="4px"
          border="1px solid"
          borderColor="edge"
          cursor="pointer"
          style={groundOf(value, property === 'color' || CSS.supports('color', value))}
          _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
        />
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            width="268px"
            background="sheet"
            color="ink"
            border="1px solid"
            borderColor="edge"
            borderRadius="4px"
            boxShadow="0 8px 22px -14px #000"
            p="10px"
            fontSize="13px"
            aria-label={label}
          >
            {colours.length > 0 && (
              <Box color="soft" mb="5px">
                On this page
              </Box>
            )}
            <Flex gap="5px" wrap="wrap" mb="9px">
              {colourNames.map(({ name, css }) => (
                <Swatch
                  key={name}
                  name={name}
                  css={css}
                  isChosen={value === `var(${name})`}
                  isSquare
                  onChoose={() => give(`var(${name})`)}
                />
              ))}
              {colours.map((css) => (
                <Swatch key={css} name={css} css={css} isChosen={css === value} onChoose={() => give(css)} />
              ))}
            </Flex>
            {property === 'color' && <ColourPicker label={label} value={value} ground={matches?.grounds[0] ?? ''} onValue={give} />}
            <Flex gap="6px" align="center" mt="8px">
              <Field
                aria-label={`${label}, as CSS writes it`}
                aria-invalid={!isGood}
                value={text}
                flex="1"
                minWidth="0"
                fontFamily="mono"
                fontSize="12px"
                spellCheck={false}
                onChange={(event) => {
                  setTyped(event.target.value)
                  if (takes(event.target.value)) give(event.target.value)
                }}
                onBlur={take}
                onKeyDown={(event) => {
                  event.stopPropagation()
                  if (event.key === 'Enter') take()
                }}
              />
              {EyeDropper && (
                <Button
                  aria-label="Pick a colour off the screen"
                  title="Pick a colour off the screen"
                  px="7px"
                  onClick={() =>
                    void new EyeDropper()
                      .open()
                      .then(({ sRGBHex }) => give(sRGBHex))
                      .catch(() => undefined)
                  }
                >
                  <Pipette size={15} aria-hidden="true" />
                </Button>
              )}
            </Flex>
            {!isGood && (
              <Box role="status" fontWeight="600" mt="5px">
                {property === 'color' ? 'This is no colour of CSS; the old one stays.' : 'This is no background of CSS; the old one stays.'}
              </Box>
            )}
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  )
}

interface SwatchProps {
  readonly name: string
  readonly css: string
  readonly isChosen: boolean
  /** A custom property of the page: what is chosen follows it. */
  readonly isSquare?: boolean
  readonly onChoose: () => void
}

function Swatch({ name, css, isChosen, isSquare = false, onChoose }: SwatchProps) {
  return (
    <chakra.button
      type="button"
      aria-label={name}
      title={isSquare ? `${name}, a custom property of the page: ${css}` : name}
      aria-pressed={isChosen}
      onClick={onChoose}
      width="26px"
      height="26px"
      borderRadius={isSquare ? '4px' : '13px'}
      border="1px solid"
      borderColor="edge"
      outline={isChosen ? '2px solid var(--gm-ink)' : undefined}
      cursor="pointer"
      style={swatch(css)}
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }}
    />
  )
}
