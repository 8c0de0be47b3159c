// The drawers: one at a time. Each is loaded when it opens, but for the commands, which take letters at once.
import { Box } from '@chakra-ui/react'
import type { ComponentType } from 'react'
import { Boundary, lazily } from './Boundary'
import { CommandsDrawer } from './CommandsDrawer'
import { useStudio, useView } from './context'
import type { Drawer as DrawerName } from './store/view-store'

/** A drawer that is on its way has its ground already. */
const coming = (load: Parameters<typeof lazily>[0]) =>
  lazily(load, <Box flex="1" borderLeft="1px solid" borderColor="edge" background="sheet" />)

const drawers: Readonly<Record<DrawerName, { readonly name: string; readonly Drawer: ComponentType }>> = {
  checks: { name: 'Checks', Drawer: coming(() => import('./checks/ChecksDrawer').then((loaded) => loaded.ChecksDrawer)) },
  code: { name: 'Code', Drawer: coming(() => import('./code/CodeDrawer').then((loaded) => loaded.CodeDrawer)) },
  markup: { name: 'Markup', Drawer: coming(() => import('./markup/MarkupDrawer').then((loaded) => loaded.MarkupDrawer)) },
  pages: { name: 'Pages', Drawer: coming(() => import('./pages/PagesDrawer').then((loaded) => loaded.PagesDrawer)) },
  revisions: { name: 'History', Drawer: coming(() => import('./pages/RevisionsDrawer').then((loaded) => loaded.RevisionsDrawer)) },
  phone: { name: 'Preview', Drawer: coming(() => import('./preview/PhoneDrawer').then((loaded) => loaded.PhoneDrawer)) },
  tries: { name: 'Tries', Drawer: coming(() => import('./tries/TriesDrawer').then((loaded) => loaded.TriesDrawer)) },
  keys: { name: 'Commands', Drawer: CommandsDrawer },
}

export function Drawers() {
  const { view } = useStudio()
  const { drawer } = useView('drawer')
  if (!drawer) return null
  const { name, Drawer } = drawers[drawer]
  return (
    <Boundary key={drawer} name={name} onClose={() => view.update({ drawer: null })}>
      <Drawer />
    </Boundary>
  )
}
