import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changeAddresses } from './css-addresses'
import { addCss, applyMarkup, MarkupError, type MarkupEdit } from './markup'
import { cssProblems, htmlProblems } from './problems'
import { readReference, readSrcset } from './references'
import { starters } from './starters'
import { copyForStudio, type CopyOptions } from './studio-copy'
import { elementsOf, findIn, readTree } from './tree'

const to = (what: string | undefined) => ({ address: () => what, import: () => what })

describe('an address', () => {
  it.each([
    ['pictures/a b.png', 'index.html', { kind: 'file', path: 'pictures/a b.png' }],
    ['../css/x.css?v=2#y', 'pages/sub/one.html', { kind: 'file', path: 'pages/css/x.css' }],
    ['/top.css', 'pages/one.html', { kind: 'file', path: 'top.css' }],
    ['../../../../etc/passwd', 'a.html', { kind: 'file', path: 'etc/passwd' }],
    ['https://example.org/a.css', 'a.html', { kind: 'remote', address: 'https://example.org/a.css' }],
    ['//example.org/a.css', 'a.html', { kind: 'remote', address: 'http://example.org/a.css' }],
    ['#part', 'a.html', { kind: 'within' }],
    ['data:text/css,a{}', 'a.html', { kind: 'within' }],
    ['java\nscript:alert(1)', 'a.html', { kind: 'code' }],
    ['http://[', 'a.html', { kind: 'within' }],
  ])('%j from %s', (text, from, reference) => {
    expect(readReference(text, from)).toEqual(reference)
  })

  it('is found in every candidate of a srcset', () => {
    expect(readSrcset('data:a(,b 1x,, x.png, y.png calc(1x, 2) ,')).toEqual([
      { address: 'data:a(,b', rest: '1x' },
      { address: 'x.png', rest: '' },
      { address: 'y.png', rest: 'calc(1x, 2)' },
    ])
    expect(readSrcset('a.png 1x, b,c.png 2x ,d.png')).toEqual([
      { address: 'a.png', rest: '1x' },
      { address: 'b,c.png', rest: '2x' },
      { address: 'd.png', rest: '' },
    ])
  })

  it('is found in CSS by its tokens, and everything else stays to the byte', () => {
    const css = `@import "a.css" screen; .x { background: url( b.png ), url("c d.png"), URL('e.png'); content: "url(no.png)" } /* url(no.png) */ @font-face { src: url(f.woff2) format("woff2") }`
    const seen: string[] = []
    expect(
      changeAddresses(css, {
        address: (address) => void seen.push(address),
        import: (address, condition) => void seen.push(`import ${address} ${condition}`),
      }),
    ).toBe(css)
    expect(seen).toEqual(['import a.css screen', 'b.png', 'c d.png', 'e.png', 'f.woff2'])
    expect(changeAddresses('a{b:url(x)}', to('y'))).toBe('a{b:url("y")}')
  })

  it.each([
    ['a{b:u\\72l(http://e.test/x)}', 'a{b:url("y")}'],
    ['a{b:\\75 \\52 L( "http://e.test/x" )}', 'a{b:uRL( "y" )}'],
    ['@\\69mport "http://e.test/x";b{}', 'yb{}'],
    ['@import/**/url(http://e.test/x)/**/screen;', 'y screen'],
    ['@import "x', 'y'],
    ['a{b:image-set("x" 1x, url(z) 2x type("image/png"))}', 'a{b:image-set("y" 1x, url("y") 2x type("image/png"))}'],
    ['a{content:"url(x)" url()}', 'a{content:"url(x)" url("y")}'],
  ])('is found however %s is written', (css, changed) => {
    expect(changeAddresses(css, { address: () => 'y', import: (_, condition) => `y ${condition}`.trim() })).toBe(changed)
  })

  it('is found in no CSS that makes it throw', () => {
    fc.assert(
      fc.property(fc.string(), (text) => void expect(changeAddresses(text, to(undefined))).toBe(text)),
      { numRuns: 300 },
    )
  })
})

