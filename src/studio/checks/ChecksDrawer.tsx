// The checks: what is amiss with effects on this page, each in a sentence, and what mends it in one act.
import { Box, Flex } from '@chakra-ui/react'
import type { Fix } from '../../core/check/check'
import type { Finding } from '../../core/check/checks'
import { MarkupOffer } from '../caption/MarkupOffer'
import { useSite, useStudio, useView } from '../context'
import { Drawer } from '../Drawer'
import { changeSource, type SourceChange } from '../markup/commands'
import { startPointing } from '../point/commands'
import { Button } from '../theme/controls'

export function ChecksDrawer() {
  const { view } = useStudio()
  const { findings, selected } = useView('findings', 'selected')
  const { effects } = useSite()
  const numbers = [...new Set((findings ?? []).map(({ number }) => number))]
  return (
    <Drawer label="Checks" title="Checks">
      <Box flex="1" minHeight="0" overflowY="auto" px="14px" py="10px" aria-live="polite">
        {findings === null && <Box color="soft">Looking at the effects of this page …</Box>}
        {findings?.length === 0 && (
          <Box color="soft">Nothing is amiss: the effects of this page were looked at, each with the pointer at nine places.</Box>
        )}
        {numbers.map((number) => (
          <Box key={number} as="section" mb="14px">
            <Flex align="center" gap="8px" mb="4px">
              <Box as="h3" fontSize="14px" fontWeight="600" flex="1" minWidth="0" truncate>
                {number}&ensp;{effects[number - 1]?.name}
              </Box>
              <Button
                variant="quiet"
                minHeight="24px"
                fontSize="13px"
                aria-pressed={selected === effects[number - 1]?.id}
                onClick={() => view.update({ selected: effects[number - 1]?.id ?? null, touched: null })}
              >
                Select
              </Button>
            </Flex>
            <Flex as="ul" direction="column" gap="8px" listStyleType="none">
              {findings
                ?.filter((each) => each.number === number)
                .map((finding) => (
                  <FindingRow key={finding.check} finding={finding} />
                ))}
            </Flex>
          </Box>
        ))}
      </Box>
    </Drawer>
  )
}

/** The change of the source that a fix is. */
const changeBy =
  (fix: Fix): SourceChange =>
  (source, { addCssOnce, applyMarkup }) =>
    'css' in fix ? addCssOnce(source, fix.css) : 'markup' in fix ? fix.markup.reduce(applyMarkup, source) : source

function FindingRow({ finding }: { readonly finding: Finding }) {
  const studio = useStudio()
  const { words, fix, or } = finding
  const mend = (by: Fix) => {
    if ('edit' in by) studio.store.edit(by.edit, by.words)
    else if ('role' in by) startPointing(studio, { for: 'role', effect: finding.effect, role: by.role })
    else void changeSource(studio, by.words, changeBy(by))
  }
  const offer = (by: Fix | undefined) =>
    by && (
      <Button minHeight="24px" fontSize="13px" onClick={() => mend(by)}>
        {by.words}
      </Button>
    )
  return (
    <Box as="li" borderTop="1px solid" borderColor="hairline" pt="7px">
      {fix && ('markup' in fix || 'css' in fix) ? (
        <>
          <MarkupOffer words={words} change={changeBy(fix)} act={fix.words} onAct={() => mend(fix)} inList />
          {offer(or)}
        </>
      ) : (
        <Box fontSize="13.5px" lineHeight="1.45">
          <Box as="span" aria-hidden="true" fontWeight="700">
            ⚠{' '}
          </Box>
          {words}
          {(fix || or) && (
            <Flex mt="4px" gap="6px" wrap="wrap">
              {offer(fix)}
              {offer(or)}
            </Flex>
          )}
        </Box>
      )}
    </Box>
  )
}
