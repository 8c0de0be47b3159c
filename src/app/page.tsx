import { orProblem, Problem } from '@/server/problem'
import { listSites } from '@/server/sites'
import { HomeScreen } from '@/studio/home/HomeScreen'
import { Unavailable } from '@/studio/Unavailable'

export const dynamic = 'force-dynamic'

export default async function Home() {
  const sites = await orProblem(listSites())
  if (sites instanceof Problem) return <Unavailable title={sites.title} detail={sites.detail} />
  return <HomeScreen sites={sites.map(({ id, site }) => ({ id, name: site.name, figures: site.effects.length, pages: site.pages.map((page) => ({ id: page.id, name: page.name })) }))} />
}