describe('the studio’s copy of a page', () => {
  const hash = (letter: string) => letter.repeat(64)
  const options: CopyOptions = {
    path: 'pages/index.html',
    files: new Map(
      [
        ['css/a.css', hash('a')],
        ['css/b.css', hash('b')],
        ['pictures/p.png', hash('c')],
        ['https://example.org/far.css', hash('d')],
      ].map(([path = '', each = '']) => [path, { path, hash: each, type: '' }]),
    ),
    sheetText: (each) =>
      ({
        [hash('a')]: '@import "b.css" print; .a { background: url(../pictures/p.png) }',
        [hash('b')]: '.b { background: url(https://example.org/x.png) }',
        [hash('d')]: '.far {}',
      })[each],
    shown: [],
    nonce: 'n0',
  }
  const copy = (html: string, more: Partial<CopyOptions> = {}) => copyForStudio(html, { ...options, ...more })

  it('has its sheets put in, imports too, and placeholders for its files', () => {
    const { html, heldBack } = copy(
      '<link rel="stylesheet" href="../css/a.css" media="screen"><img src="../pictures/p.png" srcset="../pictures/p.png 2x"><link rel=stylesheet href="https://example.org/far.css">',
    )
    expect(html).toContain(
      `<style media="screen" data-gm-at="2">@media print {\n.b { background: url("data:,") }\n} .a { background: url("data:,gm-${hash('c')}") }</style>`,
    )
    expect(html).toContain(`src="data:,gm-${hash('c')}" srcset="data:,gm-${hash('c')} 2x"`)
    expect(html).toContain('.far {}')
    expect(heldBack).toEqual([{ what: 'picture', address: 'https://example.org/x.png', isMissing: false, count: 1, at: 2 }])
  })

  it('does not follow a sheet that imports itself, nor one that grows without end', () => {
    const around = (text: string) => ({
      files: new Map([['s.css', { path: 's.css', hash: hash('a'), type: '' }]]),
      sheetText: () => text,
      path: 'index.html',
    })
    expect(copy('<link rel=stylesheet href=s.css>', around('@import "s.css";@import "s.css";.x{}')).html).toContain(
      '>/* an import *//* an import */.x{}<',
    )
    const many = copy('<style>' + '@import "s.css";'.repeat(2000) + '</style>', around('.y{}'))
    expect(many.html.match(/\.y\{\}/g)).toHaveLength(500)
  })

  it.each([
    ['<svg><rect fill="url(http://e.test/x#p)" style="mask:u\\72l(http://e.test/m)"/></svg>'],
    ['<svg><feImage href="http://e.test/x"/><image xlink:href="http://e.test/x"/><pattern href="http://e.test/x#y"/></svg>'],
    [
      '<svg><a><set attributeName="href" to="http://e.test/x"/></a><image><animate attributeName="href" values="http://e.test/x;http://e.test/y"/></image></svg>',
    ],
    ['<svg><rect><set attributeName="fill" to="url(http://e.test/x)"/></rect></svg>'],
    [
      '<link rel="compression-dictionary" href="http://e.test/x"><link rel="x-new" href="http://e.test/x"><link rel=icon href="http://e.test/x">',
    ],
    ['<p style="background:u\\72l(http://e.test/x)"><style>@\\69mport "http://e.test/x"; @import/**/url(http://e.test/x);</style>'],
  ])('loads nothing from elsewhere by %s', (html) => {
    expect(copy(html).html).not.toContain('e.test')
  })

  it('lists what it leaves out, once for each address', () => {
    const { html, heldBack } = copy(
      '<script src="x.js"></script><script>a()</script><p onclick="b()"><a href="javascript:c()">x</a><iframe src="https://example.org/"></iframe><meta http-equiv="refresh" content="0;url=y"><link rel="stylesheet" href="gone.css"><base href="https://example.org/"><form action="/z"><button formaction="/y">',
    )
    expect(heldBack.map(({ what, address, isMissing, count }) => `${what} ${address ?? ''} ${String(isMissing)} ${count}`)).toEqual([
      'script pages/x.js undefined 1',
      'script  undefined 1',
      'handler  undefined 2',
      'frame https://example.org/ undefined 1',
      'refresh 0;url=y undefined 1',
      'sheet pages/gone.css true 1',
    ])
    expect(html).not.toMatch(/onclick|javascript:|http-equiv|example\.org|action=|a\(\)/)
  })

  it('has the agent first, whatever stands before the head', () => {
    expect(copy('<!-- <head><script nonce="n0"> --><html data-x="<head>"><title>t</title>').html).toContain(
      '<head data-gm-at="1"><script nonce="n0"></script><title',
    )
  })

  it('numbers every element as the source has them', () => {
    const source = '<ul><li>a<li>b</ul><template><p>c</template><svg><g></g></svg><table><tr><td>d'
    const names = elementsOf(readTree(source)).map(({ name }) => name)
    const numbered = [...copy(source).html.matchAll(/<([a-z]+)[^>]* data-gm-at="(\d+)"/g)].map(
      ([, name, number]) => names[Number(number)] === name,
    )
    expect(numbered).toHaveLength(names.length)
    expect(numbered).not.toContain(false)
  })

  it('leads nowhere but in the page for a visitor without script', () => {
    const page =
      '<a href="https://a.test/" target="_blank" ping="https://b.test/">out</a><a href=" #in">in</a><map><area href="b.html" download></map><svg><a xlink:href="c.html"></a></svg>'
    const { html } = copy(page, { nonce: undefined })
    expect(html).toContain('<a href="#-">out</a><a href=" #in">in</a><map><area href="#-"></map>')
    expect(html).not.toMatch(/test|html"|ping|target|download/)
    expect(copy(page).html).toContain('https://a.test/')
  })

  it('is read as without script where no agent comes, and shows what is to be shown', () => {
    const { html } = copy('<body><noscript><p>no script</p></noscript><p class="x">', { nonce: undefined, shown: ['.x'] })
    expect(html).toContain('<noscript><p>no script</p></noscript>')
    expect(html).toMatch(/\.x { opacity: 1 !important; visibility: visible !important; transform: none !important/)
    expect(html).not.toContain('data-gm-at')
  })
})

const page = `<!doctype html>
<html>
<head>
  <style>
    .a { color: red }
  </style>
</head>
<body>
  <main>
    <p class="a">one &amp; two</p>
    <div>
      <img src=x.png>
    </div>
  </main>
</body>
</html>
`
const numberOf = (source: string, select: string) => {
  const tree = readTree(source)
  const [element] = findIn(tree, select) ?? []
  return element ? elementsOf(tree).indexOf(element) : -1
}
const edited = (edit: Omit<MarkupEdit, 'at'> & { readonly on: string; readonly to?: string }, source = page) => {
  const { on, ...rest } = edit
  return applyMarkup(source, {
    ...rest,
    at: numberOf(source, on),
    ...(typeof rest.to === 'string' ? { to: numberOf(source, rest.to) } : {}),
  } as MarkupEdit)
}

describe('an edit of the markup', () => {
  it('puts things in on lines of their own, indented as their place is', () => {
    expect(edited({ do: 'insert', on: 'p', where: 'after', html: '<ul>\n  <li>x</li>\n</ul>\n' } as never)).toBe(
      page.replace('two</p>\n', 'two</p>\n    <ul>\n      <li>x</li>\n    </ul>\n'),
    )
    expect(edited({ do: 'insert', on: 'p', where: 'before', html: '<hr>' } as never)).toBe(page.replace('    <p', '    <hr>\n    <p'))
    expect(edited({ do: 'insert', on: 'main', where: 'inside', html: '<hr>' } as never)).toBe(
      page.replace('  </main>', '    <hr>\n  </main>'),
    )
  })

  it('copies, wraps, moves and removes, and leaves every other byte', () => {
    expect(edited({ do: 'copy', on: 'p' } as never)).toBe(page.replace('two</p>\n', 'two</p>\n    <p class="a">one &amp; two</p>\n'))
    expect(edited({ do: 'remove', on: 'p' } as never)).toBe(page.replace('    <p class="a">one &amp; two</p>\n', ''))
    expect(edited({ do: 'wrap', on: 'p', open: '<div class="wrap">', close: '</div>' } as never)).toBe(
      page.replace('    <p class="a">one &amp; two</p>', '    <div class="wrap">\n      <p class="a">one &amp; two</p>\n    </div>'),
    )
    expect(edited({ do: 'move', on: 'p', to: 'div', where: 'after' } as never)).toBe(
      page.replace('    <p class="a">one &amp; two</p>\n', '').replace('    </div>\n', '    </div>\n    <p class="a">one &amp; two</p>\n'),
    )
  })

  it('changes a text and an attribute in their place', () => {
    expect(edited({ do: 'text', on: 'p', text: 'a < b' } as never)).toBe(page.replace('one &amp; two', 'a &lt; b'))
    expect(edited({ do: 'attribute', on: 'img', name: 'src', value: 'a"b.png' } as never)).toBe(
      page.replace('src=x.png', 'src="a&quot;b.png"'),
    )
    expect(edited({ do: 'attribute', on: 'p', name: 'class', value: null } as never)).toBe(page.replace(' class="a"', ''))
    expect(edited({ do: 'attribute', on: 'main', name: 'id', value: 'top' } as never)).toBe(page.replace('<main>', '<main id="top">'))
  })

  it('is refused with a reason where it cannot be', () => {
    expect(() => edited({ do: 'move', on: 'main', to: 'p', where: 'inside' } as never)).toThrow('into itself')
    expect(() => edited({ do: 'text', on: 'main', text: 'x' } as never)).toThrow('holds others')
    expect(() => edited({ do: 'insert', on: 'img', where: 'inside', html: 'x' } as never)).toThrow('Nothing can be put into this img')
    expect(() => edited({ do: 'attribute', on: 'p', name: 'onclick', value: 'x' } as never)).toThrow(MarkupError)
    expect(() => applyMarkup('<p>x', { do: 'remove', at: 99 })).toThrow('not in the source')
    expect(() => applyMarkup('<p>x', { do: 'copy', at: 0 })).toThrow('no tag of its own')
  })

  it('is one insertion, one removal or both, at any place of any page', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            '<p>',
            '</p>',
            '<div class=a>',
            '</div>',
            '<br>',
            'text ',
            '\n  ',
            '<!-- x -->',
            '<b>',
            '</i>',
            '<table><tr><td>',
            '<svg/>',
          ),
          { maxLength: 30 },
        ),
        fc.nat(20),
        (parts, at) => {
          const source = parts.join('')
          try {
            const after = applyMarkup(source, { do: 'attribute', at, name: 'title', value: 'x' })
            expect(after.replace(/ ?title="x"/, '')).toBe(source)
          } catch (error) {
            expect(error).toBeInstanceOf(MarkupError)
          }
        },
      ),
      { numRuns: 400 },
    )
  })

  it('puts CSS into the page’s own style, or into a new one', () => {
    expect(addCss(page, '.b {}\n')).toBe(page.replace('  </style>', '    .b {}\n  </style>'))
    expect(addCss('<p>x', '.b {}\n')).toBe('<style>\n.b {}\n</style>\n<p>x')
  })
})

describe('starters', () => {
  it.each(starters.map((starter) => [starter.title, starter] as const))('%s is markup and CSS without a fault', (_, { html, css }) => {
    expect(htmlProblems(`<!doctype html><title>t</title>${html}`)).toEqual([])
    expect(cssProblems(css)).toEqual([])
    const tree = readTree(html)
    // What the CSS is about is there.
    for (const [, select = ''] of css.matchAll(/^([^@{}\n]+) \{/gm)) expect(findIn(tree, select)?.length, select).toBeGreaterThan(0)
  })
})

describe('a source', () => {
  it('is told where a browser has to guess', () => {
    expect(htmlProblems('<div><span></div>').map(({ words }) => words)).toContain('This span is never closed.')
    expect(htmlProblems('<p class="a" class="b">')[0]).toMatchObject({ words: 'duplicate attribute.' })
    expect(cssProblems('.a { color red; }')).toHaveLength(1)
    expect(cssProblems('.a { color: red; }')).toEqual([])
  })
})
