// The caption: the selected effect's sentence with its live words, its line of time, and the rows beneath.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { Fragment, useState, type ReactNode } from 'react'
import type { Piece } from '../../core/effect/control'
import { expandEffect, findKind, type AnyKind } from '../../core/effect/kinds'
import { clashesOf } from '../../core/rig/clash'
import type { Effect } from '../../core/site/site'
import { changeSettings, startPointing } from '../commands'
import { usePage, useSelected, useSite, useStudio, useView } from '../context'
import { keyNames } from '../keys'
import { newGesture } from '../store/site-store'
import { Button } from '../theme/controls'
import { CaptionKeys } from './CaptionKeys'
import { ChoiceWord } from './ChoiceWord'
import { LiveNumber } from './LiveNumber'
import { NameField } from './NameField'
import { NounWord } from './NounWord'
import { OwnRow } from './OwnRow'
import { PagesField } from './PagesField'
import { SelectorField } from './SelectorField'
import { ShellRow } from './ShellRow'

export function Caption() {
  const selected = useSelected()
  const { effects } = useSite()
  if (!selected) return <EmptyCaption hasEffects={effects.length > 0} />
  const kind = findKind(selected.effect.kind)
  if (!kind) return null
  return <CaptionOf key={selected.effect.id} effect={selected.effect} number={selected.number} kind={kind} />
}

function EmptyCaption({ hasEffects }: { readonly hasEffects: boolean }) {
  const studio = useStudio()
  return (
    <Flex as="section" aria-label="Caption" align="center" gap="16px" px="22px" height="100%">
      <Button look="act" onClick={() => startPointing(studio)}>Point at something ({keyNames.point})</Button>
      <Box fontSize="17px">{hasEffects ? 'Or choose a figure at the left to tune it.' : 'Choose an element of the page, and what the pointer does to it.'}</Box>
    </Flex>
  )
}

interface CaptionOfProps {
  readonly effect: Effect
  readonly number: number
  readonly kind: AnyKind
}

function CaptionOf({ effect, number, kind }: CaptionOfProps) {
  const [refusal, setRefusal] = useState<string | null>(null)
  const { view } = useStudio()
  const { rowsOpen: open } = useView()
  const setOpen = (rowsOpen: boolean) => view.update({ rowsOpen })
  const word = (id: string) => <ControlWord key={id} id={id} effect={effect} kind={kind} onRefusal={setRefusal} />
  const tell = (pieces: readonly Piece[]): ReactNode[] =>
    pieces.map((piece, index) => {
      if (typeof piece === 'string') return <Fragment key={index}>{piece}</Fragment>
      if (!('role' in piece)) return word(piece.control)
      const roles = kind.roles(effect.settings)
      const role = roles.find(({ id }) => id === piece.role)
      return role ? <NounWord key={index} effect={effect} role={role} isMain={role.id === roles[0]?.id} /> : null
    })
  return (
    <Flex as="section" aria-label={`Caption of figure ${number}`} direction="column" px="16px" pt="9px" pb="6px" minHeight="0" overflowY="auto" position="relative">
      <Flex gap="12px" align="baseline">
        <Box fontSize="22px" fontWeight="600" lineHeight="1" color="ink" flex="none" aria-hidden="true">{number}</Box>
        <Box minWidth="0">
          <Box fontSize="17px" lineHeight="31px">{tell(kind.sentence(effect.settings))}</Box>
          <Box fontSize="15px" lineHeight="29px" color="soft">{tell(kind.time(effect.settings))}</Box>
        </Box>
      </Flex>
      <Matches effect={effect} />
      <ShellRow effect={effect} />
      {!open && Object.keys(effect.own ?? {}).length > 0 && <Box pl="30px"><OwnRow effect={effect} /></Box>}
      {refusal && <Box role="alert" fontSize="13.5px" fontWeight="600" pl="30px" mt="2px">⚠ {refusal}</Box>}
      <CaptionKeys effect={effect} open={open} onOpen={setOpen} />
      {open && (
        <Box pl="30px" pt="4px" pb="6px">
          <NameField key={effect.name} effect={effect} />
          <OwnRow effect={effect} />
          <Rows ids={kind.rows.more} word={word} kind={kind} />
          <SelectorField effect={effect} />
          <PagesField effect={effect} />
          <Rows ids={kind.rows.exact} word={word} kind={kind} />
          <Box fontSize="13px" color="soft" mt="4px">{kind.answers.touch} With reduced motion: {kind.answers.reducedMotion.toLowerCase()}</Box>
        </Box>
      )}
    </Flex>
  )
}

