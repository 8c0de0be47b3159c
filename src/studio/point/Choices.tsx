// What choosing a rung would mean: this one, its likes, the like of it in each repeat; or a selector that is typed.
import { Box, Flex, Grid, chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { Choice } from '../../core/page/candidates'
import { canRead } from '../caption/SelectorField'
import { addAnother } from './commands'
import { usePage, useSite, useStudio, useView } from '../context'
import { Button, Field } from '../theme/controls'

const wordsOf = ({ how, count }: Choice, noun: string): string => {
  switch (how) {
    case 'one':
      return `this ${noun} alone`
    case 'class':
      return `all ${count} like it`
    case 'structure':
      return `all ${count} at this position`
    case 'repeat':
      return `the one like it in each, ${count}`
    case 'links':
      return `all ${count} links of this menu`
    case 'items':
      return `all ${count} items of this list`
    case 'rows':
      return `all ${count} rows of this table`
    case 'column':
      return `all ${count} cells of this column`
    case 'picture':
      return count === 1 ? 'what holds only the picture' : `what holds only the picture, ${count}`
  }
}

/** How many matches there are on other pages of the site, in words. */
function elsewhere(counts: Readonly<Record<string, number>>, here: string): string {
  const others = Object.entries(counts).filter(([page, count]) => page !== here && count > 0)
  const sum = others.reduce((total, [, count]) => total + count, 0)
  return others.length === 0 ? '' : `, ${sum} on ${others.length === 1 ? 'another page' : `${others.length} other pages`}`
}

export function Choices() {
  const studio = useStudio()
  const { view } = studio
  const { pointing } = useView('pointing')
  const { pages } = useSite()
  const page = usePage()
  const rung = pointing.rungs[pointing.pick]
  if (!rung) return null
  return (
    <Grid
      as="section"
      aria-label="Which elements"
      templateColumns="minmax(0, 3fr) minmax(230px, 2fr)"
      columnGap="18px"
      borderLeft="1px solid"
      borderColor="hairline"
      px="14px"
      py="8px"
      minHeight="0"
      overflowY="auto"
    >
      <Flex direction="column" gap="3px" minWidth="0">
        <Box as="h2" fontSize="14px" fontWeight="600">
          Which ones
        </Box>
        {rung.choices.map((choice, index) => {
          const isChosen = pointing.typed === null && pointing.choice === index
          return (
            <chakra.button
              key={choice.select}
              type="button"
              aria-pressed={isChosen}
              onClick={() => view.update({ pointing: { ...pointing, choice: index, typed: null } })}
              display="flex"
              alignItems="baseline"
              gap="8px"
              flex="none"
              px="9px"
              minHeight="27px"
              borderRadius="4px"
              border="1px solid"
              borderColor={isChosen ? 'madder' : 'transparent'}
              background="transparent"
              color="ink"
              textAlign="left"
              cursor="pointer"
              _hover={{ background: 'press' }}
              _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
            >
              <Box as="span" fontSize="14px" lineHeight="25px" flex="none" fontWeight={isChosen ? '600' : undefined}>
                {wordsOf(choice, rung.noun)}
                {pages.length > 1 && (
                  <Box as="span" color="soft" fontWeight="400">
                    {elsewhere(choice.counts, page.id)}
                  </Box>
                )}
              </Box>
              <Box
                as="span"
                flex="1"
                minWidth="0"
                truncate
                textAlign="right"
                fontFamily="mono"
                fontSize="12px"
                color="soft"
                title={choice.select}
              >
                {choice.select}
              </Box>
              <Box
                as="span"
                flex="none"
                fontFamily="mono"
                fontSize="12px"
                color="soft"
                title={`Specificity ${choice.specificity.join(',')}`}
              >
                {choice.specificity.join(',')}
              </Box>
            </chakra.button>
          )
        })}
      </Flex>
      <Flex direction="column" gap="3px" minWidth="0">
        <TypedSelector key={rung.number} />
        {pointing.goal.for !== 'move' && (
          <Button
            variant="quiet"
            alignSelf="flex-start"
            minHeight="25px"
            fontSize="13px"
            onClick={() => addAnother(studio)}
            title="These, and others in another place"
          >
            And also …
          </Button>
        )}
        {pointing.also.length > 0 && (
          <Box fontSize="13px" color="soft">
            With {pointing.also.join(', ')}
          </Box>
        )}
      </Flex>
    </Grid>
  )
}

/** A selector that is typed, with its matches as they are. */
function TypedSelector() {
  const { view, search, link } = useStudio()
  const { pointing } = useView('pointing')
  const page = usePage()
  const [matches, setMatches] = useState<{ readonly select: string; readonly count: number | null; readonly all: number } | null>(null)
  const text = pointing.typed ?? ''
  useEffect(() => {
    if (text.trim() === '') return
    let isCurrent = true
    const isReadable = canRead(text)
    void Promise.all([search.ask({ ask: 'count', selects: [text] }), search.ask({ ask: 'count', selects: ['body *'] })]).then(
      ([own, every]) => {
        if (!isCurrent) return
        setMatches({ select: text, count: isReadable ? (own[text]?.[page.id] ?? null) : null, all: every['body *']?.[page.id] ?? 0 })
        if (isReadable) link.say({ type: 'outline', select: text })
      },
    )
    return () => {
      isCurrent = false
    }
  }, [text, search, link, page.id])
  const found = matches?.select === text ? matches : null
  const words =
    text.trim() === '' || !found
      ? ''
      : found.count === null
        ? 'This is no CSS selector.'
        : found.count === 0
          ? 'Nothing on this page matches.'
          : found.count > 40 && found.count > found.all / 3
            ? `${found.count} matches: a third of the page and more.`
            : `${found.count} on this page.`
  return (
    <Box flex="none" mt="2px">
      <chakra.label display="flex" alignItems="center" gap="8px" fontSize="13px" color="soft">
        or by selector
        <Field
          value={text}
          maxLength={500}
          spellCheck={false}
          flex="1"
          minWidth="0"
          minHeight="25px"
          fontFamily="mono"
          fontSize="12px"
          placeholder=".class > tag"
          onChange={(event) => view.update({ pointing: { ...pointing, typed: event.target.value === '' ? null : event.target.value } })}
        />
      </chakra.label>
      <Box
        role="status"
        fontSize="13px"
        fontWeight={words.includes('.') && found && !(found.count && found.count > 0) ? '600' : undefined}
        minHeight="18px"
      >
        {words}
      </Box>
    </Box>
  )
}
