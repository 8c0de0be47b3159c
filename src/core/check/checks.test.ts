import { describe, expect, it } from 'vitest'
import { findKind } from '../effect/kinds'
import { siteSchema, type Site } from '../site/site'
import { applyEdit } from '../site/edit'
import { checkPage, checks, type Finding, type Known } from './checks'
import { contrastIn } from './contrast'
import type { Seen, TextLook } from './seen'
import type { Told } from './told'

const told = (change: Partial<Told> = {}): Told => ({
  matches: [4, 5],
  count: 2,
  important: [],
  upset: [],
  displaced: [],
  unreached: [],
  apart: null,
  unmet: [],
  ...change,
})
const seen = (change: Partial<Seen> = {}): Seen => ({
  isSeen: true,
  clipped: [],
  covered: [],
  flat: null,
  texts: [],
  fleeing: [],
  coarse: [],
  holds: 4,
  ground: 'rgb(20, 30, 40)',
  ...change,
})

const siteOf = (kind: string, settings: object = {}, more: object = {}): Site =>
  siteSchema.parse({
    format: 'glass-moth/2',
    name: 'A site',
    pages: [{ id: 'p', name: 'P', source: 'a'.repeat(64) }],
    effects: [
      {
        id: 'e',
        kind,
        name: 'One',
        select: '.card',
        noun: 'each card',
        settings: { ...(findKind(kind)?.defaults as object), ...settings },
        ...more,
      },
    ],
  })

const found = (site: Site, known: Known, style = ''): readonly Finding[] =>
  checkPage(
    site,
    'p',
    () => known,
    () => style,
    () => false,
  )
const namesOf = (findings: readonly Finding[]) => findings.map(({ check }) => check)

/** The findings after the first fix, where it is an edit of the site. */
const afterFix = (site: Site, finding: Finding | undefined): Site => {
  if (!finding?.fix || !('edit' in finding.fix)) throw new Error('It has no such fix.')
  return siteSchema.parse(applyEdit(site, finding.fix.edit))
}

/** A rig by hand, with a fade of what it is on or of what is linked to it. */
const fade = (to: unknown, area: object = {}) => ({
  areas: [{ id: 'a', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'fine', touch: 'none', ...area }],
  channels: [
    {
      id: 'here',
      area: 'a',
      frame: 'area',
      signal: { of: 'inside' },
      away: { kind: 'settle', pose: 0 },
      feel: { kind: 'direct' },
      group: 'light',
    },
  ],
  knobs: [],
  outputs: [{ to, slot: { on: 'opacity' }, base: 0, factor: 1, channel: 'here', strength: 1 }],
  parts: [],
  rules: [],
})

describe('the check of layers', () => {
  const found = (kind: string, apart: Told['apart'], roles: object = {}) => {
    const site = siteOf(kind, {}, { roles })
    return checkPage(
      site,
      'p',
      () => ({ told: told({ apart }) }),
      () => '',
      () => false,
    )
      .filter(({ check }) => check === 'layers')
      .map(({ words }) => words)
  }
  const back = { back: { select: '.back', noun: 'back' } }

  it('says that both are the same, or that one lies in the other', () => {
    expect(found('wipe', null, back)).toEqual([])
    const finding = checkPage(
      siteOf('wipe', {}, { roles: back }),
      'p',
      () => ({ told: told({ apart: 'inside' }) }),
      () => '',
      () => false,
    ).find(({ check }) => check === 'layers')
    expect(finding).toMatchObject({
      fix: { words: 'Point at another back', role: 'back' },
      or: { words: 'Switch it off', edit: { do: 'change', to: { isOff: true } } },
    })
    expect(found('porthole', 'same', back)).toEqual(['The front and the back of effect 1 are the same element: nothing can give way.'])
    expect(found('flip', 'inside', { ...back, front: { select: '.front', noun: 'front' } })).toEqual([
      'Of the front and the back of effect 1 one lies in the other, so they cannot part.',
    ])
  })
})

