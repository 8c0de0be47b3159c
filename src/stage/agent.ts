// The agent inside the page's frame: it plays the effects, points, outlines and reports, as the studio asks.
import * as z from 'zod'
import { readFacts, type Asked, type PageFacts } from '../core/compile/page-facts'
import { makeRun, type RunName } from '../core/trace/runs'
import { findAssets } from './assets'
import { showBare } from './bare'
import { stillBoxOf } from './boxes'
import { flattenedBy } from './flat'
import { coloursOf, isClear } from './colours'
import { countCosts } from './cost'
import { chooseEdges } from './edges'
import { readPage } from './facts'
import { findAll } from '../play/find'
import { watchGap } from './gap'
import { guardPage } from './guard'
import { makeHand } from './hand'
import { makeHost } from './host'
import { makeHover } from './hover'
import { elementsUnder } from './ladder'
import { liftCss } from './lift'
import { readNumbers } from './numbers'
import { makeOverlay } from './overlay'
import { makePose } from './pose'
import { toStage, type FromStage, type ThreadSample, type ToStage, type Under, type Visitor } from './protocol'
import { findUnseen } from './unseen'
import { makeVisit } from './visit'
import { editWords } from './words'

// The frame's policy forbids `eval`, so Zod must not try it.
z.config({ jitless: true })

/** The agent's own script: by its nonce others run here, and on it stands what was held back of the page. */
const own = document.currentScript
const nonce = own?.nonce ?? ''
const held = (own?.dataset.held ?? '').split(' ')

/** The colour that an element stands on: its own, or the nearest around it. */
function groundOf(element: Element): string {
  for (let each: Element | null = element; each; each = each.parentElement) {
    const { backgroundColor } = getComputedStyle(each)
    if (!isClear(backgroundColor)) return backgroundColor
  }
  return 'rgb(255, 255, 255)'
}

