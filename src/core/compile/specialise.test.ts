// What specialising makes of small scripts: what is known stands in its place, and what is of no use is gone.
import { describe, expect, it } from 'vitest'
import { joinFragments, namesUsed, type Fragment } from './join'
import { specialise } from './specialise'

const fragment = (file: string, text: string): Fragment => ({ file, text, names: [/(?:function|const|let) (\w+)/.exec(text)?.[1] ?? ''] })
const joined = (fragments: readonly Fragment[], main: string, known: Readonly<Record<string, string>> = {}) =>
  specialise(joinFragments(fragments, main, new Map(Object.entries(known))))

describe('specialising', () => {
  it('puts what is known in its place, and leaves out what then can never be, with the comment above it', () => {
    const draw = fragment(
      'draw',
      'function draw(effect) {\n  // Only where there are insets.\n  if (effect.insets) cut(effect.insets)\n  paint(effect.going ?? effect.feel)\n}',
    )
    expect(joined([draw], 'draw(globalThis.one)', { insets: 'undefined', going: 'undefined' })).toBe(
      'function draw(effect) {\n  paint(effect.feel)\n}\n\ndraw(globalThis.one)',
    )
  })

  it.each([
    ['if (a.on) { one()\n  two()\n}', { on: 'true' }, 'one()\ntwo()'],
    ['if (a.on) one()\nelse two()', { on: 'false' }, 'two()'],
    ['show(a.on ? one : two)', { on: 'undefined' }, 'show(two)'],
    ['show(a.on || two)', { on: 'undefined' }, 'show(two)'],
    ['show(a.on ?? two)', { on: '0' }, 'show(0)'],
    ['if (b && a.on) one()', { on: 'true' }, 'if (b) one()'],
    ['show(a.on && (b || c) && d)', { on: 'true' }, 'show((b || c) && d)'],
    ['if ((b || c) && a.on && d) one()', { on: 'true' }, 'if ((b || c) && d) one()'],
    ['if (b() && a.on) one()', { on: 'false' }, 'b()'],
    ['show(a.on?.(1))', { on: 'undefined' }, 'show(undefined)'],
    ["show(a.on === 'x')", { on: "'x'" }, 'show(true)'],
    ['const { on = 3, off } = a\nshow(on, off)', { on: 'undefined' }, 'const { off } = a\nshow(3, off)'],
    ['if (a.on) [x, y] = [1, 2]', { on: 'true' }, ';[x, y] = [1, 2]'],
  ])('of %j knows %j', (text, known, wanted) => {
    expect(
      joined([fragment('it', `const it = () => {\n  ${text.replaceAll('\n', '\n  ')}\n}`)], 'globalThis.it = it', known)
        .replace(/^const it = \(\) => \{\n {2}|\n\}[\s\S]*$/g, '')
        .replaceAll('\n  ', '\n'),
    ).toBe(wanted)
  })

  it('gives parameters that are always the same up, and names an expression once', () => {
    expect(specialise('const fade = (gap, decay) => gap * Math.exp(-decay)\nshow(fade(a, 2 * Math.PI))\nshow(fade(b, 2 * Math.PI))')).toBe(
      'const decay = 2 * Math.PI\nshow(a * Math.exp(-decay))\nshow(b * Math.exp(-decay))',
    )
    expect(specialise("function read(box, side) {\n  return box[side]\n}\nshow(read(a, 'x'))\nshow(read(b, 'y'))")).toBe(
      "show(a['x'])\nshow(b['y'])",
    )
  })

  it('leaves out what nobody uses: declarations, members, parameters, assignments', () => {
    expect(
      specialise(
        'const unused = 1\nconst box = { seen: 1, unseen: 2 }\nfunction show(a, b) {\n  box.unseen = 3\n  return a + box.seen\n}\nprint(show(1, 2), box)',
      ),
    ).toBe('const box = { seen: 1 }\nprint(1 + box.seen, box)')
  })

  it.each([
    [
      'with its comment, by the names that it is given',
      'function draw(place) {\n  write(place, 3)\n  done()\n}\n// Says so.\nfunction write(each, t) {\n  each.t = t\n  show(each)\n}\ndraw(one)\ndraw(two)',
      'function draw(place) {\n  // Says so.\n  place.t = 3\n  show(place)\n  done()\n}\ndraw(one)\ndraw(two)',
    ],
    [
      'in a block, where it stood behind a condition',
      'function draw(place) {\n  if (place.on) write(place)\n}\nfunction write(each) {\n  each.t = 1\n  show(each)\n}\ndraw(one)\ndraw(two)',
      'function draw(place) {\n  if (place.on) {\n    place.t = 1\n    show(place)\n  }\n}\ndraw(one)\ndraw(two)',
    ],
    [
      'where it gives a value that is declared',
      'function draw(place) {\n  let x = read(place)\n  x += 1\n  show(x)\n}\nfunction read(each) {\n  ask(each)\n  return each.t\n}\ndraw(one)\ndraw(two)',
      'function draw(place) {\n  ask(place)\n  let x = place.t\n  x += 1\n  show(x)\n}\ndraw(one)\ndraw(two)',
    ],
  ])('puts a function that is called once where it is called: %s', (_, text, wanted) => {
    expect(specialise(text)).toBe(wanted)
  })

  it.each([
    [
      'it leaves early',
      'function draw(place) {\n  write(place)\n  done()\n}\nfunction write(each) {\n  if (each.off) return\n  show(each)\n}\ndraw(one)\ndraw(two)',
    ],
    [
      'its names are taken there',
      'function draw(place) {\n  const t = ask()\n  write(place)\n  show(t)\n}\nfunction write(each) {\n  const t = each.t\n  show(t, t)\n}\ndraw(one)\ndraw(two)',
    ],
    [
      'what it means is called otherwise there',
      'const t = ask()\nfunction draw(t) {\n  show(t.y, see(t.x))\n}\nconst see = (each) => each + t\ndraw(one)\ndraw(two)\nshow(t)',
    ],
  ])('leaves it where it stands if %s', (_, text) => {
    expect(specialise(text)).toBe(text)
  })

  it('puts in brackets what would be taken apart, and no more', () => {
    expect(specialise('const sum = (a) => a + 1\nconst pick = (a) => a ?? 2\nshow(sum(x) * 3, sum(y))\nshow(pick(z).w)')).toBe(
      'show((x + 1) * 3, y + 1)\nshow((z ?? 2).w)',
    )
    expect(specialise('const write = (shown) => print(shown.toFixed(2))\nwrite(a + b)')).toBe('print((a + b).toFixed(2))')
  })

  it.each([
    ['show(x - 0, 0 + x, 0 - x)', 'show(x, x, -x)'],
    ['show(c <= a + b - 0 + 1)', 'show(c <= a + b + 1)'],
    ['show(0 - (a + b))', 'show(-(a + b))'],
    ['show(0 - 1 / b)', 'show(-1 / b)'],
    ['show(0 - -a)', 'show(-(-a))'],
    ['show((a ? b : c) - 0 < d)', 'show((a ? b : c) < d)'],
    ['show(d * (0 + (a ?? b)))', 'show(d * (a ?? b))'],
  ])('takes nothing away from %s', (text, wanted) => {
    expect(specialise(text)).toBe(wanted)
  })

  it.each([
    [
      'what is surely there is not asked',
      'const place = { go: () => 1 }\nif (place.go) place.go()\nshow(place)',
      'const place = { go: () => 1 }\nplace.go()\nshow(place)',
    ],
    [
      'what never changes is a constant',
      'let a = ask()\nlet b = ask()\nb += a\nshow(a, b)',
      'const a = ask()\nlet b = ask()\nb += a\nshow(a, b)',
    ],
    ['brackets that hold nothing together go', 'show(((a + b)) * c, (d()) * 2)', 'show((a + b) * c, d() * 2)'],
    ['a list of nothing but zeros is zeros', 'const [top, left] = [0, 0]\nshow(x - top, left)', 'show(x, 0)'],
    ['two ways that are one are that', 'show(a ? b : b)', 'show(b)'],
    [
      'nothing follows what gives back',
      'function f(a) {\n  go(a)\n  return a\n  stop(a)\n}\nglobalThis.f = f',
      'function f(a) {\n  go(a)\n  return a\n}\nglobalThis.f = f',
    ],
  ])('in the end, %s', (_, text, wanted) => {
    expect(specialise(text)).toBe(wanted)
  })

  it('says a member that is another one once', () => {
    expect(
      specialise(
        'function begin(area) {\n  keep({ element: area, area })\n  done()\n}\nbegin(one)\nbegin(two)\nshow(last.area, last.element)\nall.find(({ area }) => area.on)',
      ),
    ).toBe(
      'function begin(area) {\n  keep({ element: area })\n  done()\n}\nbegin(one)\nbegin(two)\nshow(last.element, last.element)\nall.find(({ element }) => element.on)',
    )
  })

  it('keeps what the browser reads, and what is done though nobody asks for what it gives', () => {
    const text = "addEventListener('scroll', () => go(), { passive: true })\nconst left = ask()\nelement.className = 'part'"
    expect(specialise(text)).toBe("addEventListener('scroll', () => go(), { passive: true })\nask()\nelement.className = 'part'")
  })

  it('takes one effect out of its list, and its members out of it', () => {
    expect(
      specialise(
        'const effects = [\n  {\n    places: new Map(),\n  },\n]\nfunction draw() {\n  for (const effect of effects) for (const place of effect.places.values()) paint(place)\n}\ngo(draw)',
      ),
    ).toBe('const places = new Map()\nfunction draw() {\n  for (const place of places.values()) paint(place)\n}\ngo(draw)')
  })

  it('takes the declarations that are needed once what is known stands in its place, and no other', () => {
    const fragments = [
      fragment('one', 'const one = () => (given.isOn ? two() : three())'),
      fragment('two', 'const two = () => 2'),
      fragment('three', 'const three = () => 3'),
    ]
    expect(joinFragments(fragments, 'show(one)', new Map([['isOn', 'false']]))).not.toContain('two')
    expect(namesUsed('const a = (b) => b.c + d')).toEqual(['d'])
  })

  it('is done when it is done: once more changes nothing', () => {
    const once = specialise('function a(x) {\n  return b(x, 1)\n}\nfunction b(x, y) {\n  return x + y\n}\nshow(a(read()))')
    expect(specialise(once)).toBe(once)
  })

  it('throws where the text is no script', () => {
    expect(() => specialise('const = 1')).toThrow(SyntaxError)
  })
})
