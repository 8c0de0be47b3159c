// The named values of the site: each is changed once, wherever it is used.
import { Box, Flex } from '@chakra-ui/react'
import { readSum } from '../../core/effect/arithmetic'
import type { NamedValue } from '../../core/site/site'
import { useSite, useStudio } from '../context'
import { newGesture } from '../store/site-store'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { ColourField } from './ColourField'

export function NamedValues() {
  const { store } = useStudio()
  const { values = [], effects } = useSite()
  if (values.length === 0) return null
  const write = (next: readonly NamedValue[], words: string, gesture?: string) =>
    store.edit({ do: 'site', to: { values: next.length > 0 ? [...next] : undefined } }, words, gesture)
  const change = (at: number, to: Partial<NamedValue>, gesture?: string) =>
    write(
      values.map((value, i) => (i === at ? { ...value, ...to } : value)),
      'Changing a named value',
      gesture,
    )
  const uses = (id: string) =>
    effects.reduce((sum, { bindings = {} }) => sum + Object.values(bindings).filter(({ to }) => 'value' in to && to.value === id).length, 0)
  return (
    <Box role="group" aria-label="Named values" fontSize="14px">
      {values.map((value, at) => (
        <Flex key={value.id} align="center" gap="10px" minHeight="32px">
          <NamedField
            label="Name of the value"
            value={value.name}
            maxLength={40}
            width="150px"
            fontFamily="mono"
            fontSize="12px"
            onTake={(name) => /^[a-z][a-z0-9-]{0,39}$/.test(name) && !values.some((each) => each.name === name) && change(at, { name })}
          />
          {typeof value.value === 'number' ? (
            <NamedField
              label={`Value of ${value.name}`}
              value={`${value.value}${value.unit}`}
              maxLength={60}
              width="110px"
              fontSize="13px"
              onTake={(text) => {
                const read = readSum(text, value.unit)
                if (typeof read === 'number') change(at, { value: read })
              }}
            />
          ) : (
            <ColourField
              label={`Value of ${value.name}`}
              value={value.value}
              onValue={(css, gesture) => change(at, { value: css }, gesture)}
            />
          )}
          <Box color="soft">
            {uses(value.id) === 0 ? 'used nowhere' : `used ${uses(value.id)} ${uses(value.id) === 1 ? 'time' : 'times'}`}
          </Box>
          <Button
            variant="quiet"
            minHeight="24px"
            fontSize="13px"
            onClick={() =>
              write(
                values.filter((each) => each !== value),
                'Removing a named value',
                newGesture(),
              )
            }
          >
            Remove
          </Button>
        </Flex>
      ))}
    </Box>
  )
}
