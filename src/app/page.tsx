import { orProblem, Problem } from '@/server/problem'
import { listRemoved, listSites } from '@/server/sites'
import { listTemplates } from '@/server/templates'
import { HomeScreen } from '@/studio/home/HomeScreen'
import { Unavailable } from '@/studio/Unavailable'

export const dynamic = 'force-dynamic'

export default async function Home() {
  const listed = await orProblem(Promise.all([listSites(), listRemoved(), listTemplates()]))
  if (listed instanceof Problem) return <Unavailable title={listed.title} detail={listed.detail} />
  const [sites, removed, templates] = listed
  return <HomeScreen removed={removed} templates={[...templates]} sites={sites.map(({ id, site }) => ({ id, name: site.name, figures: site.effects.length, pages: site.pages.map((page) => ({ id: page.id, name: page.name })) }))} />
}
