// The index of effects at the left edge: a number each; it opens to names over the page.
import { Box, Flex } from '@chakra-ui/react'
import { ArrowDown, ArrowUp, Crosshair, Trash2 } from 'lucide-react'
import { moveEffect, removeEffect } from './commands'
import { startPointing, stopPointing } from './point/commands'
import { usePage, useSite, useStudio, useView } from './context'
import { keyOf } from './registry'
import { Button } from './theme/controls'

const matchesHere = (count: number) => `${count} ${count === 1 ? 'match' : 'matches'} here`

export function EffectIndex() {
  const studio = useStudio()
  const { effects } = useSite()
  const page = usePage()
  const { selected, pointing, indexOpen, counts } = useView('selected', 'pointing', 'indexOpen', 'counts')
  const isPointing = pointing.stage !== 'no'
  return (
    <Flex
      as="nav"
      aria-label="Effects"
      direction="column"
      align="stretch"
      borderRight="1px solid"
      borderColor="hairline"
      background="sheet"
      py="6px"
      px="5px"
      gap="4px"
      position="relative"
      zIndex="5"
      width={indexOpen ? '372px' : '44px'}
      boxShadow={indexOpen ? '10px 0 24px -18px #000' : undefined}
      overflowY="auto"
      onMouseEnter={() => effects.length > 0 && studio.view.update({ indexOpen: true })}
      onMouseLeave={() => studio.view.update({ indexOpen: false })}
      onFocus={(event) => event.target.matches(':focus-visible') && studio.view.update({ indexOpen: effects.length > 0 })}
      onBlur={() => studio.view.update({ indexOpen: false })}
    >
      <Button
        variant="quiet"
        aria-pressed={isPointing}
        onClick={() => (isPointing ? stopPointing(studio) : startPointing(studio))}
        justifyContent="flex-start"
        flexShrink={0}
        aria-label={isPointing ? 'Stop pointing' : 'Point at something on the page'}
        title={`Point at something on the page (${keyOf('point')})`}
      >
        <Crosshair size={18} aria-hidden="true" style={{ flex: 'none' }} />
        {indexOpen && <span>Point at something</span>}
      </Button>
      {effects.map((effect, index) => (
        <Flex key={effect.id} gap="2px" flexShrink={0}>
          <Button
            variant="quiet"
            flex="1"
            minWidth="0"
            justifyContent="flex-start"
            fontWeight="600"
            aria-pressed={effect.id === selected}
            aria-label={`Effect ${index + 1}: ${effect.name}${effect.isOff ? ', off' : ''}`}
            title={effect.name}
            onClick={() => studio.view.update({ selected: effect.id, touched: null })}
          >
            <Box as="span" width="18px" textAlign="center" flex="none" textDecoration={effect.isOff ? 'line-through' : undefined}>
              {index + 1}
            </Box>
            {indexOpen && (
              <Box as="span" fontWeight="500" truncate color={effect.isOff ? 'soft' : undefined}>
                {effect.name}
              </Box>
            )}
            {indexOpen && effect.isOff && (
              <Box as="span" fontWeight="500" color="soft" ml="-8px" flex="none">
                , off
              </Box>
            )}
            {indexOpen && (
              <Box as="span" fontWeight="400" color="soft" fontSize="13px" ml="auto" flex="none">
                {matchesHere(counts.get(effect.select)?.[page.id] ?? 0)}
              </Box>
            )}
          </Button>
          {indexOpen && (
            <>
              <Button
                variant="quiet"
                px="2px"
                aria-label={`Move effect ${index + 1} up`}
                title="Up"
                disabled={index === 0}
                onClick={() => moveEffect(studio, effect, -1)}
              >
                <ArrowUp size={14} aria-hidden="true" />
              </Button>
              <Button
                variant="quiet"
                px="2px"
                aria-label={`Move effect ${index + 1} down`}
                title="Down"
                disabled={index === effects.length - 1}
                onClick={() => moveEffect(studio, effect, 1)}
              >
                <ArrowDown size={14} aria-hidden="true" />
              </Button>
            </>
          )}
          {indexOpen && (
            <Button variant="quiet" aria-label={`Remove effect ${index + 1}`} title="Remove" onClick={() => removeEffect(studio, effect)}>
              <Trash2 size={15} aria-hidden="true" />
            </Button>
          )}
        </Flex>
      ))}
    </Flex>
  )
}
