// Natural ways through the studio, by the functions that clicks call: a place of a starter is pointed at, a recipe that is offered is chosen, for it
// alone or all like it, and the page is exported. What the caption counts answers the pointer there, or the caption asks for what is missing.
// Again: GLASS_MOTH_FUZZ=SEED, so many ways: GLASS_MOTH_CASES=N.
import { test as base, type Browser } from '@playwright/test'
import fc from 'fast-check'
import { askFor } from '../src/core/effect/help'
import { filledIn, findKind, kinds, type AnyKind } from '../src/core/effect/kinds'
import { openRoles } from '../src/core/effect/roles'
import { starters } from '../src/core/page/starters'
import type { Effect } from '../src/core/site/site'
import { exportAlone } from './support/alone'
import { answering, openTabs, type Tabs } from './support/answering'
import { expect } from './support/house'
import { headlessStudio, layGround } from './support/headless-studio'
import { isLong, seedOr } from './support/long'

const test = base.extend<object, { tabs: Tabs }>({
  tabs: [
    async ({ browser }: { readonly browser: Browser }, use) => {
      const tabs = await openTabs(browser)
      await use(tabs)
      for (const tab of Object.values(tabs) as Tabs['plain'][]) await tab.close()
    },
    { scope: 'worker' },
  ],
})

const cases = Number(process.env.GLASS_MOTH_CASES ?? (isLong ? 2000 : 60))
const seed = seedOr(20_261_202)
/** So many tests, which workers share. */
const parts = 6

const pageOf = (css: string, html: string) =>
  `<!doctype html>\n<html lang="en">\n<head><meta charset="utf-8"><title>Starters</title><style>* { box-sizing: border-box } body { margin: 0; font: 16px/1.5 system-ui, sans-serif }\n${css}</style></head>\n<body>\n${html}</body>\n</html>\n`
const pages = [...starters.map(({ id, css, html }) => ({ id, html: pageOf(css, html) })), { id: 'blank', html: pageOf('', '') }]

interface Way {
  readonly page: number
  readonly u: number
  readonly v: number
  /** Which of the recipes that are offered, by how far down it stands, 0..1. */
  readonly recipe: number
  readonly alike: 'no' | 'before' | 'after'
}

const way: fc.Arbitrary<Way> = fc.record({
  page: fc.nat(pages.length - 1),
  u: fc.double({ min: 0.02, max: 0.98, noNaN: true }),
  v: fc.double({ min: 0.02, max: 0.9, noNaN: true }),
  recipe: fc.double({ min: 0, max: 0.999, noNaN: true }),
  alike: fc.constantFrom('no', 'before', 'after'),
})

/** What the caption of an effect asks for. */
const asks = (kind: AnyKind, effect: Effect, matches: number): readonly string[] => openRoles(kind, effect, matches).map(askFor)

