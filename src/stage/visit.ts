// The page as another visitor has it: media features that say what a visitor has or prefers, and the medium, are resolved in the
// studio's copy of its sheets; and colours are forced about as a system forces them.
import type { Visitor } from './protocol'

/** What each visitor's browser says of these features. */
const answers: Readonly<Record<Visitor, Readonly<Record<string, string>>>> = {
  mouse: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'no-preference' },
  finger: { hover: 'none', 'any-hover': 'none', pointer: 'coarse', 'any-pointer': 'coarse', 'prefers-reduced-motion': 'no-preference' },
  keyboard: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'no-preference' },
  reduced: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'reduce' },
  print: { hover: 'none', 'any-hover': 'none', pointer: 'none', 'any-pointer': 'none', 'prefers-reduced-motion': 'no-preference' },
  forced: {
    hover: 'hover',
    'any-hover': 'hover',
    pointer: 'fine',
    'any-pointer': 'fine',
    'prefers-reduced-motion': 'no-preference',
    'forced-colors': 'active',
  },
}

const always = '(min-width: 0px)'
const never = '(max-width: -1px)'

/** A media query list as it counts on paper: what is for print counts, what is for screens does not. */
function onPaper(text: string): string {
  return text
    .split(',')
    .map((query) => {
      const [, negation = '', medium = ''] = /^\s*(not\s+|only\s+)?(screen|print|speech)\b/i.exec(query) ?? []
      if (medium === '') return query
      if (medium.toLowerCase() === 'print') return query.replace(medium, 'all')
      return /^not/i.test(negation) ? 'all' : 'not all'
    })
    .join(',')
}

/** A media query list with the features of a visitor resolved. */
export function resolveMedia(text: string, visitor: Visitor): string {
  return (visitor === 'print' ? onPaper(text) : text).replace(
    /\(\s*([a-z-]+)\s*(?::\s*([a-z-]+)\s*)?\)/gi,
    (feature, name: string, value?: string) => {
      const answer = answers[visitor][name.toLowerCase()]
      if (answer === undefined) return feature
      const isTrue = value === undefined ? answer !== 'none' && answer !== 'no-preference' : value.toLowerCase() === answer
      return isTrue ? always : never
    },
  )
}

/** Keeps sheets as a visitor has them: all of a page, or those that are given. */
export function makeVisit(page: Document): (visitor: Visitor, sheets?: Iterable<CSSStyleSheet>) => void {
  const originals = new WeakMap<MediaList, string>()
  const resolve = (list: MediaList, visitor: Visitor) => {
    const own = originals.get(list) ?? list.mediaText
    originals.set(list, own)
    const text = resolveMedia(own, visitor)
    if (text !== list.mediaText) list.mediaText = text
  }
  const walk = (rules: CSSRuleList, visitor: Visitor) => {
    for (const rule of rules) {
      if (rule instanceof CSSMediaRule) resolve(rule.media, visitor)
      if ('cssRules' in rule) walk(rule.cssRules as CSSRuleList, visitor)
    }
  }
  const force = makeForcing(page)
  let visitor: Visitor = 'mouse'
  // Scripts of effects ask for the same features, and keep what they are told where it is as it is now.
  const view = page.defaultView
  if (view) {
    const ask = view.matchMedia.bind(view)
    view.matchMedia = (query) =>
      Object.create(ask(query), { matches: { get: () => ask(resolveMedia(query, visitor)).matches } }) as MediaQueryList
  }
  return (next, sheets = page.styleSheets) => {
    visitor = next
    force(visitor === 'forced')
    for (const sheet of sheets) {
      if (sheet.media.length > 0) resolve(sheet.media, visitor)
      walk(sheet.cssRules, visitor)
    }
  }
}

const keepsColours = 'data-keeps-colours'

/** System colours in place of the page's own (CSS Color Adjustment Level 1, section 3.1), in a dark scheme, as many have it. */
const forcing = `
  :root { color-scheme: dark !important; background: Canvas !important; }
  :not([${keepsColours}], svg *):where(*), :not([${keepsColours}])::before, :not([${keepsColours}])::after {
    color: CanvasText !important; background-color: Canvas !important; border-color: CanvasText !important; outline-color: CanvasText !important;
    text-decoration-color: currentcolor !important; box-shadow: none !important; text-shadow: none !important; accent-color: auto !important;
  }
  a:not([${keepsColours}]), a:not([${keepsColours}]) *:not([${keepsColours}]) { color: LinkText !important; }
  button:not([${keepsColours}]), input:not([${keepsColours}]), select:not([${keepsColours}]) { color: ButtonText !important; background-color: ButtonFace !important; border-color: ButtonBorder !important; }
`

/** Forces colours, or lets them be as they are; what asks to keep its own keeps them. */
function makeForcing(page: Document): (isForced: boolean) => void {
  let sheet: CSSStyleSheet | undefined
  return (isForced) => {
    if (!isForced) {
      page.adoptedStyleSheets = page.adoptedStyleSheets.filter((each) => each !== sheet)
      return
    }
    if (!sheet) {
      sheet = new CSSStyleSheet()
      sheet.replaceSync(forcing)
    }
    for (const element of page.querySelectorAll('body *'))
      element.toggleAttribute(
        keepsColours,
        /none|preserve-parent-color/.test(getComputedStyle(element).getPropertyValue('forced-color-adjust')),
      )
    if (!page.adoptedStyleSheets.includes(sheet)) page.adoptedStyleSheets = [...page.adoptedStyleSheets, sheet]
  }
}
