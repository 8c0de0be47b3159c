// How wide each panel is: as wide as the page leaves room for, at least so wide that it can be used, or as wide as it was dragged.
import type { Drawer } from './store/view-store'

export const panelNames = ['choosing', 'rows', 'checks', 'code', 'markup', 'pages', 'revisions', 'keys', 'tries', 'phone'] as const
export type PanelName = (typeof panelNames)[number]

/** Between these a panel is dragged, px. */
export const panelWidths = { least: 280, most: 900 } as const

/** What each needs at least, and has at most without being asked, px. */
const usual: Readonly<Record<PanelName, readonly [least: number, most: number]>> = {
  choosing: [300, 480],
  rows: [340, 480],
  checks: [360, 460],
  code: [560, 640],
  markup: [560, 640],
  pages: [460, 500],
  revisions: [400, 460],
  keys: [360, 440],
  tries: [420, 420],
  phone: [320, 400],
}

/** Whichever panel says how wide the column is: of two the one that needs more. */
export function panelOf(open: {
  readonly isChoosing: boolean
  readonly hasRows: boolean
  readonly drawer: Drawer | null
}): PanelName | null {
  return open.isChoosing ? 'choosing' : (open.drawer ?? (open.hasRows ? 'rows' : null))
}

/** The width of a panel where so much is free beside the page, px. */
export function panelWidth(panel: PanelName, beside: number, dragged: Readonly<Partial<Record<PanelName, number>>>): number {
  const [least, most] = usual[panel]
  return dragged[panel] ?? Math.min(most, Math.max(least, beside))
}
