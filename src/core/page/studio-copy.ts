// The studio's copy of a page: what would run, navigate or load from elsewhere is taken out of it and listed; the source
// itself stays as it is. Every element carries its number in the source, so that it is found there again.
import type { Element } from 'domhandler'
import { serialize } from 'parse5'
import { adapter } from 'parse5-htmlparser2-tree-adapter'
import { readReference, readSrcset } from './references'
import { addressIn, prepareSheet, sheetAt, type Surroundings } from './sheets'
import { mediaAttribute, numberAttribute } from './studio-copy-marks'
import { elementsOf, findIn, newElement, newText, readTree } from './tree'

/** Something of a page that does not play in the studio. */
export interface HeldBack {
  readonly what: 'script' | 'handler' | 'frame' | 'refresh' | 'sheet' | 'picture' | 'font' | 'media'
  /** Where it would have come from; undefined for what stands in the page itself. */
  readonly address?: string | undefined
  /** Whether it is a file that did not come along, rather than something elsewhere. */
  readonly isMissing?: boolean | undefined
  readonly count: number
  /** The number of the first element that it is about. */
  readonly at: number
}

export interface StudioCopy {
  readonly html: string
  readonly heldBack: readonly HeldBack[]
}

export interface CopyOptions extends Omit<Surroundings, 'onMissing'> {
  /** Where the page stands among its files. */
  readonly path: string
  /** Selectors of elements that a script of the page's would have shown. */
  readonly shown: readonly string[]
  /** Classes that such a script would have set, by the selector of what it would have set them on. */
  readonly shownBy?: readonly { readonly select: string; readonly class: string }[] | undefined
  /** The nonce of the agent's script, which is to come first; without one the page is read as by a browser without script. */
  readonly nonce: string | undefined
}

/** A page's HTML, made ready for the studio's frame. */
export function copyForStudio(source: string, { path, files, sheetText, shown, shownBy = [], nonce }: CopyOptions): StudioCopy {
  const tree = readTree(source, nonce === undefined)
  const held = new Map<string, HeldBack>()
  let at = 0
  const hold = (what: HeldBack['what'], address?: string, isMissing?: boolean) => {
    const key = `${what} ${address ?? ''}`
    held.set(key, { what, address, isMissing, count: (held.get(key)?.count ?? 0) + 1, at: held.get(key)?.at ?? at })
  }
  const around: Surroundings = { files, sheetText, onMissing: hold }
  elementsOf(tree).forEach((element, number) => {
    at = number
    if (nonce !== undefined) element.attribs[numberAttribute] = String(number)
    prepareElement(element, path, around, hold)
    if (nonce === undefined) leadNowhere(element)
  })
  const head = elementsOf(tree).find(({ name }) => name === 'head')
  if (head && shown.length > 0) showHidden(head, shown)
  for (const { select, class: name } of shownBy)
    for (const { attribs } of findIn(tree, select) ?? []) attribs.class = `${attribs.class ?? ''} ${name}`.trim()
  if (head && nonce !== undefined) {
    const agent = newElement('script', head)
    agent.attribs.nonce = nonce
    head.childNodes.unshift(agent)
  }
  return { html: serialize(tree, { treeAdapter: adapter }), heldBack: [...held.values()] }
}

type Hold = (what: HeldBack['what'], address?: string) => void

const frames = new Set(['iframe', 'frame', 'object', 'embed', 'portal', 'fencedframe', 'applet'])
/** Links that a browser does nothing with by itself. Whatever else may be prepared, fetched or learned by one leads nowhere here. */
const idleLinks = new Set(['alternate', 'author', 'bookmark', 'canonical', 'help', 'license', 'next', 'prev', 'search', 'tag'])
const pictured: Readonly<Record<string, readonly string[]>> = { img: ['src'], input: ['src'], video: ['poster'] }
const svg = 'http://www.w3.org/2000/svg'
/** Elements of SVG that change an attribute in time. */
const animations = new Set(['animate', 'set', 'animatemotion', 'animatetransform', 'animatecolor', 'discard'])
const leading = new Set(['href', 'xlink:href', 'action', 'formaction', 'to', 'from', 'values', 'by'])

