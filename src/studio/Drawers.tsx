// What stands beside the page: one drawer at a time, which narrows the page and never covers it.
import { CodeDrawer } from './code/CodeDrawer'
import { useView } from './context'
import { KeysDrawer } from './KeysDrawer'
import { MarkupDrawer } from './markup/MarkupDrawer'
import { PagesDrawer } from './pages/PagesDrawer'
import { TriesDrawer } from './tries/TriesDrawer'
import { RevisionsDrawer } from './pages/RevisionsDrawer'

export function Drawers() {
  const { drawer } = useView()
  if (drawer === 'code') return <CodeDrawer />
  if (drawer === 'markup') return <MarkupDrawer />
  if (drawer === 'pages') return <PagesDrawer />
  if (drawer === 'tries') return <TriesDrawer />
  if (drawer === 'keys') return <KeysDrawer />
  return drawer === 'revisions' ? <RevisionsDrawer /> : null
}
