import { describe, expect, it } from 'vitest'
import { gzippedSize, joinPlayer } from './join-player'
import { minifyScript } from './minify'
import { writePage } from './page'
import { readPlayerModules } from './player-source'

const modules = readPlayerModules(new URL('../..', import.meta.url).pathname)

/** The most that the script of one tilt may weigh without its data, bytes (docs/decisions/002-script-budget.md). */
const oneTiltBudget = 4096

describe('the player as text', () => {
  it('is one scope of plain JavaScript that defines attach', () => {
    const text = joinPlayer(modules, ['spring', 'timed', 'glide', 'direct', 'stops'])
    expect(text).not.toMatch(/^(import|export) /m)
    expect(() => new Function(`${text}; return attach`)).not.toThrow()
    expect(text).toContain('// attach(): plays figures on a page until it is told to stop.')
  })

  it('leaves out what a page does not need', () => {
    const lean = joinPlayer(modules, ['spring', 'centredX', 'centredY'])
    expect(lean).toContain('const laws = { spring }')
    expect(lean).toContain('const shapers = {}')
    expect(lean).not.toContain('cubicBezier')
    expect(joinPlayer(modules, ['timed'])).toContain('cubicBezier')
  })

  it('of one tilt keeps its budget', () => {
    const bytes = gzippedSize(minifyScript(`(() => {'use strict'\n${joinPlayer(modules, ['spring', 'centredX', 'centredY'])}\nattach(document, [])})()`))
    console.log(`script of one tilt, minified and gzipped, without data: ${bytes} of ${oneTiltBudget} bytes`)
    expect(bytes).toBeLessThanOrEqual(oneTiltBudget)
  })
})

describe('a page with its effects', () => {
  it.each([
    ['<!doctype html>\n<html>\n<head><title>t</title>\n</head>\n<body class=x>\n<p>text\n</body>\n</html>\n', /<title>t<\/title>\n<style>\ncss<\/style>\n<\/head>[\s\S]*<p>text\n<script>\njs<\/script>\n<\/body>/],
    ['<p>no head, no body', /^<style>\ncss<\/style>\n<p>no head, no body<script>\njs<\/script>\n$/],
    ['<title>t</title><body><p>x', /<style>\ncss<\/style>\n<body><p>x<script>\njs<\/script>\n$/],
    ['', /^<style>\ncss<\/style>\n<script>\njs<\/script>\n$/],
  ])('has them at the ends of head and body: %j', (source, shape) => {
    const page = writePage(source, 'css', 'js')
    expect(page).toMatch(shape)
    expect(page.replace('<style>\ncss</style>\n', '').replace('<script>\njs</script>\n', '')).toBe(source)
  })

  it('is not misled by tags inside comments and scripts', () => {
    const source = '<html><head><!-- </head> --><script>"</body>"</script></head><body>a</body></html>'
    expect(writePage(source, 'css', 'js')).toBe('<html><head><!-- </head> --><script>"</body>"</script><style>\ncss</style>\n</head><body>a<script>\njs</script>\n</body></html>')
  })
})