/** Goes a way, and says what is amiss; undefined where nothing is. */
async function go(tabs: Tabs, { page: number, u, v, recipe: down, alike }: Way): Promise<string | undefined> {
  const { id, html } = pages[number] ?? { id: '', html: '' }
  await tabs.plain.mouse.move(3, 3)
  await layGround(tabs.plain, html)
  const hand = headlessStudio(tabs.plain, html)
  await hand.pointAt(Math.round(u * 1280), Math.round(v * 800))
  const rung = hand.rung()
  if (!rung) return `${id}: nothing is chosen at ${u}, ${v}`
  const offered = kinds.filter(({ suits }) => suits.includes(rung.thing)).flatMap((kind) => kind.recipes.map((each) => ({ kind, each })))
  const chosen = offered[Math.floor(down * offered.length)]
  if (!chosen) return `${id}: nothing is offered for ${rung.element}`
  if (alike === 'before') hand.chooseAlike()
  const made = await hand.choose(chosen.kind.id, chosen.each.id)
  const effect = made && alike === 'after' ? await hand.putOnAlike(made) : made
  const told = `${id}, ${rung.element} at ${u.toFixed(3)}, ${v.toFixed(3)}, ${chosen.kind.id}/${chosen.each.id}, alike ${alike}`
  const kind = effect && findKind(effect.kind)
  if (!effect || !kind) return `${told}: no effect came of it`
  // What waits for something need not answer.
  const isWaiting = asks(kind, effect, hand.countOf(effect.select)).length > 0
  const seen = await answering(tabs, html, exportAlone(html, [effect]), effect.select, isWaiting ? 0 : 2)
  const on = `${told}, on ${effect.select} with ${JSON.stringify(effect.roles ?? {})}`
  if (isWaiting) return seen.moved.length > 0 ? `${on}: it waits, and moves ${seen.moved.join('; ')}` : undefined
  if (seen.moved.length > 0 && !laysAnew.has(kind.id)) return `${on}: at rest it moves ${seen.moved.slice(0, 3).join('; ')}`
  if (seen.dead.length === 0) return undefined
  // What finds nothing to do says what the page can be given, and does it then.
  const remedy = kind.remedy?.(effect.settings, effect.select, filledIn(effect))
  if (!remedy) return `${on}: ${seen.dead.length} of ${seen.pointed} that were pointed at do nothing`
  const mended = html.replace('</style>', `${remedy.css}</style>`)
  const again = await answering(tabs, mended, exportAlone(mended, [effect]), effect.select)
  return again.dead.length > 0 ? `${on}: it does nothing, and not either once the page has ${remedy.css}` : undefined
}

/** Kinds that lay their elements out anew: that is what they are chosen for. */
const laysAnew = new Set(['spread', 'rows'])

const all = fc.sample(way, { numRuns: cases, seed })
for (let part = 0; part < parts; part++)
  test(`${Math.ceil(cases / parts)} natural ways end in something that is seen, or in what is asked for, part ${part + 1} from seed ${seed}`, async ({
    tabs,
  }) => {
    test.setTimeout(300_000 + cases * 4000)
    const found: string[] = []
    for (const each of all.filter((_, i) => i % parts === part)) {
      const amiss = await go(tabs, each)
      if (amiss !== undefined) found.push(amiss)
    }
    expect(found).toEqual([])
  })

interface Found {
  readonly that: string
  readonly html: string
  /** What is clicked: the middle of this element; the ground where it is left out. */
  readonly at?: string
  readonly u?: number
  readonly chosen: string
  readonly alike?: Way['alike']
  /** What the effect is on then, and what fills its roles. */
  readonly on: string
  readonly roles?: Readonly<Record<string, string>>
  readonly asks?: readonly string[]
}

const starter = (id: string) => pages.find((each) => each.id === id)?.html ?? ''
const inLine = pageOf(
  '.face { position: relative; display: inline-block; width: 200px; height: 90px } .face > * { position: absolute; inset: 0; background: #eee } .face > i { visibility: hidden; background: #fff }',
  `<p>Three cards: ${'<span class="face"><b>Front</b><i>And its back</i></span> '.repeat(3)}</p>`,
)

