// What stands beside the page, at the right: what can be done with a chosen element, the rows of the selected effect, or a drawer. It lies where the
// page leaves room, over the page where that is not enough, and never moves the page.
import { Flex } from '@chakra-ui/react'
import { Boundary, lazily } from './Boundary'
import { RowsPanel } from './caption/RowsPanel'
import { Drawers } from './Drawers'
import { useStudio, useView } from './context'
import { useOpenPanel } from './open-panel'
import { panelWidths } from './panel-widths'
import { DragEdge } from './theme/DragEdge'

const WhatToDo = lazily(() => import('./point/WhatToDo').then((loaded) => loaded.WhatToDo))

export function Panels() {
  const { view } = useStudio()
  const { panels } = useView('panels')
  const { panel, width, isChoosing, hasRows } = useOpenPanel()
  if (!panel) return null
  return (
    <Flex position="absolute" right="0" top="0" bottom="0" zIndex="4" direction="column" width={`${width}px`}>
      <DragEdge
        label="Width of the panel"
        title="Drag to make the panel wider or narrower"
        value={width}
        {...panelWidths}
        told={`${width}px`}
        perPx={-1}
        coarse={5}
        onValue={(to) => view.update({ panels: { ...panels, [panel]: to } })}
        left="-12px"
        top="78%"
        width="24px"
        height="46px"
        zIndex="1"
        _before={{
          content: '""',
          position: 'absolute',
          inset: '0 8px',
          borderRadius: '3px',
          background: 'sheet',
          border: '1px solid var(--gm-edge)',
        }}
        _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
      />
      {isChoosing ? (
        <Boundary name="What to do with it">
          <WhatToDo />
        </Boundary>
      ) : (
        <>
          {hasRows && (
            <Boundary name="More of the effect">
              <RowsPanel />
            </Boundary>
          )}
          <Drawers />
        </>
      )}
    </Flex>
  )
}
