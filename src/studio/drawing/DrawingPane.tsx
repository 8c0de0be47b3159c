// The drawing beside the caption: of the word in hand.
import { Box } from '@chakra-ui/react'
import type { Drawing } from '../../core/effect/control'
import { findKind, type AnyKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { useSelected, useView } from '../context'
import { FlickDrawing } from './FlickDrawing'
import { SideDrawing } from './SideDrawing'

export function DrawingPane() {
  const selected = useSelected()
  const { touched } = useView()
  const kind = selected && findKind(selected.effect.kind)
  if (!selected || !kind) return <Box borderLeft="1px solid" borderColor="hairline" />
  const drawing = kind.controls.find(({ id }) => id === touched)?.drawing ?? 'flick'
  return (
    <Box as="section" aria-label="Drawing" borderLeft="1px solid" borderColor="hairline" px="14px" py="8px" minWidth="0" minHeight="0">
      <DrawingOf drawing={drawing} kind={kind} effect={selected.effect} />
    </Box>
  )
}

function DrawingOf({ drawing, kind, effect }: { readonly drawing: Drawing; readonly kind: AnyKind; readonly effect: Effect }) {
  if (drawing === 'side') return <SideDrawing rig={kind.expand(effect.settings, effect.select)} />
  const springs = kind.springs(effect.settings)
  if (!springs) return null
  const { follow, back } = springs
  return drawing === 'return' ? <FlickDrawing title="Going back" spring={back} /> : <FlickDrawing title="After a flick" spring={follow} />
}