/** Ways that once ended in a sentence with nothing happening, or harmed the page. */
const found: readonly Found[] = [
  { that: 'all pictures after one', html: starter('picture-grid'), at: '.picture-card img', chosen: 'crop/closer-look', alike: 'after', on: '.picture-card', roles: { picture: '& img' } },
  { that: 'a picture itself', html: starter('picture-link'), at: 'img', chosen: 'crop/even-mount', on: '.picture-link > img' },
  { that: 'a picture itself, under a part', html: starter('picture-link'), at: 'img', chosen: 'porthole/negative', on: '.picture-link' },
  { that: 'a card without a picture', html: starter('card'), at: '.card', chosen: 'crop/even-mount', on: '.card', asks: ['point at the picture'] },
  { that: 'a half that the page cuts off', html: starter('halves'), at: '.half-left', u: 0.2, chosen: 'wipe/two-sides', on: '.half:nth-child(1)', roles: { back: '.half:nth-child(2)' } },
  { that: 'a card without another layer', html: starter('card'), at: '.card', chosen: 'wipe/two-sides', on: '.card', asks: ['point at the other layer'] },
  { that: 'a heading without pieces', html: starter('heading'), at: 'h1', chosen: 'hover-look/one-after-another', on: '.large-heading', asks: ['point at the pieces'] },
  { that: 'one card alone', html: starter('card'), at: '.card', chosen: 'zones/nearest-one', on: '.card', asks: ['point at one of several'] },
  { that: 'bare ground of a blank page', html: starter('blank'), chosen: 'spotlight/hand-lamp', on: 'body' },
  { that: 'bare ground below a card', html: starter('card'), chosen: 'grain-light/dusk-wall', on: 'body' },
  { that: 'two faces one below the other', html: starter('card'), at: '.card', chosen: 'flip/turned-over', on: '.card', roles: { front: '& > :nth-child(1)', back: '& > :nth-child(2)' } },
  { that: 'cards in a line', html: inLine, at: '.face', chosen: 'flip/turned-over', on: '.face', roles: { front: '& > :nth-child(1)', back: '& > :nth-child(2)' } },
  { that: 'a picture as large as its frame', html: starter('picture-grid'), at: '.picture-card img', chosen: 'pan/one-pace', on: '.picture-card:nth-child(1)', roles: { picture: '& img' } },
  { that: 'a rule by id', html: pageOf('#go { display: inline-block; margin: 80px; padding: 20px; color: #222 } #go:hover { background: #fff; color: #222 }', '<a id="go" class="go" href="#there">Go there</a>'), at: '#go', chosen: 'hover-look/inked', on: '#go' },
] // prettier-ignore

for (const { that, html, at, u = 0.5, chosen, alike = 'no', on, roles = {}, asks: asked = [] } of found)
  test(`a way that once led nowhere: ${that}, ${chosen}`, async ({ tabs }) => {
    await tabs.plain.mouse.move(3, 3)
    await layGround(tabs.plain, html)
    const hand = headlessStudio(tabs.plain, html)
    const box = at === undefined ? null : await tabs.plain.locator(at).first().boundingBox()
    await hand.pointAt(box ? box.x + u * box.width : 1200, box ? box.y + box.height / 2 : 780)
    const [kindId = '', recipeId = ''] = chosen.split('/')
    const made = await hand.choose(kindId, recipeId)
    const effect = made && alike === 'after' ? await hand.putOnAlike(made) : made
    const kind = findKind(kindId)
    if (!effect || !kind) throw new Error('No effect came of it.')
    expect(effect.select).toBe(on)
    expect(Object.fromEntries(Object.entries(effect.roles ?? {}).map(([id, { select }]) => [id, select]))).toEqual(roles)
    expect(asks(kind, effect, hand.countOf(on))).toEqual(asked)
    // What finds nothing to do says what the page can be given.
    const page = html.replace('</style>', `${kind.remedy?.(effect.settings, on, filledIn(effect)).css ?? ''}</style>`)
    const seen = await answering(tabs, page, exportAlone(page, [effect]), on, asked.length > 0 ? 0 : 3)
    expect(seen.moved).toEqual([])
    expect(seen.dead).toEqual([])
    if (asked.length === 0) expect(seen.pointed).toBeGreaterThan(0)
  })

for (const chosen of ['in-step', 'under-the-hand'])
  test(`a frame that is as high as its picture stays so at rest, pan/${chosen}`, async ({ tabs }) => {
    const drawn = encodeURIComponent(
      '<svg xmlns="http://www.w3.org/2000/svg" width="300" height="420"><path fill="#385" d="M0 0h300v420H0z"/></svg>',
    )
    const html = pageOf(
      '.shot { width: 300px; margin: 60px } .shot > img { display: block; width: 100% }',
      `<figure class="shot"><img alt="A hill" src="data:image/svg+xml,${drawn}"></figure><p>What comes below it.</p>`,
    )
    await tabs.plain.mouse.move(3, 3)
    await layGround(tabs.plain, html)
    const hand = headlessStudio(tabs.plain, html)
    await hand.pointAt(200, 200)
    const effect = await hand.choose('pan', chosen)
    if (!effect) throw new Error('No effect came of it.')
    expect((await answering(tabs, html, exportAlone(html, [effect]), effect.select, 0)).moved).toEqual([])
  })
