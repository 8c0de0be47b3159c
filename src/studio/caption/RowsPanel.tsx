// The rows of the selected effect, at the right: by what they are about, found by search, those that are otherwise than at first marked.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { ChevronDown, ChevronRight, RotateCcw, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import type { Control, Section } from '../../core/effect/control'
import { findKind, type AnyKind } from '../../core/effect/kinds'
import { isAsAtFirst, isFound, reset, sectionOf, sections } from '../../core/effect/sections'
import { tellValue } from '../../core/effect/tell'
import type { Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { changeSettings } from '../commands'
import { addRole } from '../point/commands'
import { useSelected, useSite, useStudio, useView } from '../context'
import { Button } from '../theme/controls'
import { SearchField } from '../theme/SearchField'
import { ControlWord } from './ControlWord'
import { NamedValues } from './NamedValues'
import { NameField } from './NameField'
import { NarrowRow } from './NarrowRow'
import { NounWord } from './NounWord'
import { PagesField } from './PagesField'
import { PerElementRow } from './PerElementRow'
import { SelectorField } from './SelectorField'

export function RowsPanel() {
  const selected = useSelected()
  const site = useSite()
  const effect = selected && withBindings(site).effects[selected.number - 1]
  const kind = effect && findKind(effect.kind)
  return kind ? <RowsOf key={effect.id} effect={effect} kind={kind} number={selected.number} /> : null
}

interface RowsOfProps {
  /** The effect with its bindings followed. */
  readonly effect: Effect
  readonly kind: AnyKind
  readonly number: number
}

function RowsOf({ effect, kind, number }: RowsOfProps) {
  const { view } = useStudio()
  const [search, setSearch] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  const isSearching = search.trim() !== ''
  const rows = kind.controls(effect.settings).filter((control) => control.row !== undefined && control.isIdle !== true)
  const found = isSearching ? rows.filter((control) => isFound(control, search.trim())) : rows
  const answers = kind.answersOf(effect.settings)
  return (
    <Flex
      as="aside"
      aria-label={`More of effect ${number}`}
      direction="column"
      flex="1 1 0"
      minHeight="0"
      background="sheet"
      borderLeft="1px solid"
      borderBottom="1px solid"
      borderColor="edge"
    >
      <Flex align="center" gap="8px" px="14px" py="6px" borderBottom="1px solid" borderColor="hairline">
        <Box as="h2" fontSize="15px" fontWeight="600" flex="1" truncate>
          <Box as="span" color="soft">
            {number}{' '}
          </Box>
          {effect.name}
        </Box>
        <SearchField
          label="Find a row"
          placeholder="Find a row"
          value={search}
          onSearch={setSearch}
          width="112px"
          minHeight="25px"
          fontSize="13px"
        />
        <Button variant="quiet" px="4px" aria-label="Close these rows" onClick={() => view.update({ rowsOpen: false })}>
          <X size={16} aria-hidden="true" />
        </Button>
      </Flex>
      {refusal && (
        <Box role="alert" fontSize="13.5px" fontWeight="600" px="14px" py="6px" borderBottom="1px solid" borderColor="hairline">
          ⚠ {refusal}
        </Box>
      )}
      {/* Long words go on in the next line, where a sentence would leave them short. */}
      <Box overflowY="auto" px="14px" py="6px" flex="1" minHeight="0" css={{ '--word-lines': 'normal' }}>
        {!isSearching && (
          <>
            <NameField effect={effect} />
            <RoleRows effect={effect} kind={kind} />
            <PerElementRow effect={effect} />
            <SelectorField effect={effect} />
            <PagesField effect={effect} />
          </>
        )}
        {isSearching && found.length === 0 && (
          <Box fontSize="14px" color="soft" py="10px">
            No row of this effect is called “{search.trim()}”.
          </Box>
        )}
        {sections.map((section) => (
          <SectionRows
            key={section}
            section={section}
            controls={found.filter((control) => sectionOf(control) === section)}
            isSearching={isSearching}
            effect={effect}
            kind={kind}
            onRefusal={setRefusal}
          >
            {section === 'Area' && !isSearching && <NarrowRow effect={effect} />}
          </SectionRows>
        ))}
        {!isSearching && (
          <>
            <NamedValues />
            <Box fontSize="13px" color="soft" mt="8px" pt="6px" borderTop="1px solid" borderColor="hairline">
              {answers.touch} With reduced motion: {answers.reducedMotion.charAt(0).toLowerCase() + answers.reducedMotion.slice(1)}
            </Box>
          </>
        )}
      </Box>
    </Flex>
  )
}

interface SectionRowsProps {
  readonly section: Section
  readonly controls: readonly Control<unknown>[]
  readonly isSearching: boolean
  readonly effect: Effect
  readonly kind: AnyKind
  readonly onRefusal: (refusal: string | null) => void
  readonly children: ReactNode
}

/** The rows under one heading, which folds them. */
function SectionRows({ section, controls, isSearching, effect, kind, onRefusal, children }: SectionRowsProps) {
  const { view } = useStudio()
  const { folded } = useView('folded')
  if (controls.length === 0 && !children) return null
  const isOpen = isSearching || !folded.includes(section)
  const changed = controls.filter((control) => !isAsAtFirst(control, effect.settings, kind.defaults)).length
  const Chevron = isOpen ? ChevronDown : ChevronRight
  const toggle = () => view.update({ folded: isOpen ? [...folded, section] : folded.filter((each) => each !== section) })
  return (
    <Box as="section" aria-label={section} borderTop="1px solid" borderColor="hairline" mt="5px" pt="3px">
      <Box as="h3">
        <Button
          variant="quiet"
          minHeight="27px"
          ml="-7px"
          fontSize="14px"
          fontWeight="600"
          aria-expanded={isOpen}
          onClick={toggle}
          css={{ '&[aria-expanded=true]:not(:hover)': { background: 'transparent', borderColor: 'transparent' } }}
        >
          <Chevron size={14} aria-hidden="true" /> {section}
          {!isOpen && changed > 0 && (
            <Box as="span" fontWeight="400" fontSize="13px" color="soft">
              {changed} changed
            </Box>
          )}
        </Button>
      </Box>
      {isOpen && (
        <Box role="group" aria-label={section}>
          {controls.map((control) => (
            <Row key={control.id} control={control} effect={effect} kind={kind} onRefusal={onRefusal} />
          ))}
          {children}
        </Box>
      )}
    </Box>
  )
}

interface RowProps {
  readonly control: Control<unknown>
  readonly effect: Effect
  readonly kind: AnyKind
  readonly onRefusal: (refusal: string | null) => void
}

/** One row; what is otherwise than at first has a bar before it, and the way back. */
function Row({ control, effect, kind, onRefusal }: RowProps) {
  const studio = useStudio()
  const isChanged = !isAsAtFirst(control, effect.settings, kind.defaults)
  const atFirst = tellValue(control, kind.defaults)
  return (
    <Grid
      templateColumns="minmax(96px, 2fr) minmax(0, 3fr) 24px"
      columnGap="10px"
      alignItems="center"
      minHeight="31px"
      py="2px"
      fontSize="14px"
      position="relative"
      _before={
        isChanged
          ? { content: '""', position: 'absolute', left: '-9px', top: '3px', bottom: '3px', borderLeft: '2px solid var(--gm-madder)' }
          : undefined
      }
    >
      <Box color={isChanged ? 'ink' : 'soft'} lineHeight="1.25">
        {control.title}
      </Box>
      <Box minWidth="0">
        <ControlWord control={control} effect={effect} onRefusal={onRefusal} />
      </Box>
      {isChanged ? (
        <Button
          variant="quiet"
          px="3px"
          minHeight="24px"
          aria-label={`Reset ${control.title}`}
          title={atFirst ? `Back to ${atFirst}` : 'Back to what it is at first'}
          onClick={() => changeSettings(studio, effect, reset(control, effect.settings, kind.defaults), `Resetting ${control.title}`)}
        >
          <RotateCcw size={13} aria-hidden="true" />
        </Button>
      ) : (
        <span />
      )}
    </Grid>
  )
}

/** The roles that the sentence leaves out, and one more where there may be more. */
function RoleRows({ effect, kind }: { readonly effect: Effect; readonly kind: AnyKind }) {
  const studio = useStudio()
  const told = new Set(
    kind.sentence(effect.settings).flatMap((piece) => (typeof piece === 'object' && 'role' in piece ? [piece.role] : [])),
  )
  const rest = kind.roles(effect.settings).filter(({ id }, i) => i > 0 && !told.has(id))
  if (rest.length === 0 && !kind.moreRoles) return null
  return (
    <Flex align="center" gap="8px" wrap="wrap" minHeight="31px" fontSize="14px">
      {rest.map((role) => (
        <NounWord key={role.id} effect={effect} role={role} isMain={false} />
      ))}
      {kind.moreRoles && (
        <Button variant="quiet" minHeight="25px" fontSize="13px" onClick={() => addRole(studio, effect)}>
          Add a {kind.moreRoles.noun}
        </Button>
      )}
    </Flex>
  )
}