/**
 * Takes the address of a link that leads out of the page: without the agent nothing would keep a click from going there. It looks like a link
 * still, and leads to a place that there is not.
 */
function leadNowhere({ name, attribs }: Element): void {
  if (name !== 'a' && name !== 'area') return
  for (const attribute of ['href', 'xlink:href'] as const)
    if (attribs[attribute] !== undefined && !attribs[attribute].trim().startsWith('#')) attribs[attribute] = '#-'
  clear(attribs, ['target', 'ping', 'download'])
}

function prepareElement(element: Element, path: string, around: Surroundings, hold: Hold): void {
  const { name: tag, attribs } = element
  const name = tag.toLowerCase()
  holdHandlers(attribs, hold)
  if (name === 'script') {
    const src = attribs.src ?? attribs.href ?? attribs['xlink:href']
    if (/^(|module|text\/(java|ecma)script|application\/(java|ecma)script)$/i.test(attribs.type ?? '') || src !== undefined)
      hold('script', src === undefined ? undefined : addressOf(src, path))
    element.childNodes = []
    clear(attribs, ['src', 'href', 'xlink:href', 'nonce'])
    attribs.type = 'text/plain'
  } else if (frames.has(name)) {
    hold('frame', attribs.src ?? attribs.data)
    clear(attribs, ['src', 'srcdoc', 'data', 'code', 'archive', 'classid', 'codebase'])
  } else if (name === 'meta' && attribs['http-equiv'] !== undefined) {
    if (/refresh/i.test(attribs['http-equiv'])) hold('refresh', attribs.content)
    clear(attribs, ['http-equiv', 'content'])
  } else if (name === 'base') {
    clear(attribs, ['href', 'target'])
  } else if (name === 'link') {
    prepareLink(element, path, around)
  } else if (name === 'style') {
    const text = element.childNodes.map((child) => ('data' in child ? child.data : '')).join('')
    element.childNodes = [newText(prepareSheet(text, path, around).replaceAll('</', '<\\/'), element)]
  }
  for (const attribute of pictured[name] ?? []) {
    const value = attribs[attribute]
    const changed = value === undefined ? undefined : addressIn(value, path, around, 'picture')
    if (changed !== undefined) attribs[attribute] = changed
  }
  if (element.namespace === svg && name !== 'a' && name !== 'script') {
    for (const attribute of ['href', 'xlink:href'] as const) {
      const changed = attribs[attribute] === undefined ? undefined : addressIn(attribs[attribute], path, around, 'picture')
      if (changed !== undefined) attribs[attribute] = changed
    }
  }
  if (animations.has(name)) prepareAnimation(attribs)
  // Whatever attribute it is, of SVG's paints, masks and cursors: an address in it is one.
  for (const [attribute, value] of Object.entries(attribs))
    if (attribute !== 'style' && mayLoad.test(value) && element.namespace === svg) attribs[attribute] = prepareSheet(value, path, around)
  const media = /^(video|audio|source|track)$/.test(name) ? attribs.src : undefined
  if (media !== undefined) prepareMedia(attribs, media, path, around)
  if (attribs.srcset !== undefined)
    attribs.srcset = readSrcset(attribs.srcset)
      .map(({ address, rest }) => `${addressIn(address, path, around, 'picture') ?? address} ${rest}`.trim())
      .join(', ')
  if (attribs.background !== undefined) attribs.background = addressIn(attribs.background, path, around, 'picture') ?? attribs.background
  if (attribs.style !== undefined) attribs.style = prepareSheet(attribs.style, path, around)
  clear(attribs, ['ping', 'action', 'formaction', 'autofocus', 'nonce'])
  for (const attribute of ['name', 'id'] as const)
    if (asked.has(attribs[attribute] ?? '')) attribs[attribute] = `${attribs[attribute] ?? ''}-`
}

/**
 * What the agent and scripts ask of a document or an element: an element of such a name would stand in its place
 * (named access on documents and forms), so the studio's copy spells it otherwise.
 */