function start(page: Document) {
  const say = (message: FromStage) => parent.postMessage(message, '*')
  const numbers = readNumbers(page)
  const assets = findAssets(page)
  const visit = makeVisit(page)
  let visitor: Visitor = 'mouse'
  const overlay = makeOverlay(page, numbers, {
    onPin: (place, last) => say({ type: 'pin', place, last }),
    onHandle: (id, value, last) => say({ type: 'handle', id, value, last }),
  })
  const hover = makeHover(page)

  let samples: ThreadSample[] = []
  const reportSamples = () => {
    if (samples.length > 0) say({ type: 'samples', samples })
    samples = []
  }
  const hand = makeHand(page, {
    overlay: overlay.host,
    onMeet: overlay.meet,
    onGhost: overlay.showGhost,
    onHit: hover.mark,
    onSample: (sample) => {
      if (samples.length === 0) requestAnimationFrame(reportSamples)
      samples.push(sample)
    },
  })

  const host = makeHost(
    page,
    nonce,
    hand,
    countCosts(page, (cost) => say({ type: 'cost', cost })),
    hover.follow,
  )
  const edges = chooseEdges(page, numbers, overlay, (edge) => say({ type: 'edge', edge }))
  const pose = makePose(page, hand, (x, y, place, last) => say({ type: 'posed', x, y, place, last }))

  let pointing = false
  let toldUnder = ''
  const point = (on: boolean) => {
    pointing = on
    toldUnder = ''
    page.documentElement.style.cursor = on ? 'crosshair' : ''
    if (page.documentElement.getAttribute('style') === '') page.documentElement.removeAttribute('style')
    if (!on) return overlay.outline(null)
    // What lies under a pointer that already stands on the page is told at once.
    const standing = hand.pointer()
    if (standing) lookUnder(standing.x, standing.y, false, false)
  }
  const lookUnder = (x: number, y: number, chosen: boolean, adds: boolean) => {
    const elements: readonly Under[] = elementsUnder(page, numbers, x, y, overlay.host, chosen)
    const key = elements.map(({ number }) => number).join()
    if (key === toldUnder && !chosen) return
    toldUnder = key
    if (chosen) hand.standAt(numbers.at(elements[0]?.number ?? -1) ?? null, x, y)
    say({ type: 'under', elements: [...elements], chosen, adds })
  }
  page.addEventListener('pointermove', ({ clientX, clientY }) => pointing && lookUnder(clientX, clientY, false, false), { passive: true })
  page.addEventListener(
    'click',
    (event) => {
      if (!pointing) return
      event.preventDefault()
      event.stopPropagation()
      lookUnder(event.clientX, event.clientY, true, event.shiftKey)
      pointing = false
      page.documentElement.style.cursor = ''
    },
    { capture: true },
  )
  guardPage(page, (href) => say({ type: 'link', href }))
  editWords(page, numbers, (number, text) => say({ type: 'words', number, text }))
  page.addEventListener('keydown', (event) => {
    const { key, code, ctrlKey, shiftKey, altKey, metaKey, target } = event
    if (target instanceof HTMLElement && (target.isContentEditable || /^(input|textarea|select)$/.test(target.localName))) return
    // While pointing, these walk the tree of the page; at other times they scroll it.
    if (pointing && /^(Arrow|Enter)/.test(key)) event.preventDefault()
    say({ type: 'key', key, code, ctrlKey, shiftKey, altKey, metaKey })
  })

  page.addEventListener('keyup', ({ code }) => say({ type: 'keyup', code }))

  /** Walks a built-in run over the first match in sight, to what belongs to it if that is named. */
  const testRun = (run: RunName, select: string, bridge?: string) => {
    const inSight = (findAll(page, select) ?? [])
      .map((element) => stillBoxOf(element))
      .find(({ y, height }) => y + height > 0 && y < innerHeight)
    const beside = bridge === undefined ? undefined : findAll(page, bridge)?.[0]
    if (inSight) hand.run(makeRun(run, inSight, { width: innerWidth, height: innerHeight }, beside && stillBoxOf(beside)))
  }
  const gap = watchGap(page, host, numbers, (measured) => {
    say({ type: 'gaps', width: innerWidth, ...measured })
    overlay.draw()
  })

  // The page's own sheets stay as they came, so they are read once, when first asked about.
  let readOnce: ((asked: Asked) => PageFacts) | undefined
  const factsFor = (asked: Asked) =>
    (readOnce ??= readFacts(
      readPage(page, (sheet) => host.sheets().includes(sheet), {
        lacksSheets: held.includes('sheet'),
        hasScripts: held.includes('script') || held.includes('handler'),
      }),
    ))(asked)
  const look = (select: string) => say({ type: 'looks', select, grounds: (findAll(page, select) ?? []).map(groundOf) })
  const answer = (message: ToStage) => {
    switch (message.type) {
      case 'dress':
        host.dress(message.stylesheet)
        visit(visitor, host.sheets())
        gap.changed()
        return overlay.draw()
      case 'play':
        host.play(message.played)
        return gap.changed()
      case 'facts':
        return say({ type: 'facts', key: message.key, facts: factsFor(message.asked) })
      case 'show':
        hand.setArea(message.effects.find(({ selected }) => selected)?.select ?? null)
        return overlay.showEffects(message.effects)
      case 'again':
        return begin(true)
      case 'point':
        return point(message.on)
      case 'outline':
        return overlay.outline(message.select)
      case 'look':
        return look(message.select)
      case 'asset':
        assets.give(message.hash, message.mime, message.bytes)
        return overlay.draw()
      case 'bare':
        return showBare(page, message.on)
      case 'visit':
        visitor = message.visitor
        visit(visitor)
        return hand.becomeVisitor(message.visitor)
      case 'walk':
        return hand.walk(message.select)
      case 'follow':
        return hand.follow(message.select, message.index, message.place)
      case 'colours':
        return say({ type: 'colours', colours: coloursOf(page) })
      case 'hold':
        return hand.hold(message.look)
      case 'fasten':
        return hand.fasten(message.on)
      case 'stand':
        return hand.standAtPoint(message.x, message.y, message.quiet === true)
      case 'run':
        return hand.run(message.samples)
      case 'test-run':
        return testRun(message.run, message.select, message.bridge)
      case 'pose':
        return pose(message.select)
      case 'flat':
        return say({
          type: 'flat',
          by:
            findAll(page, message.select)
              ?.map(flattenedBy)
              .find((by) => by !== null) ?? null,
        })
      case 'boxes':
        return say({
          type: 'boxes',
          window: { width: innerWidth, height: innerHeight },
          elements: Object.fromEntries(
            message.selects.map((select) => [select, (findAll(page, select) ?? []).slice(0, 400).map((element) => stillBoxOf(element))]),
          ),
        })
      case 'edges':
        return edges(message.on)
      case 'gap':
        overlay.showEdges(message.edges, null)
        return gap.watch(message.edges, message.measures ? message.select : undefined)
      case 'lift': {
        const element = numbers.at(message.number)
        return (
          element && say({ type: 'lifted', number: message.number, css: liftCss(page, element, (sheet) => host.sheets().includes(sheet)) })
        )
      }
      case 'leave':
        return message.to === 'away' ? hand.leave() : hand.leaveForControls()
    }
  }
  addEventListener('message', (event) => {
    if (event.source !== parent) return
    const message = toStage.safeParse(event.data)
    if (message.success) answer(message.data)
    else console.warn('The studio sent a message that the page does not know.', message.error.issues)
  })
  const begin = (isAgain: boolean) => {
    say({ type: 'ready', now: performance.now(), isAgain })
    if (assets.needs.length > 0) say({ type: 'needs', hashes: [...assets.needs] })
    say({ type: 'unseen', numbers: [...findUnseen(page, numbers)] })
  }
  begin(false)
}

if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', () => start(document))
else start(document)
