// @vitest-environment jsdom
// What the page in the frame tells of itself is what the server works out from the same sheets.
import { describe, expect, it } from 'vitest'
import { factNames } from '../core/compile/facts'
import { askedBy, readFacts } from '../core/compile/page-facts'
import { factsOf } from '../core/compile/tree-facts'
import { findKind } from '../core/effect/kinds'
import { readTree } from '../core/page/tree'
import { readPage } from './facts'

const tilt = findKind('tilt')
const sources = tilt
  ? ['.card', '.note'].map((select) => ({ rig: tilt.expand(tilt.defaults, select, {}), names: { title: select, name: select.slice(1) } }))
  : []
const body = '<main class="wrap"><article class="card" style="color: red">A</article><p class="note">B</p></main>'

function factsInFrame(css: string, hasScripts = false, lacksSheets = false) {
  document.head.innerHTML = `<style>${css}</style>`
  document.body.innerHTML = body
  return readFacts(readPage(document, () => false, { hasScripts, sheets: lacksSheets ? 'missing' : 'read' }))(askedBy(sources))
}

describe('the facts in the frame', () => {
  it.each([
    '.card { color: red; padding: 4px }',
    '.card { border-left-width: 2px; border-left-style: solid }',
    '.card { border-top-left-radius: 4px }',
    '.wrap { transform: rotate(3deg) }',
    '.card:hover { transform: scale(1.1) }',
    '.card::before { transform: scale(1.1) }',
    '.other { transform: scale(1.1) }',
    '.card { filter: blur(2px) }',
    '.card { box-shadow: 0 0 2px red }',
    '@media (min-width: 900px) { .note { transform: none } .card { filter: blur(2px) } }',
    '@media print { @supports (display: grid) { .note { transform: scale(2) } } }',
    '.card { transition-duration: 0.3s }',
    '.card { transition-duration: 0s }',
    '@keyframes come { from { transform: scale(0) } } .card { animation-name: come }',
    '@keyframes come { from { opacity: 0 } } .card { animation-name: come }',
  ])('of %j are those of the server', (css) => {
    for (const hasScripts of [false, true]) {
      const inFrame = factsInFrame(css, hasScripts)
      const ofServer = factsOf(
        { tree: readTree(`<!doctype html><style>${css}</style><body>${body}</body>`), lacksSheets: false, hasScripts },
        sources,
      )
      for (const name of factNames) expect(`${name} ${inFrame[name]}`).toBe(`${name} ${ofServer[name]}`)
    }
  })

  it('tell what lies in what, and take the worst where a sheet was held back', () => {
    expect(factsInFrame('').liesIn).toContainEqual(['.card', '.card'])
    expect(factsInFrame('').liesIn).not.toContainEqual(['.note', '.card'])
    expect(factsInFrame('', false, true)).toMatchObject({
      hasBorders: true,
      hasTurns: true,
      hasOwnStyles: true,
      hasTransitions: true,
      hasOwnCode: false,
    })
  })

  it('are read once: what is asked afterwards asks the page for no rule again', () => {
    document.head.innerHTML = '<style>.card { border: 1px solid } .wrap .other { scale: 2 }</style>'
    document.body.innerHTML = body
    const found: string[] = []
    const page = readPage(document, () => false, { hasScripts: false, sheets: 'read' })
    const factsFor = readFacts({
      ...page,
      find: (select) => {
        found.push(select)
        return page.find(select)
      },
    })
    const ofRules = found.length
    expect(ofRules).toBeGreaterThan(0)
    expect(factsFor({ read: ['.card'], written: [], driven: [], turned: [], looked: [] })).toMatchObject({ hasBorders: true })
    expect(factsFor({ read: ['.note'], written: [], driven: [], turned: [], looked: [] })).toMatchObject({ hasBorders: false })
    expect(new Set(found.slice(ofRules))).toEqual(new Set(['.card', '.note']))
  })

  it('leave our own sheets and values out', () => {
    document.head.innerHTML = '<style>.card { transform: rotate(3deg) }</style>'
    document.body.innerHTML = body.replace('color: red', '--card-tilt-x: 0.4')
    const [own] = document.styleSheets
    expect(readFacts(readPage(document, (sheet) => sheet === own, { hasScripts: false, sheets: 'read' }))(askedBy(sources))).toMatchObject({
      hasTurns: false,
      hasOwnStyles: false,
    })
  })
})
