import { notFound } from 'next/navigation'
import { preload } from 'react-dom'
import { checkIdentifiers } from '@/server/identifiers'
import { countsOn } from '@/server/matches'
import { orProblem, plainly, Problem } from '@/server/problem'
import { noSuchPage, readSite } from '@/server/sites'
import { scriptAddress } from '@/studio/store/script-address'
import { StudioScreen } from '@/studio/StudioScreen'
import { Unavailable } from '@/studio/Unavailable'

export const dynamic = 'force-dynamic'

interface Props {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

export default async function StudioPage({ params }: Props) {
  const opened = await orProblem(open(params))
  // Nothing of one site stays on the screen of another.
  if (!(opened instanceof Problem)) return <StudioScreen key={opened.siteId} {...opened} />
  if (opened.status === 404) notFound()
  return <Unavailable problem={plainly(opened)} />
}

async function open(params: Props['params']) {
  const { siteId, pageId } = checkIdentifiers(await params)
  const { site, revision } = await readSite(siteId)
  const page = site.pages.find(({ id }) => id === pageId)
  if (!page) throw noSuchPage()
  // The script is written while the studio is still being loaded.
  preload(scriptAddress(siteId, pageId), { as: 'fetch', crossOrigin: 'anonymous' })
  return { siteId, pageId, site, revision, found: await countsOn(site, page) }
}