describe('the check of roles', () => {
  const found = (kind: string, roles: object = {}, change: Partial<Told> = {}, isElsewhere = false) =>
    checkPage(
      siteOf(kind, {}, { roles }),
      'p',
      () => ({ told: told(change), seen: seen({ isSeen: false }) }),
      () => '',
      () => isElsewhere,
    ).filter(({ check }) => check === 'roles' || check === 'no-result')
  const back = { back: { select: '& .back', noun: 'back' } }

  it('asks for an element without which the effect is not whole, once, and offers to point at it', () => {
    expect(found('porthole')).toMatchObject([
      { check: 'roles', words: 'Effect 1 has no back yet, and waits for it.', fix: { words: 'Point at what lies behind', role: 'back' } },
    ])
    expect(found('wipe')).toMatchObject([{ fix: { role: 'back' } }])
    // A flip takes the first two elements, and what rides on the line of a wipe need not be there.
    expect([...found('flip'), ...found('wipe', back)].map(({ check }) => check)).toEqual(['no-result', 'no-result'])
  })

  it('does not ask for pieces where something else looks different, or what is linked does', () => {
    const bare = { risePx: 0, shadowPx: 0, growPercent: 100 }
    const asked = (settings: object, roles: object = {}) =>
      checkPage(
        siteOf('hover-look', { ...bare, ...settings }, { roles }),
        'p',
        () => ({ told: told() }),
        () => '',
        () => false,
      ).map(({ fix }) => fix?.words)
    expect(asked({})).toContain('Point at the pieces')
    expect(asked({}, { linked: { select: '.other', noun: 'the other' } })).not.toContain('Point at the pieces')
    expect(asked({ pressedCss: 'color: red' })).not.toContain('Point at the pieces')
  })

  it('asks for several where one alone does nothing', () => {
    const alone = found('zones', {}, { count: 1 })
    expect(alone).toMatchObject([
      {
        words: 'Effect 1 is for several elements side by side, and is on one alone.',
        fix: { words: 'Point at one of several', role: 'zones' },
      },
    ])
    expect(found('zones').map(({ check }) => check)).toEqual(['no-result'])
  })

  it('says what is not on the page', () => {
    expect(found('wipe', back, { unmet: ['back'] })).toMatchObject([
      {
        words: 'Effect 1 finds nothing for its role “back”: no element matches .card .back.',
        fix: { words: 'Point at the other layer', role: 'back' },
      },
    ])
    // What another page has is for that one, and nothing is told of a page that has none of its elements.
    expect(found('wipe', back, { unmet: ['back'] }, true).map(({ check }) => check)).toEqual(['no-result'])
    expect(found('wipe', back, { unmet: ['back'], count: 0 }).map(({ check }) => check)).toEqual(['no-result'])
  })
})

const layerRoles = Object.fromEntries(['layer-1', 'layer-2'].map((id) => [id, { select: `& .${id}`, noun: 'a layer' }]))

