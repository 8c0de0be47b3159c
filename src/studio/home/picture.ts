// Still pictures of pages: drawn once in this browser from the page as it is without script, kept, and drawn anew when the site has changed.

const store = 'glass-moth-pictures'

/** How large a page is drawn, px: as it is shown at home on a screen of 1.5 px for one of CSS. */
const drawnWidth = 860

export interface Pictured {
  readonly siteId: string
  readonly pageId: string
  /** The site's revision, by which a picture is known to be of now. */
  readonly revision: number
  /** The window in which the page is seen, CSS px. */
  readonly window: { readonly width: number; readonly height: number }
}

const placeOf = ({ siteId, pageId }: Pictured) => `/pictures/${siteId}/${pageId}`
const keyOf = (of: Pictured) => `${placeOf(of)}?of=${of.revision}`

/** Pictures are made one after another, so that a hundred of them ask no more of the machine than one. */
let turn: Promise<unknown> = Promise.resolve()

/** The picture of a page: a kept one, or one that is made now, in its turn. Undefined where this browser cannot make it. */
export async function pictureOf(of: Pictured): Promise<Blob | undefined> {
  const kept = await openStore()
  const found = await kept?.match(keyOf(of))
  if (found) return found.blob()
  const made = turn.then(() => drawPage(of)).catch(() => undefined)
  turn = made
  const picture = await made
  if (picture && kept) await keepOnly(kept, of, picture).catch(() => undefined)
  return picture
}

async function openStore(): Promise<Cache | undefined> {
  try {
    return await caches.open(store)
  } catch {
    // Without a place to keep them they are made for this visit.
    return undefined
  }
}

/** Keeps a picture in the place of those of earlier revisions. */
async function keepOnly(kept: Cache, of: Pictured, picture: Blob): Promise<void> {
  const own = new URL(placeOf(of), location.href).pathname
  for (const request of await kept.keys()) if (new URL(request.url).pathname === own) await kept.delete(request)
  await kept.put(keyOf(of), new Response(picture, { headers: { 'content-type': picture.type } }))
}

async function drawPage({ siteId, pageId, window: { width, height } }: Pictured): Promise<Blob> {
  const response = await fetch(`/frame/${siteId}/${pageId}?visit=noscript`)
  if (!response.ok) throw new Error('The page cannot be had.')
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(asDrawing(await response.text(), width, height))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = drawnWidth
  canvas.height = Math.round((drawnWidth * height) / width)
  const context = canvas.getContext('2d')
  if (!context) throw new Error('This browser draws nothing.')
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture cannot be kept.'))), 'image/webp', 0.86),
  )
}

/** A page as an SVG drawing of its first window. In it the page's root is not the drawing's, so what is said of `:root` is said of `html`; and what comes by an animation has come. */
export function asDrawing(html: string, width: number, height: number): string {
  const page = new DOMParser().parseFromString(html, 'text/html')
  for (const each of page.querySelectorAll('script, iframe, object, embed, video, audio, base, meta, link')) each.remove()
  for (const style of page.querySelectorAll('style')) style.textContent = style.textContent.replace(/:root(?![\w-])/g, 'html')
  const fitted = page.createElement('style')
  fitted.textContent = `html { height: ${height}px; overflow: hidden } body { min-height: ${height}px; box-sizing: border-box } *, ::before, ::after { animation-delay: -1000s !important; animation-play-state: paused !important }`
  page.head.prepend(fitted)
  const text = new XMLSerializer().serializeToString(page.documentElement).replace(/[\0-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]/g, '')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%">${text}</foreignObject></svg>`
}
