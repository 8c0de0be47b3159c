import { orProblem, plainly, Problem } from '@/server/problem'
import { listRemoved, listSites } from '@/server/sites'
import { listTemplates } from '@/server/templates'
import { HomeScreen } from '@/studio/home/HomeScreen'
import { Unavailable } from '@/studio/Unavailable'

export const dynamic = 'force-dynamic'

export default async function Home() {
  const listed = await orProblem(Promise.all([listSites(), listRemoved(), listTemplates()]))
  if (listed instanceof Problem) return <Unavailable problem={plainly(listed)} isHome />
  const [sites, removed, templates] = listed
  const cards = sites.flatMap((stored) =>
    'site' in stored
      ? [
          {
            id: stored.id,
            name: stored.site.name,
            revision: stored.revision,
            effects: stored.site.effects.length,
            pages: stored.site.pages.map(({ id, name }) => ({ id, name })),
          },
        ]
      : [],
  )
  const unreadable = sites.flatMap((stored) => ('site' in stored ? [] : [{ id: stored.id, name: stored.name, reason: stored.reason }]))
  return <HomeScreen removed={removed} templates={[...templates]} sites={cards} unreadable={unreadable} />
}
