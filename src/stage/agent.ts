// The agent inside the page's frame: it plays the effects, points, outlines and reports, as the studio asks.
import * as z from 'zod'
import { zoomBy } from '../core/geometry/wheel'
import { makeRun, type RunName } from '../core/trace/runs'
import { findAll } from '../play/find'
import { makeAnswers } from './answers'
import { findAssets } from './assets'
import { showBare } from './bare'
import { stillBoxOf } from './boxes'
import { countCosts } from './cost'
import { watchDistance } from './distance'
import { chooseEdges } from './edges'
import { heldFrom, readPage } from './facts'
import { alignGrain } from './grain'
import { guardPage } from './guard'
import { hearHandling } from './handling'
import { makeHost } from './host'
import { makeHover } from './hover'
import { readNumbers } from './numbers'
import { makeOverlay } from './overlay'
import { makePointerSource } from './pointer-source'
import { makePointing, type Pointing } from './pointing'
import { makePose } from './pose'
import { lookAtEffect } from './seen/look'
import { toStage, type FromStage, type QuestionType, type RunSample, type ToStage, type ToStageOf, type Visitor } from './protocol'
import { findUnseen } from './unseen'
import { makeVisit } from './visit'
import { watchZone } from './zone'
import { editWords } from './words'

// The frame's policy forbids `eval`, so Zod must not try it.
z.config({ jitless: true })

/** The agent's own script: by its nonce others run here, and on it stands what was held back of the page. */
const own = document.currentScript
const nonce = own?.nonce ?? ''
const heldBack = Object.fromEntries(
  [...(own?.dataset.held ?? '').matchAll(/([a-z]+)=(\d+)/g)].map(([, sort = '', count]) => [sort, Number(count)]),
)

function start(page: Document) {
  const say = (message: FromStage) => parent.postMessage(message, '*')
  const numbers = readNumbers(page)
  const assets = findAssets(page)
  const visit = makeVisit(page)
  let visitor: Visitor = 'mouse'
  let scale = 1
  const align = () => {
    for (const sheet of host.sheets()) alignGrain(sheet, scale)
  }
  const overlay = makeOverlay(page, numbers, {
    onPin: (place, last) => say({ type: 'pin', place, last }),
    onHandle: (id, value, last) => say({ type: 'handle', id, value, last }),
  })
  const hover = makeHover(page)
  const source = makePointerSource(page, {
    overlay: overlay.host,
    onMeet: overlay.meet,
    onStandIn: overlay.showStandIn,
    onHit: hover.mark,
    onSample: onceAFrame((samples) => say({ type: 'samples', samples })),
  })
  const costs = countCosts(page, (cost) => say({ type: 'cost', cost }))
  const host = makeHost(page, nonce, source, costs, hover.follow)
  const zone = watchZone(page, (told) => say({ type: 'zone', zone: told }))
  const edges = chooseEdges(page, numbers, overlay, (edge) => say({ type: 'edge', edge }))
  const pose = makePose(page, source, (x, y, place, last) => say({ type: 'posed', x, y, place, last }))
  const pointing = makePointing(page, numbers, overlay, source, (under) => say({ type: 'under', ...under }))
  const distance = watchDistance(page, host, numbers, (measured) => {
    say({ type: 'distances', width: innerWidth, ...measured })
    overlay.draw()
  })
  guardPage(page, (href) => say({ type: 'link', href }))
  editWords(page, numbers, (number, text) => say({ type: 'words', number, text }))
  hearKeys(page, pointing, say)
  let copyable = ''
  let isBusy = false
  hearHandling({ page, numbers, overlay, pointing, copyable: () => copyable, isBusy: () => isBusy, say })

  const begin = (isAgain: boolean) => {
    say({ type: 'ready', now: performance.now(), isAgain })
    if (assets.needs.length > 0) say({ type: 'needs', hashes: [...assets.needs] })
    const isOurs = (sheet: CSSStyleSheet) => host.sheets().includes(sheet)
    const rules = () => readPage(page, isOurs, heldFrom(heldBack))
    say({ type: 'unseen', ...findUnseen(page, numbers, rules), held: heldBack })
  }
  const does: Does = {
    dress: ({ stylesheet }) => {
      host.dress(stylesheet)
      align()
      visit(visitor, host.sheets())
      distance.changed()
      overlay.draw()
    },
    play: ({ played }) => {
      host.play(played)
      distance.changed()
    },
    show: ({ effects }) => {
      const selected = effects.find((effect) => effect.selected)
      source.setArea(selected?.reads ?? selected?.select ?? null)
      zone(selected)
      overlay.showEffects(effects)
    },
    point: ({ on }) => pointing.set(on),
    outline: ({ select }) => overlay.outline(select),
    bare: ({ on }) => showBare(page, on),
    visit: (message) => {
      visitor = message.visitor
      visit(visitor)
      source.becomeVisitor(visitor)
    },
    scaled: (message) => {
      scale = message.scale
      align()
    },
    copyable: ({ text }) => {
      copyable = text
    },
    mode: ({ mode }) => {
      isBusy = mode.is === 'posing' || mode.is === 'measuring'
      source.become(mode)
      pose(mode.is === 'posing' ? mode.select : null)
      edges(mode)
      distance.watch(mode.is === 'measuring' ? mode.edges : [], mode.is === 'measuring' ? mode.select : undefined)
    },
    follow: ({ select, index, place }) => source.follow(select, index, place),
    leave: ({ to }) => (to === 'away' ? source.leave() : source.leaveForControls()),
    again: () => begin(true),
    asset: ({ hash, mime, bytes }) => {
      assets.give(hash, mime, bytes)
      overlay.draw()
    },
    stand: ({ x, y, quiet }) => source.standAt(x, y, quiet === true),
    run: ({ samples }) => source.run(samples),
    'test-run': ({ run, select, bridge }) => {
      const samples = testRun(page, run, select, bridge)
      if (samples) source.run(samples)
    },
  }
  const answers = makeAnswers(page, numbers, host.sheets, heldBack, (asked) => lookAtEffect(page, numbers, host.measure, hover, asked))
  addEventListener('message', (event) => {
    if (event.source !== parent) return
    const { success, data, error } = toStage.safeParse(event.data)
    if (!success) console.warn('The studio sent a message that the page does not know.', error.issues)
    else if ('ask' in data) say({ type: 'answer', to: data.ask, answer: answers(data) })
    else (does[data.type] as (message: ToStage) => void)(data)
  })
  begin(false)
}

