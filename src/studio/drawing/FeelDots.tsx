// The first choice of a feel: five dots that follow the pointer, each in its own way. The one to take is the one that feels right.
import { Box, chakra } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import type { Feel } from '../../core/feel/feel'
import { followerAt, rests, turnTo, valueAt, type Follower } from '../../core/feel/follower'
import { namedFeels, nameOfFeel, type NamedFeel } from '../../core/feel/named'
import { DrawingFrame } from './DrawingFrame'
import { usePresent } from './present'

interface FeelDotsProps {
  readonly title: string
  readonly feel: Feel
  readonly onChoose: (feel: Feel) => void
}

const titles: Readonly<Record<string, string>> = { crisp: 'crisp', soft: 'soft', heavy: 'heavy', springy: 'springy', 'at-once': 'at once' }

export function FeelDots({ title, feel, onChoose }: FeelDotsProps) {
  const lanes = useRef<HTMLDivElement>(null)
  const followers = useRef<Follower[]>(namedFeels.map(() => followerAt(0.5)))
  const over = useRef<number | null>(null)
  const handle = useRef(0)
  const chosen = nameOfFeel(feel)
  const step = (): boolean => {
    const now = performance.now()
    let moves = false
    followers.current.forEach((follower, i) => {
      const dot = lanes.current?.querySelectorAll<HTMLElement>('[data-dot]')[i]
      if (dot) dot.style.left = `${valueAt(follower, now) * 100}%`
      moves ||= !rests(follower, now)
    })
    return moves
  }
  const go = (share: number) =>
    followers.current.forEach((follower, i) => turnTo(follower, share, (namedFeels[i] as NamedFeel).feel, 1, performance.now()))
  const wake = () => {
    handle.current ||= requestAnimationFrame(() => {
      handle.current = 0
      if (step()) wake()
    })
  }
  useEffect(() => () => cancelAnimationFrame(handle.current), [])
  // Off the drawing, they follow the hand on the page.
  usePresent(({ sample }) => {
    if (over.current === null && sample?.place) {
      go((sample.place.x + 1) / 2)
      wake()
    }
    return false
  })
  return (
    <DrawingFrame title={title} words={chosen ? '' : 'tuned by hand'}>
      <Box
        ref={lanes}
        role="group"
        aria-label="Five feels"
        flex="1"
        display="grid"
        gridTemplateRows="repeat(5, minmax(24px, 1fr))"
        onPointerMove={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          over.current = Math.min(1, Math.max(0, (event.clientX - box.left - 76) / (box.width - 92)))
          go(over.current)
          wake()
        }}
        onPointerLeave={() => (over.current = null)}
      >
        {namedFeels.map((named) => (
          <chakra.button
            key={named.id}
            type="button"
            aria-pressed={chosen?.id === named.id}
            onClick={() => onChoose(named.feel)}
            display="grid"
            gridTemplateColumns="62px 1fr"
            gap="8px"
            alignItems="center"
            textAlign="left"
            px="6px"
            borderRadius="4px"
            border="1px solid"
            borderColor={chosen?.id === named.id ? 'edge' : 'transparent'}
            background={chosen?.id === named.id ? 'ground' : 'transparent'}
            color="ink"
            fontSize="14px"
            fontWeight={chosen?.id === named.id ? '600' : undefined}
            cursor="pointer"
            minHeight="0"
            _hover={{ background: 'press' }}
            _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
          >
            {titles[named.id]}
            <Box as="span" position="relative" height="1px" background="edge" mx="8px">
              <Box
                as="span"
                data-dot=""
                position="absolute"
                left="50%"
                top="-6px"
                width="13px"
                height="13px"
                ml="-6px"
                borderRadius="7px"
                background="madder"
                border="2px solid"
                borderColor="sheet"
              />
            </Box>
          </chakra.button>
        ))}
      </Box>
    </DrawingFrame>
  )
}
