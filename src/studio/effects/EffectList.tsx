// The effects of the site at the left: those of this page first, a number each; the list opens over the page, or stays open.
import { Box, Flex } from '@chakra-ui/react'
import { ChevronDown, ChevronRight, Crosshair, MoreHorizontal, Pin, PinOff, Trash2 } from 'lucide-react'
import { useState, type KeyboardEvent, type MouseEvent } from 'react'
import { findKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { startPointing, stopPointing } from '../point/commands'
import { stepIn } from '../point/step-in'
import { usePage, useSite, useStudio, useView } from '../context'
import { keyOf } from '../registry'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { chooseEffect, moveEffect, removeEffects, renameEffect, sortedByPage } from './commands'
import { ChosenBar } from './ChosenBar'
import { EffectMenu } from './EffectMenu'

/** How wide the list is, closed and open, px. */
export const listWidths = { closed: 44, open: 316 } as const

export function EffectList() {
  const studio = useStudio()
  const site = useSite()
  const page = usePage()
  const { indexOpen, listStays, counts, chosen, effectMenu } = useView('indexOpen', 'listStays', 'counts', 'chosen', 'effectMenu')
  const [renaming, setRenaming] = useState<string | null>(null)
  const [isElsewhereOpen, setElsewhereOpen] = useState(false)
  const { effects } = site
  const { here, elsewhere } = sortedByPage(site, page, counts)
  const isOpen = effects.length > 0 && (indexOpen || listStays || effectMenu !== null || renaming !== null)
  const open = (isNow: boolean) => studio.view.update({ indexOpen: isNow && effects.length > 0 })
  const rowsOf = (list: readonly Effect[]) =>
    list.map((effect) => (
      <EffectRow
        key={effect.id}
        effect={effect}
        number={effects.indexOf(effect) + 1}
        isOpen={isOpen}
        isRenaming={renaming === effect.id}
        onRename={setRenaming}
        order={[...here, ...elsewhere].map(({ id }) => id)}
      />
    ))
  return (
    <Flex
      as="nav"
      aria-label="Effects"
      direction="column"
      align="stretch"
      borderRight="1px solid"
      borderColor="hairline"
      background="sheet"
      position="relative"
      zIndex="5"
      minHeight="0"
      width={`${isOpen ? listWidths.open : listWidths.closed}px`}
      boxShadow={isOpen && !listStays ? '10px 0 24px -18px #000' : undefined}
      onMouseEnter={() => open(true)}
      onMouseLeave={() => {
        open(false)
        studio.link.say({ type: 'outline', select: null })
      }}
      onFocus={(event) => event.target.matches(':focus-visible') && open(true)}
      onBlur={(event) => event.currentTarget.contains(event.relatedTarget) || open(false)}
    >
      <Flex px="5px" pt="6px" gap="4px">
        <PointButton isOpen={isOpen} />
        {isOpen && (
          <Button
            variant="quiet"
            aria-label={listStays ? 'Close the list when the pointer leaves it' : 'Keep the list open'}
            aria-pressed={listStays}
            title={listStays ? 'The list stays open' : 'Keep the list open'}
            onClick={() => studio.view.update({ listStays: !listStays })}
          >
            {listStays ? <PinOff size={15} aria-hidden="true" /> : <Pin size={15} aria-hidden="true" />}
          </Button>
        )}
      </Flex>
      <Box
        overflowY="auto"
        overflowX="hidden"
        flex="1"
        minHeight="0"
        px="5px"
        py="4px"
        onKeyDown={(event: KeyboardEvent<HTMLDivElement>) => {
          if (!event.altKey && /^(Arrow(Up|Down)|Home|End)$/.test(event.key) && stepIn(event.currentTarget, event.key))
            event.preventDefault()
        }}
      >
        <Box as="ol" aria-label="On this page">
          {rowsOf(here)}
        </Box>
        {isOpen && here.length === 0 && (
          <Box px="8px" py="4px" fontSize="13px" color="soft">
            None of them is on this page.
          </Box>
        )}
        {isOpen && elsewhere.length > 0 && (
          <>
            <Button
              variant="quiet"
              mt="6px"
              fontSize="13px"
              color="soft"
              width="100%"
              justifyContent="flex-start"
              aria-expanded={isElsewhereOpen}
              onClick={() => setElsewhereOpen(!isElsewhereOpen)}
            >
              {isElsewhereOpen ? <ChevronDown size={14} aria-hidden="true" /> : <ChevronRight size={14} aria-hidden="true" />} Elsewhere on
              this site, {elsewhere.length}
            </Button>
            {isElsewhereOpen && (
              <Box as="ol" aria-label="Elsewhere on this site">
                {rowsOf(elsewhere)}
              </Box>
            )}
          </>
        )}
      </Box>
      {isOpen && chosen.length > 0 && <ChosenBar />}
      <EffectMenu onRename={setRenaming} />
    </Flex>
  )
}

function PointButton({ isOpen }: { readonly isOpen: boolean }) {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const isPointing = pointing.stage !== 'no'
  return (
    <Button
      variant="quiet"
      aria-pressed={isPointing}
      onClick={() => (isPointing ? stopPointing(studio) : startPointing(studio))}
      justifyContent="flex-start"
      flex="1"
      minHeight="30px"
      aria-label={isPointing ? 'Stop pointing' : 'Point at something on the page'}
      title={`Point at something on the page (${keyOf('point')})`}
    >
      <Crosshair size={18} aria-hidden="true" style={{ flex: 'none' }} />
      {isOpen && <span>Point at something</span>}
    </Button>
  )
}

interface EffectRowProps {
  readonly effect: Effect
  readonly number: number
  readonly isOpen: boolean
  readonly isRenaming: boolean
  readonly onRename: (id: string | null) => void
  /** The ids of all rows, in the order of the list. */
  readonly order: readonly string[]
}

function EffectRow({ effect, number, isOpen, isRenaming, onRename, order }: EffectRowProps) {
  const studio = useStudio()
  const page = usePage()
  const { selected, chosen, counts } = useView('selected', 'chosen', 'counts')
  const { id, name, isOff = false } = effect
  const isSelected = id === selected
  const count = counts.get(effect.select)?.[page.id]
  const state = [findKind(effect.kind)?.title, count === undefined ? undefined : matchesHere(count), isOff ? 'off' : undefined]
  const openMenu = (event: MouseEvent, x: number, y: number) => {
    event.preventDefault()
    studio.view.update({ effectMenu: { id, x, y } })
  }
  const choose = ({ shiftKey, ctrlKey, metaKey }: MouseEvent) =>
    chooseEffect(studio, id, shiftKey ? 'range' : ctrlKey || metaKey ? 'also' : 'alone', order)
  return (
    <Flex
      as="li"
      gap="1px"
      align="center"
      mb="2px"
      onMouseEnter={() => studio.link.say({ type: 'outline', select: effect.select })}
      onMouseLeave={() => studio.link.say({ type: 'outline', select: null })}
      onContextMenu={(event) => openMenu(event, event.clientX, event.clientY)}
      onKeyDown={(event) => {
        if (event.key === 'F2') onRename(id)
        if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
          event.preventDefault()
          moveEffect(studio, effect, event.key === 'ArrowUp' ? -1 : 1)
        }
      }}
    >
      {isRenaming ? (
        <NamedField
          label={`Name of effect ${number}`}
          autoFocus
          value={name}
          maxLength={120}
          flex="1"
          minWidth="0"
          my="6px"
          onFocus={(event) => event.currentTarget.select()}
          onTake={(next) => renameEffect(studio, effect, next)}
          onLeave={() => onRename(null)}
        />
      ) : (
        <Button
          variant="quiet"
          data-step
          flex="1"
          minWidth="0"
          px={isOpen ? '8px' : '4px'}
          py={isOpen ? '3px' : undefined}
          gap="9px"
          justifyContent={isOpen ? 'flex-start' : 'center'}
          aria-pressed={isSelected || chosen.includes(id)}
          aria-label={`Effect ${number}: ${name}${isOff ? ', off' : ''}`}
          title={isOpen ? undefined : name}
          onClick={choose}
          onDoubleClick={() => onRename(id)}
        >
          <Box
            as="span"
            width="20px"
            textAlign="center"
            flex="none"
            fontWeight="600"
            textDecoration={isOff ? 'line-through' : undefined}
            color={isOff ? 'soft' : undefined}
          >
            {number}
          </Box>
          {isOpen && (
            <Box as="span" minWidth="0" textAlign="left" lineHeight="1.25">
              <Box as="span" display="block" fontWeight="500" truncate color={isOff ? 'soft' : undefined}>
                {name}
              </Box>
              <Box as="span" display="block" fontWeight="400" fontSize="12.5px" color="soft" truncate>
                {state.filter((each) => each !== undefined).join(' · ')}
              </Box>
            </Box>
          )}
        </Button>
      )}
      {isOpen && !isRenaming && (
        <>
          <Button
            variant="quiet"
            px="4px"
            aria-label={`Remove effect ${number}`}
            title="Remove"
            onClick={() => removeEffects(studio, [effect])}
          >
            <Trash2 size={14} aria-hidden="true" />
          </Button>
          <Button
            variant="quiet"
            px="4px"
            aria-label={`Actions for effect ${number}`}
            aria-haspopup="menu"
            title="Rename, duplicate, move and more"
            onClick={(event) => {
              const { left, bottom } = event.currentTarget.getBoundingClientRect()
              openMenu(event, left, bottom + 2)
            }}
          >
            <MoreHorizontal size={15} aria-hidden="true" />
          </Button>
        </>
      )}
    </Flex>
  )
}

const matchesHere = (count: number) => `${count} ${count === 1 ? 'match' : 'matches'} here`
