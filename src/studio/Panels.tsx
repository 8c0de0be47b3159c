// What stands beside the page, at the right: what can be done with a chosen element, the rows of the selected effect, or a drawer. It lies where the
// page leaves room, over the page where that is not enough, and never moves the page.
import { Box, Flex } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useRef } from 'react'
import { RowsPanel } from './caption/RowsPanel'
import { Drawers } from './Drawers'
import { useStudio, useView } from './context'
import { useOpenPanel } from './open-panel'
import { panelWidths } from './panel-widths'

const loadWhatToDo = () => import('./point/WhatToDo').then((loaded) => loaded.WhatToDo)
const WhatToDo = dynamic(loadWhatToDo, { ssr: false })

export function Panels() {
  const { view } = useStudio()
  const { panels } = useView('panels')
  const { panel, width, isChoosing, hasRows } = useOpenPanel()
  if (!panel) return null
  return (
    <Flex position="absolute" right="0" top="0" bottom="0" zIndex="4" direction="column" width={`${width}px`}>
      <Edge width={width} onWidth={(width) => view.update({ panels: { ...panels, [panel]: width } })} />
      {isChoosing ? (
        <WhatToDo />
      ) : (
        <>
          {hasRows && <RowsPanel />}
          <Drawers />
        </>
      )}
    </Flex>
  )
}

/** The edge by which panels are made wider and narrower. */
function Edge({ width, onWidth }: { readonly width: number; readonly onWidth: (width: number) => void }) {
  const start = useRef<{ readonly x: number; readonly width: number } | null>(null)
  const held = (to: number) => Math.round(Math.min(panelWidths.most, Math.max(panelWidths.least, to)))
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Width of the panel"
      aria-orientation="horizontal"
      aria-valuenow={width}
      aria-valuemin={panelWidths.least}
      aria-valuemax={panelWidths.most}
      aria-valuetext={`${width}px`}
      title="Drag to make the panel wider or narrower"
      position="absolute"
      left="-12px"
      top="78%"
      width="24px"
      height="46px"
      zIndex="1"
      cursor="ew-resize"
      touchAction="none"
      _before={{
        content: '""',
        position: 'absolute',
        inset: '0 8px',
        borderRadius: '3px',
        background: 'sheet',
        border: '1px solid var(--gm-edge)',
      }}
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
      onKeyDown={(event) => {
        const step = event.key === 'ArrowLeft' ? 10 : event.key === 'ArrowRight' ? -10 : 0
        if (step === 0) return
        event.preventDefault()
        event.stopPropagation()
        onWidth(held(width + step * (event.shiftKey ? 5 : 1)))
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        start.current = { x: event.clientX, width }
      }}
      onPointerMove={(event) => start.current && onWidth(held(start.current.width + start.current.x - event.clientX))}
      onPointerUp={() => (start.current = null)}
    />
  )
}
