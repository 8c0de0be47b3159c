// The drawers: one at a time. Each is loaded when it opens, but for the commands, which take letters at once.
import type { ComponentType } from 'react'
import { Boundary, lazily } from './Boundary'
import { CommandsDrawer } from './CommandsDrawer'
import { useStudio, useView } from './context'
import type { Drawer as DrawerName } from './store/view-store'

const drawers: Readonly<Record<DrawerName, { readonly name: string; readonly Drawer: ComponentType }>> = {
  checks: { name: 'Checks', Drawer: lazily(() => import('./checks/ChecksDrawer').then((loaded) => loaded.ChecksDrawer)) },
  code: { name: 'Code', Drawer: lazily(() => import('./code/CodeDrawer').then((loaded) => loaded.CodeDrawer)) },
  markup: { name: 'Markup', Drawer: lazily(() => import('./markup/MarkupDrawer').then((loaded) => loaded.MarkupDrawer)) },
  pages: { name: 'Pages', Drawer: lazily(() => import('./pages/PagesDrawer').then((loaded) => loaded.PagesDrawer)) },
  revisions: { name: 'History', Drawer: lazily(() => import('./pages/RevisionsDrawer').then((loaded) => loaded.RevisionsDrawer)) },
  phone: { name: 'Preview', Drawer: lazily(() => import('./preview/PhoneDrawer').then((loaded) => loaded.PhoneDrawer)) },
  tries: { name: 'Tries', Drawer: lazily(() => import('./tries/TriesDrawer').then((loaded) => loaded.TriesDrawer)) },
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