describe('checks', () => {
  it('find nothing where nothing is amiss, with and without a page that is laid out', () => {
    for (const kind of ['tilt', 'drift', 'glow', 'spotlight', 'grain-light', 'fold', 'follow']) {
      const site = siteOf(kind, {}, kind === 'drift' ? { roles: layerRoles } : {})
      expect(namesOf(found(site, { told: told() })), kind).toEqual([])
      expect(namesOf(found(site, { told: told(), seen: seen() })), kind).toEqual([])
    }
  })

  it('have names of their own', () => {
    expect(new Set(checks.map(({ id }) => id)).size).toBe(checks.length)
  })

  it('tell of important styles, once and with the change of the markup', () => {
    const important = [{ number: 4, properties: ['transform', 'transition'] }]
    const findings = found(
      siteOf('tilt'),
      { told: told({ important }), seen: seen({ isSeen: false }) },
      'color:red;transform:none!important;transition:all 1s !important',
    )
    expect(namesOf(findings)).toEqual(['overruled', 'lagging'])
    expect(findings.map(({ fix }) => fix && 'markup' in fix && fix.markup)).toEqual([
      [{ do: 'attribute', at: 4, name: 'style', value: 'color: red; transform: none; transition: all 1s!important' }],
      [{ do: 'attribute', at: 4, name: 'style', value: 'color: red; transform: none!important; transition: all 1s' }],
    ])
  })

  it('tell of an effect without any result: another element, what the kind knows to do about it, or off', () => {
    const site = siteOf('tilt')
    const findings = found(site, { told: told(), seen: seen({ isSeen: false }) })
    expect(namesOf(findings)).toEqual(['no-result'])
    expect(findings[0]?.fix).toEqual({ words: 'Point at another element', role: 'card' })
    expect(afterFix(site, findings[0] && { ...findings[0], fix: findings[0].or }).effects[0]?.isOff).toBe(true)
    const pan = (settings: object) =>
      found(siteOf('pan', settings, { roles: { picture: { select: '& img', noun: 'its picture' } } }), {
        told: told(),
        seen: seen({ isSeen: false }),
      })[0]?.fix
    expect(pan({})).toEqual({
      words: 'Make the frames lower than the pictures',
      css: '.card { aspect-ratio: 2 / 1; min-height: 0; }\n.card img { width: 100%; height: auto; }\n',
    })
    expect(pan({ toward: 'right' })).toMatchObject({ words: 'Make the pictures wider than the frames' })
  })

  it('tell of selectors that match nothing, and of one that matches several', () => {
    expect(namesOf(found(siteOf('tilt'), { told: told({ matches: [] }) }))).toEqual(['selector'])
    expect(namesOf(found(siteOf('tilt', {}, { noun: 'this card' }), { told: told() }))).toEqual(['selector'])
    expect(namesOf(found(siteOf('tilt', {}, { noun: 'this card' }), { told: told({ matches: [4] }) }))).toEqual([])
    const elsewhere = checkPage(siteOf('tilt'), 'p', () => ({ told: told({ matches: [] }) }), () => '', () => true) // prettier-ignore
    expect(elsewhere).toEqual([])
  })

  it('tell of what is cut off: by what hides it with a way out, by what scrolls without', () => {
    const clipped = [{ by: 2, px: 11.2, scrolls: false }]
    const [hidden] = found(siteOf('tilt'), { told: told(), seen: seen({ clipped }) }, 'color: red')
    expect(hidden).toMatchObject({ check: 'clipped', words: expect.stringContaining('12px') as string, elements: [2] })
    expect(hidden?.fix && 'markup' in hidden.fix && hidden.fix.markup).toEqual([
      { do: 'attribute', at: 2, name: 'style', value: 'color: red; overflow: clip; overflow-clip-margin: 12px' },
    ])
    const [scrolled] = found(siteOf('tilt'), { told: told(), seen: seen({ clipped: clipped.map((each) => ({ ...each, scrolls: true })) }) })
    expect(scrolled?.fix).toBeUndefined()
  })

  it('bring what slides under its neighbour in front, by a rule of the stylesheet', () => {
    const site = siteOf('tilt', { scalePercent: 20 })
    const known = { told: told(), seen: seen({ covered: [{ number: 4, px: 9 }] }) }
    const findings = found(site, known)
    expect(namesOf(findings)).toEqual(['under-neighbour'])
    expect(namesOf(found(afterFix(site, findings[0]), known))).toEqual([])
  })

  it('let layers slide where the page draws their element flat', () => {
    const site = siteOf(
      'tilt',
      { layers: [{ id: 'layer-1', heightPx: 30 }] },
      { roles: { 'layer-1': { select: '.card h2', noun: 'title' } } },
    )
    const known = { told: told(), seen: seen({ flat: 'overflow' }) }
    const findings = found(site, known)
    expect(namesOf(findings)).toEqual(['flattened'])
    expect(namesOf(found(afterFix(site, findings[0]), known))).toEqual([])
  })

  it('tell of content that a finger or the keyboard never brings', () => {
    const site = siteOf('free', fade('self'))
    const findings = found(site, { told: told() })
    expect(namesOf(findings)).toEqual(['hover-only', 'no-touch'])
    expect(namesOf(found(afterFix(site, findings[1]), { told: told() }))).toEqual(['hover-only'])
    // What is not hidden without the pointer is no content of its own.
    const half = fade('self')
    expect(
      namesOf(
        found(siteOf('free', { ...half, outputs: half.outputs.map((each) => ({ ...each, base: 0.5, factor: 0.5 })) }), { told: told() }),
      ),
    ).toEqual([])
  })

  it('let the focus reach what it would bring', () => {
    const wash = siteOf('wash', {}, { roles: { text: { select: '.card p', noun: 'caption' } } })
    const [finding] = found(wash, { told: told({ unreached: [4, 5] }) })
    expect(finding?.check).toBe('hover-only')
    expect(finding?.fix && 'markup' in finding.fix && finding.fix.markup.map((each) => ('at' in each ? each.at : -1))).toEqual([4, 5])
    expect(found(wash, { told: told() })).toEqual([])
  })

  it('ask of content beside what is pointed at that it can be dismissed and pointed at (WCAG 1.4.13)', () => {
    const looks = { goDelayMs: 0, atMostOne: false, keys: true }
    const rig = {
      ...fade({ linked: '.note' }, { looks, pointer: 'any', touch: 'tap' }),
      channels: [],
      outputs: [],
      states: [
        { area: 'a', looks: ['off'], to: { linked: '.note' }, css: { visibility: 'hidden' } },
        { area: 'a', looks: ['on', 'pressed', 'still'], to: { linked: '.note' }, css: { visibility: 'visible' } },
      ],
    }
    const site = siteOf('free', rig)
    const findings = found(site, { told: told() })
    expect(namesOf(findings)).toEqual(['hover-content'])
    expect(findings[0]?.words).toMatch(/Escape does not dismiss it, and the pointer cannot go onto it/)
  })

  it('tell of what a zone of the window shows, where no key brings it', () => {
    const zones = (settings: object) => siteOf('zones', settings, { roles: { linked: { select: '.words', noun: 'its words' } } })
    expect(namesOf(found(zones({ focus: 'none' }), { told: told() }))).toContain('hover-only')
    expect(namesOf(found(zones({}), { told: told() }))).not.toContain('hover-only')
    expect(namesOf(found(zones({ where: 'area', focus: 'none' }), { told: told() }))).not.toContain('hover-only')
  })

  it('tell of what moves for those who prefer reduced motion', () => {
    const moving = fade('self')
    const site = siteOf('free', {
      ...moving,
      outputs: [{ to: 'self', slot: { on: 'transform', fn: 'translateX' }, base: 0, factor: 40, channel: 'here', strength: 1 }],
    })
    const findings = found(site, { told: told() })
    expect(namesOf(findings)).toEqual(['reduced-motion'])
    expect(namesOf(found(afterFix(site, findings[0]), { told: told() }))).toEqual([])
    // A rule for those visitors may still it.
    const within = {
      to: { within: '.words' },
      slot: { on: 'transform', fn: 'translateY' },
      base: 0,
      factor: 40,
      channel: 'here',
      strength: 1,
    }
    const rules = [{ select: '.words', css: { transform: 'none' }, isCalm: true }]
    expect(namesOf(found(siteOf('free', { ...moving, outputs: [within] }), { told: told() }))).toEqual(['reduced-motion'])
    expect(namesOf(found(siteOf('free', { ...moving, outputs: [within], rules }), { told: told() }))).toEqual([])
    // What rides on the line of a cut is where the visitor has it.
    const cut = {
      to: 'self',
      slot: { on: 'clip', layer: 'side', hole: 'line', unit: 'px' },
      base: 0,
      factor: 1,
      channel: 'here',
      strength: 1,
    }
    const settings = site.effects[0]?.settings as { readonly outputs: readonly object[] }
    const riding = siteOf('free', {
      ...settings,
      outputs: [...settings.outputs, cut],
      layers: [{ id: 'side', css: 'inset(0 {line} 0 0)' }],
    })
    expect(namesOf(found(riding, { told: told() }))).toEqual([])
  })

  it('tell of a cursor that comes late, or is nothing at all over something, with the system’s own hidden', () => {
    const shapes = [{ id: 'shape-1', shape: 'none', sizePx: 20, colour: '#123', ink: '#fff', says: 'text', text: 'a', picture: '' }]
    const wordsOf = (settings: object, roles: object = {}) =>
      found(siteOf('cursor', settings, { select: 'body', roles }), { told: told() }).map(({ words }) => words)
    expect(wordsOf({ lateMs: 80 })).toEqual([
      'Effect 1 hides the cursor, and what stands for it comes late: nothing marks where a click goes.',
    ])
    expect(wordsOf({ lateMs: 80, system: 'stays' })).toEqual([])
    expect(wordsOf({ shape: 'both' })).toEqual([])
    expect(wordsOf({ shapes }, { 'shape-1': { select: '.key', noun: 'the key' } })).toEqual([
      'Effect 1 hides the cursor, and over some elements nothing at all marks where the pointer is.',
    ])
    const late = siteOf('cursor', { lateMs: 80 }, { select: 'body' })
    expect(found(afterFix(late, found(late, { told: told() })[0]), { told: told() })).toEqual([])
  })

  it('tell of a hidden cursor that nothing stands for', () => {
    const plain = fade('self')
    const site = siteOf('free', { ...plain, outputs: [], rules: [{ select: '.card', css: { cursor: 'none', color: 'red' } }] })
    const findings = found(site, { told: told() })
    expect(namesOf(findings)).toEqual(['cursor'])
    expect(namesOf(found(afterFix(site, findings[0]), { told: told() }))).toEqual([])
  })

  it('tell of too many elements to light, of pictures with too few pixels, and of small things that flee', () => {
    const many = Array.from({ length: 200 }, (_, i) => i)
    expect(namesOf(found(siteOf('glow'), { told: told({ matches: many }) }))).toEqual(['many-elements'])
    expect(namesOf(found(siteOf('tilt'), { told: told({ matches: many }) }))).toEqual([])
    expect(namesOf(found(siteOf('tilt'), { told: told(), seen: seen({ coarse: [{ number: 6, has: 300, needs: 720 }] }) }))).toEqual([
      'coarse-picture',
    ])
    expect(namesOf(found(siteOf('magnifier'), { told: told(), seen: seen({ holds: 2000 }) }))).toEqual([])
    expect(namesOf(found(siteOf('magnifier'), { told: told(), seen: seen({ holds: 2001 }) }))).toEqual(['large-copy'])
    expect(namesOf(found(siteOf('tilt'), { told: told(), seen: seen({ holds: 2001 }) }))).toEqual([])
    const [finding, ...rest] = found(siteOf('drift', {}, { roles: layerRoles }), {
      told: told(),
      seen: seen({ fleeing: [{ number: 6, width: 14, height: 14, px: 9 }] }),
    })
    expect(rest).toEqual([])
    expect(finding).toMatchObject({
      check: 'small-target',
      fix: { markup: [{ do: 'attribute', at: 6, name: 'style', value: 'min-width: 24px; min-height: 24px' }] },
    })
  })

  it('tell of a clip path and of an animation that the effect displaces', () => {
    const [finding, ...rest] = found(siteOf('tilt'), { told: told({ displaced: ['clip-path', 'transform'] }) })
    expect(rest).toEqual([])
    expect(finding).toMatchObject({
      check: 'displaced',
      words: expect.stringMatching(/clip path too.*drives transform of elements/) as string,
    })
  })

  it('have the page not count what is added', () => {
    const [finding] = found(siteOf('glow'), { told: told({ upset: [{ select: '.card > :last-child', css: '.x { margin: 0; }' }] }) })
    expect(finding).toMatchObject({ check: 'structural', fix: { css: '.x { margin: 0; }\n' } })
  })

  it('tell of light that is like its ground, and lay a shade of it there', () => {
    const site = siteOf('tilt', { sheenPercent: 25 })
    const known = { told: told(), seen: seen({ ground: 'rgb(252, 252, 252)' }) }
    const findings = found(site, known)
    expect(namesOf(findings)).toEqual(['lost-light'])
    expect(namesOf(found(afterFix(site, findings[0]), known))).toEqual([])
    expect(namesOf(found(site, { told: told(), seen: seen({ ground: null }) }))).toEqual([])
  })
})

