// The drawers: one at a time. Each is loaded when it opens, but for the commands, which take letters at once.
import dynamic from 'next/dynamic'
import { CommandsDrawer } from './CommandsDrawer'
import { useView } from './context'

const ChecksDrawer = dynamic(() => import('./checks/ChecksDrawer').then((loaded) => loaded.ChecksDrawer))
const CodeDrawer = dynamic(() => import('./code/CodeDrawer').then((loaded) => loaded.CodeDrawer))
const MarkupDrawer = dynamic(() => import('./markup/MarkupDrawer').then((loaded) => loaded.MarkupDrawer))
const PagesDrawer = dynamic(() => import('./pages/PagesDrawer').then((loaded) => loaded.PagesDrawer))
const RevisionsDrawer = dynamic(() => import('./pages/RevisionsDrawer').then((loaded) => loaded.RevisionsDrawer))
const PhoneDrawer = dynamic(() => import('./preview/PhoneDrawer').then((loaded) => loaded.PhoneDrawer))
const TriesDrawer = dynamic(() => import('./tries/TriesDrawer').then((loaded) => loaded.TriesDrawer))

export function Drawers() {
  const { drawer } = useView('drawer')
  if (drawer === 'checks') return <ChecksDrawer />
  if (drawer === 'code') return <CodeDrawer />
  if (drawer === 'markup') return <MarkupDrawer />
  if (drawer === 'pages') return <PagesDrawer />
  if (drawer === 'tries') return <TriesDrawer />
  if (drawer === 'phone') return <PhoneDrawer />
  if (drawer === 'keys') return <CommandsDrawer />
  return drawer === 'revisions' ? <RevisionsDrawer /> : null
}