/** What the page does at each message that is no question. */
type Does = { readonly [Type in Exclude<ToStage['type'], QuestionType>]: (message: ToStageOf<Type>) => void }

/** Gathers what comes, and hands it on once a frame. */
function onceAFrame<Item>(hand: (items: Item[]) => void): (item: Item) => void {
  let items: Item[] = []
  const report = () => {
    if (items.length > 0) hand(items)
    items = []
  }
  return (item) => {
    if (items.length === 0) requestAnimationFrame(report)
    items.push(item)
  }
}

/** A built-in run over the first match in sight, to what belongs to it if that is named. */
function testRun(page: Document, run: RunName, select: string, bridge?: string): readonly RunSample[] | undefined {
  const inSight = (findAll(page, select) ?? [])
    .map((element) => stillBoxOf(element))
    .find(({ y, height }) => y + height > 0 && y < innerHeight)
  const beside = bridge === undefined ? undefined : findAll(page, bridge)?.[0]
  return inSight && makeRun(run, inSight, { width: innerWidth, height: innerHeight }, beside && stillBoxOf(beside))
}

/** Tells the studio of keys, which are its own unless something is written in the page. */
function hearKeys(page: Document, pointing: Pointing, say: (message: FromStage) => void): void {
  page.addEventListener('keydown', (event) => {
    const { key, code, ctrlKey, shiftKey, altKey, metaKey, target } = event
    if (target instanceof HTMLElement && (target.isContentEditable || /^(input|textarea|select)$/.test(target.localName))) return
    // Held, it moves the page on the plate, unless it is what a control of the page is pressed by.
    if (key === ' ') {
      if (target instanceof Element && target.closest('a, button, summary, [role=button]')) return
      event.preventDefault()
    }
    // While pointing, these walk the tree of the page; at other times they scroll it.
    if (pointing.isOn() && /^(Arrow|Enter)/.test(key)) event.preventDefault()
    say({ type: 'key', key, code, ctrlKey, shiftKey, altKey, metaKey })
  })
  page.addEventListener('keyup', ({ code }) => say({ type: 'keyup', code }))
  // A key that goes up elsewhere is not heard here: what it holds ends with the focus.
  window.addEventListener('blur', () => {
    for (const code of ['KeyB', 'Space']) say({ type: 'keyup', code })
  })
  page.addEventListener(
    'wheel',
    (event) => {
      if (event.defaultPrevented || !(event.ctrlKey || event.metaKey)) return
      event.preventDefault()
      say({ type: 'zoom', by: zoomBy(event), x: event.clientX, y: event.clientY })
    },
    { passive: false },
  )
}

if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', () => start(document))
else start(document)
