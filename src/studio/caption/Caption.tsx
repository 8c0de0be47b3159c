// The caption: the selected effect's sentence with its live words, its line of time, and the rows beneath.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { ChevronDown, ChevronUp } from 'lucide-react'
import { Fragment, useState, type ReactNode } from 'react'
import type { Control, ControlRow, Piece } from '../../core/effect/control'
import { filledIn, findKind, type AnyKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { toggleDrawer } from '../commands'
import { addRole, startPointing } from '../point/commands'
import { useSelected, useSite, useStudio, useView } from '../context'
import { keyOf } from '../registry'
import { Button } from '../theme/controls'
import { CaptionKeys } from './CaptionKeys'
import { ControlWord } from './ControlWord'
import { Matches } from './Matches'
import { NamedValues } from './NamedValues'
import { NameField } from './NameField'
import { NarrowRow } from './NarrowRow'
import { NounWord } from './NounWord'
import { PerElementRow } from './PerElementRow'
import { PagesField } from './PagesField'
import { PosingRow } from './PosingRow'
import { SelectorField } from './SelectorField'
import { ShellRow } from './ShellRow'
import { StackRow } from './StackRow'
import { WordDetails } from './WordDetails'

export function Caption() {
  const selected = useSelected()
  const site = useSite()
  if (!selected) return <EmptyCaption hasEffects={site.effects.length > 0} />
  const kind = findKind(selected.effect.kind)
  const effect = withBindings(site).effects[selected.number - 1]
  return kind && effect ? <CaptionOf key={effect.id} effect={effect} number={selected.number} kind={kind} /> : null
}

function EmptyCaption({ hasEffects }: { readonly hasEffects: boolean }) {
  const studio = useStudio()
  return (
    <Flex as="section" aria-label="Caption" align="center" gap="16px" px="22px" height="100%">
      <Button variant="act" onClick={() => startPointing(studio)}>
        Point at something ({keyOf('point')})
      </Button>
      <Button onClick={() => toggleDrawer(studio, 'pages')}>Import page ({keyOf('pages')})</Button>
      <Box fontSize="17px">
        {hasEffects ? 'Or choose an effect at the left to tune it.' : 'Choose an element of the page, and what the pointer does to it.'}
      </Box>
    </Flex>
  )
}

interface CaptionOfProps {
  /** The effect with its bindings followed. */
  readonly effect: Effect
  readonly number: number
  readonly kind: AnyKind
}

function CaptionOf({ effect, number, kind }: CaptionOfProps) {
  const [refusal, setRefusal] = useState<string | null>(null)
  const { view } = useStudio()
  const { rowsOpen: open, touched } = useView('rowsOpen', 'touched')
  const controls = kind.controls(effect.settings)
  const idsIn = (row: ControlRow) => controls.filter((control) => control.row === row).map(({ id }) => id)
  const exact = idsIn('exact')
  const answers = kind.answersOf(effect.settings)
  const setOpen = (rowsOpen: boolean) => view.update({ rowsOpen })
  const inHand = controls.find(({ id }) => id === touched)
  const word = (id: string) => {
    const control = controls.find((each) => each.id === id)
    return control && <ControlWord key={id} control={control} effect={effect} onRefusal={setRefusal} />
  }
  const tell = (pieces: readonly Piece[]): ReactNode[] =>
    pieces.map((piece, index) => {
      if (typeof piece === 'string') return <Fragment key={index}>{piece}</Fragment>
      if (!('role' in piece)) return word(piece.control)
      const roles = kind.roles(effect.settings)
      const role = roles.find(({ id }) => id === piece.role)
      return role ? <NounWord key={index} effect={effect} role={role} isMain={role.id === roles[0]?.id} /> : null
    })
  return (
    <Flex
      as="section"
      aria-label={`Caption of effect ${number}`}
      direction="column"
      px="16px"
      pt="7px"
      pb="5px"
      height="100%"
      minHeight="0"
      overflowY="auto"
      position="relative"
    >
      <Flex gap="12px" align="baseline">
        <Box fontSize="22px" fontWeight="600" lineHeight="1" color="ink" flex="none" aria-hidden="true">
          {number}
        </Box>
        <Box minWidth="0">
          <Box fontSize="17px" lineHeight="30px">
            {tell(kind.sentence(effect.settings))}
          </Box>
          <Box fontSize="14px" lineHeight="27px" color="soft">
            {tell(kind.time(effect.settings, filledIn(effect.roles)))}
          </Box>
        </Box>
      </Flex>
      <Matches effect={effect} />
      <ShellRow effect={effect} />
      <StackRow effect={effect} />
      <PosingRow />
      {!open && Object.keys(effect.overrides ?? {}).length > 0 && (
        <Box pl="30px">
          <PerElementRow effect={effect} />
        </Box>
      )}
      {refusal && (
        <Box role="alert" fontSize="13.5px" fontWeight="600" pl="30px" mt="2px">
          ⚠ {refusal}
        </Box>
      )}
      <CaptionKeys effect={effect} open={open} onOpen={setOpen}>
        {inHand && <WordDetails control={inHand} effect={effect} />}
      </CaptionKeys>
      {open && (
        <Box pl="30px" pt="4px" pb="6px">
          <NameField effect={effect} />
          <RoleRows effect={effect} kind={kind} />
          <PerElementRow effect={effect} />
          <Rows title="More of it" ids={idsIn('more')} word={word} controls={controls} />
          <SelectorField effect={effect} />
          <PagesField effect={effect} />
          <Fold title="Strength, area, visitors">
            <Rows title="Strength, area, visitors" ids={idsIn('common')} word={word} controls={controls} />
            <NarrowRow effect={effect} />
          </Fold>
          {exact.length > 0 && (
            <Fold title="Exact numbers">
              <Rows title="Exact numbers" ids={exact} word={word} controls={controls} />
            </Fold>
          )}
          <NamedValues />
          <Box fontSize="13px" color="soft" mt="4px">
            {answers.touch} With reduced motion: {answers.reducedMotion.charAt(0).toLowerCase() + answers.reducedMotion.slice(1)}
          </Box>
        </Box>
      )}
    </Flex>
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

/** Rows that are less used: a line that opens to them. */
function Fold({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const [isOpen, setOpen] = useState(false)
  const Chevron = isOpen ? ChevronUp : ChevronDown
  return (
    <Box borderTop="1px solid" borderColor="hairline" mt="3px" pt="2px">
      <Button variant="quiet" minHeight="27px" ml="-7px" fontSize="14px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        <Chevron size={14} aria-hidden="true" /> {title}
      </Button>
      {isOpen && children}
    </Box>
  )
}

interface RowsProps {
  readonly title: string
  readonly ids: readonly string[]
  readonly word: (id: string) => ReactNode
  readonly controls: readonly Control<unknown>[]
}

function Rows({ title, ids, word, controls }: RowsProps) {
  return (
    <Grid role="group" aria-label={title} templateColumns="repeat(auto-fill, minmax(400px, 1fr))" columnGap="24px">
      {ids.map((id) => (
        <Flex key={id} align="center" gap="10px" minHeight="31px" fontSize="14px">
          <Box width="150px" color="soft">
            {controls.find((control) => control.id === id)?.title}
          </Box>
          {word(id)}
        </Flex>
      ))}
    </Grid>
  )
}
