// The ladder: everything under the pointer, a rung each; covered, hidden and wrapping ones included.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { useStudio, useView } from '../context'
import type { LadderRung } from '../store/view-store'

const states = { seen: '', wraps: 'around', covered: 'covered', hidden: 'hidden' } as const

export function Ladder() {
  const { pointing } = useView('pointing')
  return (
    <Box as="section" aria-label="Under the pointer" px="14px" py="8px" overflowY="auto" minHeight="0">
      <Box as="h2" fontSize="14px" fontWeight="600" mb="4px">
        Under the pointer
      </Box>
      {pointing.rungs.length === 0 && (
        <Box color="soft" fontSize="14px">
          Nothing yet. Move over the page.
        </Box>
      )}
      <ol>
        {pointing.rungs.map((rung, index) => (
          <RungRow key={rung.number} rung={rung} index={index} />
        ))}
      </ol>
    </Box>
  )
}

function RungRow({ rung, index }: { readonly rung: LadderRung; readonly index: number }) {
  const { view } = useStudio()
  const { pointing } = useView('pointing')
  const isPicked = pointing.pick === index
  const row = useRef<HTMLLIElement>(null)
  useEffect(() => {
    if (isPicked) row.current?.scrollIntoView({ block: 'nearest' })
  }, [isPicked])
  return (
    <li ref={row}>
      <chakra.button
        type="button"
        disabled={pointing.stage !== 'choosing'}
        aria-pressed={isPicked}
        onClick={() => view.update({ pointing: { ...pointing, pick: index, choice: 0, typed: null }, trial: null })}
        display="flex"
        width="100%"
        alignItems="baseline"
        gap="8px"
        minHeight="25px"
        pl="10px"
        pr="4px"
        textAlign="left"
        background="transparent"
        color="ink"
        border="0"
        borderLeft="2px solid"
        borderColor={isPicked ? 'madder' : 'hairline'}
        cursor={pointing.stage === 'choosing' ? 'pointer' : 'default'}
        _hover={{ background: pointing.stage === 'choosing' ? 'press' : undefined }}
        _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
      >
        <Box as="span" fontSize="14px" fontWeight={isPicked ? '600' : undefined} flex="none">
          {rung.noun}
        </Box>
        <Box as="span" flex="1" minWidth="0" truncate color="soft" fontFamily="mono" fontSize="12px">
          {rung.element}
        </Box>
        {states[rung.how] && (
          <Flex as="span" flex="none" fontSize="12px" color="soft">
            {states[rung.how]}
          </Flex>
        )}
      </chakra.button>
    </li>
  )
}
