// The drawing beside the caption: of the word in hand.
import { Box } from '@chakra-ui/react'
import { findKind } from '../../core/effect/kinds'
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
      {drawing === 'flick' ? <FlickDrawing spring={kind.follows(selected.effect.settings)} /> : <SideDrawing rig={kind.expand(selected.effect.settings, selected.effect.select)} />}
    </Box>
  )
}
