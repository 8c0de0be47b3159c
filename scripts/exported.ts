// The scripts in docs/exported: one of each kind, and those of the demo's pages, as they leave.
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { newSites } from '../demo/sites'
import { readFragments } from '../src/bundle/fragments'
import { compile } from '../src/core/compile/compile'
import { plainFacts } from '../src/core/compile/facts'
import { factsOf } from '../src/core/compile/tree-facts'
import { kinds } from '../src/core/effect/kinds'
import { planEffects } from '../src/core/export/plan'
import { elementsOf, readTree } from '../src/core/page/tree'
import { siteSchema, type Effect } from '../src/core/site/site'

const page = { id: 'p', name: 'A page', source: '0'.repeat(64) }

/** An effect of a kind on cards of a plain page, as it is from the start. */
function effectOf({
  id,
  roles,
  defaults,
}: (typeof kinds)[number]): Pick<Effect, 'id' | 'kind' | 'name' | 'select' | 'noun' | 'roles' | 'settings'> {
  const others = Object.fromEntries(
    roles(defaults)
      .slice(1)
      .map((role) => [role.id, { select: `.card .${role.id}`, noun: `its ${role.title}` }]),
  )
  return { id, kind: id, name: id, select: '.card', noun: 'each card', roles: others, settings: defaults }
}

/** The scripts by the names of their files. */
export function exportedScripts(root: string): ReadonlyMap<string, string> {
  const fragments = readFragments(root)
  const ofKinds = kinds
    .filter(({ id }) => id !== 'free')
    .map(
      (kind) =>
        [
          `${kind.id}.js`,
          compile(
            planEffects(siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects: [effectOf(kind)] })),
            plainFacts,
            fragments,
          ),
        ] as const,
    )
  const demo = newSites().find(({ effects }) => effects.length > 0)
  const ofPages =
    demo?.pages.map(({ id, html }) => {
      const site = siteSchema.parse({
        format: 'glass-moth/2',
        name: demo.name,
        pages: demo.pages.map((each) => ({ id: each.id, name: each.name, source: page.source })),
        effects: demo.effects,
      })
      const planned = planEffects(site, id)
      const tree = readTree(html)
      return [
        `page-${id}.js`,
        compile(
          planned,
          factsOf({ tree, lacksSheets: false, hasScripts: elementsOf(tree).some((element) => element.name === 'script') }, planned),
          fragments,
        ),
      ] as const
    }) ?? []
  // What CSS does alone leaves none.
  return new Map([...ofKinds, ...ofPages].filter(([, script]) => script !== ''))
}

/** Writes them into docs/exported. */
export function writeExported(root: string): void {
  const folder = join(root, 'docs/exported')
  mkdirSync(folder, { recursive: true })
  for (const [name, text] of exportedScripts(root)) writeFileSync(join(folder, name), text)
}