describe('the contrast of text', () => {
  const plain: TextLook = { colour: 'rgb(0, 0, 0)', opacity: 1, grounds: ['rgb(255, 255, 255)'], layers: [] }
  const dark = (isOver: boolean, opacity: number) => ({ colour: 'rgb(0, 0, 0)', opacity, isOver })

  it.each([
    ['black on white', plain, 21],
    ['grey on white', { ...plain, colour: '#767676' }, 4.54],
    ['half faded', { ...plain, opacity: 0.5 }, 3.95],
    ['on a pane over white', { ...plain, grounds: ['rgba(0, 0, 0, 0.5)', 'rgb(255, 255, 255)'] }, 5.32],
    ['under a shade', { ...plain, layers: [dark(true, 0.5)] }, 5.32],
    ['over a shade', { ...plain, layers: [dark(false, 0.5)] }, 5.32],
  ])('%s', (_, look, contrast) => expect(contrastIn(look)).toBeCloseTo(contrast, 1))

  it('is not told where a colour is none, or a picture lies under it', () => {
    expect(contrastIn({ ...plain, colour: 'currentcolor' })).toBeUndefined()
    expect(contrastIn({ ...plain, grounds: [] })).toBeUndefined()
  })

  it('is lost only where it was there, by how large the text is', () => {
    const shaded = { ...plain, layers: [dark(true, 0.62)] }
    const texts = (isLarge: boolean, rest = plain) => [{ number: 7, words: 'Some words', isLarge, rest, looks: [plain, shaded] }]
    const about = (list: Seen['texts']) => namesOf(found(siteOf('spotlight'), { told: told(), seen: seen({ texts: list }) }))
    expect(about(texts(false))).toEqual(['contrast'])
    expect(about(texts(true))).toEqual([])
    expect(about(texts(false, { ...plain, colour: '#888' }))).toEqual([])
    const site = siteOf('spotlight')
    const [finding] = found(site, { told: told(), seen: seen({ texts: texts(false) }) })
    expect(finding?.words).toMatch(/“Some words” comes down to a contrast of 3\.\d of the 4\.5/)
    expect((afterFix(site, finding).effects[0]?.settings as { strengthPercent: number }).strengthPercent).toBe(50)
  })
})
