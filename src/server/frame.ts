// The page as it stands in the studio's frame: under a policy that lets only our agent run and nothing reach a network.
import { parse, serialize, type DefaultTreeAdapterTypes } from 'parse5'

type Element = DefaultTreeAdapterTypes.Element
type ParentNode = DefaultTreeAdapterTypes.ParentNode

/** The policy of the frame's response; the frame gets an opaque origin by it, whoever embeds it. */
export function framePolicy(nonce: string): string {
  return [
    'sandbox allow-scripts',
    "default-src 'none'",
    `script-src 'nonce-${nonce}'`,
    "style-src 'unsafe-inline'",
    'img-src data: blob:',
    'media-src blob:',
    'font-src data: blob:',
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'self'",
  ].join('; ')
}

/** The studio's copy of a page with the agent in it. What could move the frame or prepare a connection is left out. */
export function prepareFrame(html: string, agent: string, nonce: string): string {
  const document = parse(html)
  dropEscapes(document)
  const root = document.childNodes.find((node): node is Element => node.nodeName === 'html')
  const head = root?.childNodes.find((node): node is Element => node.nodeName === 'head')
  const page = serialize(document)
  const script = `<script nonce="${nonce}">${agent.replaceAll('</', '<\\/')}</script>`
  // The serializer writes the head's own tags, so the agent goes right behind the first of them.
  return head ? page.replace(/<head[^>]*>/, (tag) => tag + script) : script + page
}

const connectingLinks = new Set(['preconnect', 'dns-prefetch', 'prefetch', 'preload', 'modulepreload', 'prerender'])

/** Whether an element could navigate the frame by itself or open a connection past the policy. */
function isEscape(element: Element): boolean {
  const attribute = (name: string) => element.attrs.find((each) => each.name === name)?.value.trim().toLowerCase()
  if (element.nodeName === 'meta') return attribute('http-equiv') !== undefined
  if (element.nodeName === 'base') return true
  if (element.nodeName === 'link') return (attribute('rel') ?? '').split(/\s+/).some((rel) => connectingLinks.has(rel))
  return false
}

function dropEscapes(node: ParentNode): void {
  node.childNodes = node.childNodes.filter((child) => !('attrs' in child && isEscape(child)))
  for (const child of node.childNodes) {
    if ('content' in child) dropEscapes(child.content)
    if ('childNodes' in child) dropEscapes(child)
  }
}
