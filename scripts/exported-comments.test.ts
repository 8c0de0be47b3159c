// What the comments of an export say: no hole of a sentence is left in them, and no word stands there twice.
import { describe, expect, inject, it } from 'vitest'
import { readFragments } from '../src/bundle/fragments'
import { kinds } from '../src/core/effect/kinds'
import { rolesInside } from '../src/core/effect/roles'
import { planEffects } from '../src/core/export/plan'
import { writeStylesheet } from '../src/core/export/stylesheet'
import { siteSchema } from '../src/core/site/site'
import { compile } from '../src/core/compile/compile'
import { plainFacts } from '../src/core/compile/facts'

const fragments = readFragments(new URL('..', import.meta.url).pathname)
const page = { id: 'p', name: 'A page', source: '0'.repeat(64) }
const recipes = kinds.flatMap((kind) =>
  kind.recipes.map((recipe, index) => ({
    // The comments of a script hang on the kind and its channels, and are the same in most recipes of one.
    hasScript: index === 0 || inject('isLong'),
    name: `${kind.id}, ${recipe.id}`,
    effect: {
      id: 'e',
      kind: kind.id,
      name: recipe.title,
      select: '.card',
      noun: 'each card',
      roles: rolesInside(recipe.roles),
      settings: recipe.settings as unknown,
    },
  })),
)

describe.each(recipes)('the export of $name', ({ effect, hasScript }) => {
  it('has no hole in its comments', () => {
    const planned = planEffects(siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects: [effect] }))
    const text = `${hasScript ? compile(planned, plainFacts, fragments) : ''}\n${writeStylesheet(planned)}`
    const comments = (text.match(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm) ?? []).join('\n')
    expect(comments).not.toBe('')
    expect(comments).not.toMatch(/\{[a-z0-9-]+\}|undefined|NaN|\b(its|the|each|this) (its|the|each|this)\b/i)
  })
})
