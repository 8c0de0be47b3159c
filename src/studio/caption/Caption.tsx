// The caption: the selected effect's sentence with its live words, its line of time, and what can be done with it.
import { Box, Flex } from '@chakra-ui/react'
import { Fragment, useState, type ReactNode } from 'react'
import type { Piece } from '../../core/effect/control'
import { helpOfRole } from '../../core/effect/help'
import { filledIn, findKind, type AnyKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { toggleDrawer } from '../commands'
import { startPointing } from '../point/commands'
import { useSelected, useSite, useStudio, useView } from '../context'
import { keyOf } from '../registry'
import { Button } from '../theme/controls'
import { CaptionKeys } from './CaptionKeys'
import { ControlWord } from './ControlWord'
import { Matches } from './Matches'
import { NounWord, roleWord } from './NounWord'
import { PerElementRow } from './PerElementRow'
import { PosingRow } from './PosingRow'
import { ShellRow } from './ShellRow'
import { StackRow } from './StackRow'
import { WordDetails, WordHelp } from './WordDetails'

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
      {!hasEffects && (
        <Box asChild fontSize="15px" color="soft" textDecoration="underline" textUnderlineOffset="3px" whiteSpace="nowrap">
          <a href="/">The demo, and all sites</a>
        </Box>
      )}
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
  const setOpen = (rowsOpen: boolean) => view.update({ rowsOpen })
  const roles = kind.roles(effect.settings)
  const inHand = controls.find(({ id }) => id === touched)
  const roleInHand = roles.findIndex(({ id }) => roleWord(id) === touched)
  const word = (id: string) => {
    const control = controls.find((each) => each.id === id)
    return control && <ControlWord key={id} control={control} effect={effect} onRefusal={setRefusal} />
  }
  const tell = (pieces: readonly Piece[]): ReactNode[] =>
    pieces.map((piece, index) => {
      if (typeof piece === 'string') return <Fragment key={index}>{piece}</Fragment>
      if (!('role' in piece)) return word(piece.control)
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
            {tell(kind.time(effect.settings, filledIn(effect)))}
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
        {roles[roleInHand] && <WordHelp title={roles[roleInHand].title} help={helpOfRole(roles[roleInHand], roleInHand === 0)} />}
      </CaptionKeys>
    </Flex>
  )
}