function Rows({ ids, word, kind }: { readonly ids: readonly string[]; readonly word: (id: string) => ReactNode; readonly kind: AnyKind }) {
  return (
    <Grid templateColumns="repeat(auto-fill, minmax(400px, 1fr))" columnGap="24px">
      {ids.map((id) => (
        <Flex key={id} align="center" gap="10px" minHeight="31px" fontSize="14px">
          <Box width="150px" color="soft">{kind.controls.find((control) => control.id === id)?.title}</Box>
          {word(id)}
        </Flex>
      ))}
    </Grid>
  )
}

interface ControlWordProps {
  readonly id: string
  readonly effect: Effect
  readonly kind: AnyKind
  readonly onRefusal: (refusal: string | null) => void
}

/** One control as a live word that changes the effect. */
function ControlWord({ id, effect, kind, onRefusal }: ControlWordProps) {
  const studio = useStudio()
  const control = kind.controls.find((each) => each.id === id)
  if (!control) return null
  const touch = () => studio.view.update({ touched: control.id })
  if (control.kind === 'choice') {
    return <ChoiceWord control={control} value={control.read(effect.settings)} onTouch={touch} onChange={(value) => changeSettings(studio, effect, control.write(effect.settings, value), control.title, newGesture())} />
  }
  return (
    <LiveNumber control={control} value={control.read(effect.settings)} onTouch={touch} onRefusal={onRefusal}
      onChange={(value, gesture) => changeSettings(studio, effect, control.write(effect.settings, value), control.title, gesture)} />
  )
}

/** What is worth knowing about the elements that are meant: none are there, or a later figure sets what only one can. */
function Matches({ effect }: { readonly effect: Effect }) {
  const { effects, pages } = useSite()
  const { counts, overlaps } = useView()
  const page = usePage()
  const meets = (other: Effect) => other.select === effect.select || overlaps.some((set) => set.includes(effect.select) && set.includes(other.select))
  const rig = expandEffect(effect)
  const [later] = effects.slice(effects.indexOf(effect) + 1).filter(meets).map((other) => ({ number: effects.indexOf(other) + 1, clashes: clashesOf(rig, expandEffect(other)) })).filter(({ clashes }) => clashes.length > 0)
  const count = counts.get(effect.select) === null ? null : counts.get(effect.select)?.[page.id]
  const elsewhere = pages.filter(({ id }) => id !== page.id && (counts.get(effect.select)?.[id] ?? 0) > 0).map(({ id, name }) => `${counts.get(effect.select)?.[id] ?? 0} on ${name}`)
  if (count === 0 && elsewhere.length > 0) return <Box role="status" fontSize="13.5px" color="soft" pl="30px" lineHeight="1.4">Nothing on this page; {elsewhere.join(', ')}.</Box>
  const words =
    count === 0 ? `Nothing on this page matches ${effect.select}. Point at the element again, or mend the selector under More.`
    : count === null ? `${effect.select} is no selector that a browser can read. Point at the element again, or mend it under More.`
    : later ? `Figure ${later.number} sets the ${later.clashes.join(' and the ')} of some of these elements too, and the later figure counts there. All else adds up.`
    : undefined
  return words ? <Box role="status" fontSize="13.5px" fontWeight="600" pl="30px" lineHeight="1.4">⚠ {words}</Box> : null
}
