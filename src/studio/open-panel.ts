// Which panel is open beside the page, and how wide it is: what lies on the page leaves it room.
import { useSelected, useView } from './context'
import { panelOf, panelWidth } from './panel-widths'

export function useOpenPanel() {
  const { pointing, rowsOpen, drawer, beside, panels } = useView('pointing', 'rowsOpen', 'drawer', 'beside', 'panels')
  const selected = useSelected()
  const isChoosing = pointing.stage === 'choosing'
  const hasRows = rowsOpen && selected !== undefined && pointing.stage === 'no'
  const panel = panelOf({ isChoosing, hasRows, drawer })
  return { panel, isChoosing, hasRows, width: panel ? panelWidth(panel, beside, panels) : 0 }
}
