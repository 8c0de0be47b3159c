// Something that is amiss, with a change of the markup that mends it: shown as a difference of the page, and done in one act.
import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { notify } from '../commands'
import type { SourceChange } from '../markup/commands'
import { usePage, useStudio } from '../context'
import { Button } from '../theme/controls'

interface MarkupOfferProps {
  /** What is amiss, in one sentence. */
  readonly words: string
  readonly change: SourceChange
  /** What the button says that does it. */
  readonly act: string
  readonly onAct: () => void
  /** It stands in a list of such, not by itself under a sentence. */
  readonly inList?: boolean
}

export function MarkupOffer({ words, change, act, onAct, inList = false }: MarkupOfferProps) {
  const studio = useStudio()
  const page = usePage()
  const [lines, setLines] = useState<readonly string[] | null>(null)
  const show = async () => {
    const [before, markup, { structuredPatch }] = await Promise.all([
      studio.search.source(page.source),
      import('../../core/page/markup'),
      import('diff'),
    ])
    const { hunks } = structuredPatch('', '', before, change(before, markup), '', '', { context: 1 })
    setLines(hunks.flatMap(({ lines: each }) => ['…', ...each]).slice(1))
  }
  return (
    <Box pl={inList ? '0' : '30px'} fontSize="13.5px" role={inList ? undefined : 'status'}>
      <Flex gap="8px" align="center" wrap="wrap">
        <Box fontWeight={inList ? undefined : '600'} lineHeight={inList ? '1.45' : undefined} flexBasis={inList ? '100%' : undefined}>
          ⚠ {words}
        </Box>
        <Button
          variant="quiet"
          minHeight="24px"
          fontSize="13px"
          aria-expanded={lines !== null}
          onClick={() => {
            if (lines) setLines(null)
            else
              show().catch((error: unknown) =>
                notify(
                  studio,
                  `The change cannot be shown. ${error instanceof Error ? error.message : 'The page’s source is not as it was.'}`,
                ),
              )
          }}
        >
          Show the change
        </Button>
        <Button minHeight="24px" fontSize="13px" onClick={onAct}>
          {act}
        </Button>
      </Flex>
      {lines && (
        <Box
          as="pre"
          aria-label="What changes in the markup"
          tabIndex={0}
          maxHeight="120px"
          overflow="auto"
          fontFamily="mono"
          fontSize="12px"
          lineHeight="1.5"
          my="4px"
        >
          {lines.map((line, index) => (
            <Box key={index} fontWeight={/^[+-]/.test(line) ? '700' : '400'} color={/^[+-]/.test(line) ? 'ink' : 'soft'}>
              {line}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  )
}
