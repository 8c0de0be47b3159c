// Run by a designer in the console of their own browser, on a page of theirs: saves the page as it is rendered, with its
// styles and pictures inside, as one HTML file. Nothing is sent anywhere.

/** The page as it stands, as one HTML text. */
export async function savedPage(page: Document): Promise<string> {
  const copy = page.documentElement.cloneNode(true) as HTMLElement
  const originals = [page.documentElement, ...page.documentElement.querySelectorAll('*')]
  const copies = [copy, ...copy.querySelectorAll('*')]
  await Promise.all(originals.map((element, i) => settle(element, copies[i] ?? copy)))
  for (const element of copy.querySelectorAll(
    'script, noscript, link[rel~="stylesheet"], link[rel~="preload"], link[rel~="modulepreload"], link[rel~="prefetch"], base',
  ))
    element.remove()
  for (const element of [copy, ...copy.querySelectorAll('*')])
    for (const { name } of [...element.attributes]) if (/^on/i.test(name)) element.removeAttribute(name)
  const head = copy.querySelector('head') ?? copy
  for (const text of await sheetTexts(page)) {
    const style = page.createElement('style')
    style.textContent = text
    head.append(style)
  }
  for (const own of copy.querySelectorAll('[data-saved-twice]')) own.remove()
  return `<!doctype html>\n${copy.outerHTML}\n`
}

/** Puts into a copy what its original shows: its picture, what was typed, what was drawn. */
async function settle(element: Element, copy: Element): Promise<void> {
  if (element instanceof HTMLImageElement) {
    const address = element.currentSrc || element.src
    const inside = address ? await asData(address) : undefined
    if (inside) copy.setAttribute('src', inside)
    else if (address) copy.setAttribute('src', address)
    copy.removeAttribute('srcset')
    copy.removeAttribute('sizes')
    copy.removeAttribute('loading')
  } else if (element instanceof HTMLSourceElement && element.parentElement instanceof HTMLPictureElement) {
    copy.removeAttribute('srcset')
  } else if (element instanceof HTMLCanvasElement) {
    const picture = copy.ownerDocument.createElement('img')
    for (const { name, value } of element.attributes) picture.setAttribute(name, value)
    try {
      picture.src = element.toDataURL()
      copy.replaceWith(picture)
    } catch {
      // A canvas with pictures from elsewhere keeps them to itself.
    }
  } else if (element instanceof HTMLInputElement) {
    copy.setAttribute('value', element.value)
  } else if (element instanceof HTMLStyleElement) {
    // Its rules are saved with those of all sheets.
    copy.setAttribute('data-saved-twice', '')
  }
  const style = element.getAttribute('style')
  if (style?.includes('url(')) copy.setAttribute('style', await withPictures(style, element.baseURI))
}

/** The rules of all sheets as they are now, those that a script put there included. */
async function sheetTexts(page: Document): Promise<readonly string[]> {
  const sheets = [...page.styleSheets, ...page.adoptedStyleSheets]
  return Promise.all(
    sheets.map(async (sheet) => {
      const base = sheet.href ?? page.baseURI
      const media = sheet.media.mediaText
      let text: string
      try {
        text = [...sheet.cssRules].map((rule) => rule.cssText).join('\n')
      } catch {
        // A sheet from elsewhere tells its rules to nobody, but may be fetched.
        text = sheet.href
          ? await fetch(sheet.href)
              .then((response) => response.text())
              .catch(() => `@import url("${sheet.href ?? ''}");`)
          : ''
      }
      const inside = await withPictures(text, base)
      return media && media !== 'all' ? `@media ${media} {\n${inside}\n}` : inside
    }),
  )
}

/** CSS with the files that it names inside. */
async function withPictures(css: string, base: string): Promise<string> {
  const addresses = [...new Set([...css.matchAll(/url\(\s*(["']?)([^"')]+)\1\s*\)/g)].map(([, , address = '']) => address))].filter(
    (address) => !/^(data:|#)/.test(address),
  )
  const inside = new Map(await Promise.all(addresses.map(async (address) => [address, await asData(new URL(address, base).href)] as const)))
  return css.replace(/url\(\s*(["']?)([^"')]+)\1\s*\)/g, (whole, _, address: string) =>
    inside.get(address) ? `url("${inside.get(address) ?? ''}")` : whole,
  )
}

/** A file as a `data:` address; undefined where the browser may not read it. */
async function asData(address: string): Promise<string | undefined> {
  if (address.startsWith('data:')) return address
  try {
    const response = await fetch(address)
    if (!response.ok) return undefined
    const blob = await response.blob()
    return await new Promise((resolve) => {
      const reader = new FileReader()
      reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : undefined)
      reader.onerror = () => resolve(undefined)
      reader.readAsDataURL(blob)
    })
  } catch {
    return undefined
  }
}

/** Saves the page as a file of the visitor's own. */
async function save(): Promise<void> {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([await savedPage(document)], { type: 'text/html' }))
  link.download = `${
    document.title
      .replace(/[^\w -]+/g, '')
      .trim()
      .slice(0, 60) || 'page'
  }.html`
  link.click()
  URL.revokeObjectURL(link.href)
}

void save()