const asked = new Set(
  (
    'addEventListener removeEventListener dispatchEvent querySelector querySelectorAll getElementById elementFromPoint elementsFromPoint createElement body head documentElement styleSheets adoptedStyleSheets readyState hidden defaultView activeElement baseURI fonts ' +
    'parentElement parentNode children childNodes childElementCount firstChild classList style attributes getAttribute setAttribute hasAttribute removeAttribute getBoundingClientRect getClientRects matches closest contains textContent localName tagName nodeName nodeType ownerDocument append appendChild remove replaceChildren isConnected offsetWidth offsetHeight clientWidth clientHeight currentCSSZoom focus getRootNode shadowRoot attachShadow innerHTML'
  ).split(' '),
)

/** Takes off what would run: handlers, and addresses that are code. */
function holdHandlers(attribs: Record<string, string>, hold: Hold): void {
  for (const [name, value] of Object.entries(attribs)) {
    if (/^on/i.test(name)) hold('handler')
    else if (!leading.has(name) || !value.split(';').some((each) => readReference(each, '').kind === 'code')) continue
    else hold('handler')
    Reflect.deleteProperty(attribs, name)
  }
}

/** A stylesheet is put in where its link stands; links that only prepare a connection lead nowhere. */
function prepareLink(element: Element, path: string, around: Surroundings): void {
  const { attribs } = element
  const rel = (attribs.rel ?? '').toLowerCase().split(/\s+/)
  if (rel.includes('stylesheet') && attribs.href !== undefined) {
    const text = rel.includes('alternate') ? undefined : sheetAt(attribs.href, path, around)
    if (text !== undefined) {
      const { media, [numberAttribute]: number } = attribs
      element.name = 'style'
      element.attribs = { ...(media === undefined ? {} : { media }), ...(number === undefined ? {} : { [numberAttribute]: number }) }
      element.childNodes = [newText(text.replaceAll('</', '<\\/'), element)]
      return
    }
    clear(attribs, ['href'])
  }
  if (!rel.includes('stylesheet') && !rel.every((each) => idleLinks.has(each))) clear(attribs, ['href', 'imagesrcset', 'imagesizes', 'rel'])
  clear(attribs, ['imagesrcset'])
}

const mayLoad = /url|src|image|\\/i

/** An animation may set any attribute to anything; one that could set an address, or CSS with one, sets nothing. */
function prepareAnimation(attribs: Record<string, string>): void {
  const target = (attribs.attributename ?? attribs.attributeName ?? '').toLowerCase()
  const values = ['to', 'from', 'by', 'values'].map((name) => attribs[name] ?? '').join(' ')
  if (/href|src|style|class$/.test(target) || /url|image-set|\\|:\/\//i.test(values)) clear(attribs, ['to', 'from', 'by', 'values'])
}

function prepareMedia(attribs: Record<string, string>, address: string, path: string, around: Surroundings): void {
  const changed = addressIn(address, path, around, 'media')
  if (changed === undefined) return
  clear(attribs, ['src'])
  if (changed !== 'data:,') attribs[mediaAttribute] = changed
}

function addressOf(src: string, path: string): string {
  const reference = readReference(src, path)
  return reference.kind === 'file' ? reference.path : reference.kind === 'remote' ? reference.address : src
}

function clear(attribs: Record<string, string>, names: readonly string[]): void {
  for (const name of names) Reflect.deleteProperty(attribs, name)
}

/** What takes back how a page hides something until a script shows it, where it lies when it is shown. */
const whole =
  'opacity: 1 !important; visibility: visible !important; transform: none !important; translate: none !important; scale: none !important; rotate: none !important; filter: none !important; clip-path: none !important;'

/** Shows what a script of the page's would have shown. */
function showHidden(head: Element, shown: readonly string[]): void {
  const style = newElement('style', head)
  style.childNodes = [newText(`${shown.join(', ')} { ${whole} }\n`.replaceAll('</', '<\\/'), style)]
  head.childNodes.push(style)
}
