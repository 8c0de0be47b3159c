// Pages in many forms: one garden with a place for every kind of effect, each time built and dressed in another manner.

/** What a form does to the garden. */
export interface Form {
  readonly that: string
  readonly css: string
  /** How classes are named. */
  readonly scheme?: (word: string) => string
  /** Attributes of the root element. */
  readonly root?: string
  /** The transform that a pot has of its own while the pointer is on it; otherwise it has the same as without. */
  readonly potOn?: string
  /** What the visitor has done before. */
  readonly then?: () => void
}

/** The places in the garden, by the word that their classes are made of. */
const words = [
  'yard',
  'motto',
  'bench',
  'pot',
  'sky',
  'near',
  'far',
  'field',
  'bird',
  'night',
  'lamps',
  'lamp',
  'dusk',
  'frame',
  'print',
  'line',
  'sides',
  'later',
  'first',
  'rider',
]

const layout = `
body { margin: 0; background: #f4f1e8; color: #26302a; font: 15px/1.4 sans-serif }
.yard { display: grid; grid-template-columns: repeat(4, 280px); gap: 24px; padding: 20px 40px }
.motto { grid-column: 1 / -1; margin: 0; width: 700px; font: 600 40px/1.2 serif }
.bench, .sky, .field, .night, .lamps, .dusk, .frame { height: 180px; margin: 0 }
.bench { display: grid; grid-template-columns: 1fr 1fr; gap: 12px }
.pot { background: #d9c7a4 } .pot p { margin: 8px }
.sky { position: relative; background: #bcd3de } .near, .far { position: absolute; left: 90px; top: 60px; width: 60px; height: 40px; background: #557 } .far { left: 160px; top: 30px; background: #99a }
.field { position: relative; background: #b9cfa2 } .bird { position: absolute; left: 120px; top: 80px; width: 30px; height: 20px; background: #843 }
.night { background: #c9c2b4 } .night p, .dusk p { margin: 16px }
.lamps { display: grid; grid-template-columns: 1fr 1fr; gap: 16px } .lamp { background: #33443c; color: #eee }
.dusk { background: #456; color: #fff }
.sides { position: relative; height: 180px } .first, .later { position: absolute; inset: 0; background: #cb8 } .later { background: #357; color: #fff } .rider { position: absolute; left: 40px; top: 70px; width: 24px; height: 24px; background: #922 }
.frame { position: relative; background: #8a7 } .print { position: absolute; inset: 20px; background: #a86 } .line { position: absolute; left: 30px; bottom: 26px; margin: 0; color: #fff }
`

const body = `<main class="yard"><h1 class="motto">Moths come to the jasmine</h1>
<section class="bench"><article class="pot"><p>Thyme, kept dry.</p></article><article class="pot"><p>Rue, kept apart.</p></article></section>
<section class="sky"><i class="far"></i><i class="near"></i></section>
<section class="field"><b class="bird"></b></section>
<section class="night"><p>Only the path is lit, and only where you go.</p></section>
<section class="lamps"><div class="lamp">North</div><div class="lamp">South</div></section>
<section class="dusk"><p>The wall keeps its warmth until nine.</p></section>
<section class="sides"><div class="later"><p>At night</p></div><div class="first"><p>By day</p></div><em class="rider"></em></section>
<figure class="frame"><div class="print"></div><figcaption class="line">After rain</figcaption></figure>
</main>`

/** Names of classes, each scheme another way to write the same word. */
const schemes = {
  double: (word: string) => `hollow__${word}`,
  prefix: (word: string) => `vh-${word}`,
  camel: (word: string) => `gardenPart${word.charAt(0).toUpperCase()}${word.slice(1)}`,
  short: (word: string) => `x${word.slice(0, 2)}${word.length}${word.slice(-1)}`,
}

export const forms: readonly Form[] = [
  { that: 'is plain', css: '' },
  { that: 'lets all of it take its time', css: '* { transition: all .5s !important }', scheme: schemes.double },
  { that: 'lifts pots by a rule that weighs more', css: '.bench .pot:hover { transform: translateY(-6px) }', potOn: 'translateY(-6px)' },
  { that: 'turns pots by what is important', css: '.pot:hover { transform: rotate(2deg) !important }', potOn: 'rotate(2deg)', scheme: schemes.prefix },
  { that: 'keeps its sheet in layers', css: '@layer first, second; @layer second { .pot:hover { transform: translateX(5px) } } @layer first { .pot { transform: translateX(90px) !important; transform: none } .lamp { transition: background 1s } }', potOn: 'translateX(90px)' },
  { that: 'writes rules in rules', css: '.yard { .bench { .pot { &:hover { transform: translateX(4px) } } } @media (min-width: 300px) { .lamp { border: 2px solid #555 } } }', potOn: 'translateX(4px)', scheme: schemes.camel },
  { that: 'turns and shrinks what they lie in', css: '.bench { transform: rotate(3deg) } .field { transform: scale(.9) } .lamps { rotate: -2deg } .night { transform: skewX(3deg) } .sky { transform: translate(4px, 6px) }' },
  { that: 'is zoomed', css: '.yard { zoom: .9 }', scheme: schemes.short },
  { that: 'clips and borders all', css: '.pot, .lamp, .night, .dusk, .sky, .field { overflow: hidden; border: 4px solid #543; border-radius: 14px }' },
  { that: 'stacks by numbers', css: '.bench, .lamps { display: flex; isolation: isolate } .pot, .lamp { flex: 1; z-index: 2 } .pot { position: relative } .night { position: relative; z-index: 0 }', scheme: schemes.double },
  { that: 'runs from right to left', css: '.pot { border-inline-start: 6px solid #654; padding-inline: 8px }', root: 'dir="rtl" lang="he"' },
  { that: 'filters what they lie in', css: '.yard { filter: saturate(.8) } .pot { mix-blend-mode: multiply } .lamp { opacity: .8 } .sky { backdrop-filter: blur(2px) }', scheme: schemes.prefix },
  { that: 'is a scene in depth', css: '.bench { perspective: 700px; perspective-origin: 30% 60% } .pot { transform: translateZ(-20px); transform-style: preserve-3d } .near { transform: rotate(8deg) }' },
  { that: 'scrolls in itself', css: '.yard { height: 420px; box-sizing: border-box; overflow: auto }', then: () => void (document.querySelector('main') as HTMLElement).scrollTo(0, 24) },
  { that: 'moves them by themselves', css: '.pot { translate: 6px 4px; rotate: 2deg; scale: 1.03 } .lamp { translate: 0 5% }', scheme: schemes.camel },
  { that: 'is full of what goes on by itself', css: '@keyframes breathe { to { background-color: #665 } } @keyframes round { to { rotate: 1turn } } .lamp { animation: breathe 2s infinite alternate } .pot::before { content: ""; position: absolute; width: 9px; height: 9px; background: #a33; animation: round 1s linear infinite }' },
  { that: 'styles whatever is in things', css: 'span { display: inline-block; padding: 3px; margin: 2px; opacity: .9; border-radius: 9px; transition: all .4s } .pot span, .lamp > *, .night span { position: relative; background: #f0f; filter: blur(1px) }', scheme: schemes.short },
  { that: 'sets everything back', css: '*, *::before, *::after { box-sizing: border-box; margin: 0; padding: 0; position: relative; min-width: 0 } .near, .far, .bird, .print, .line, .first, .later, .rider { position: absolute }' },
  { that: 'contains and waits to be seen', css: '.pot, .lamp { contain: layout style } .night, .dusk { content-visibility: auto } .field { will-change: transform }', scheme: schemes.double },
  { that: 'sticks and stands fixed', css: '.sky { position: fixed; left: 500px; top: 90px; width: 280px; z-index: 3 } .bench { position: sticky; top: 10px } .lamp { outline: 3px solid #999 }' },
  { that: 'is wide, bold and in rem', css: 'html { font-size: 62.5% } body { font-size: 1.6rem } .pot { padding: 1.2rem; border: .3rem solid } .lamp { border-style: solid; border-width: 1px 4px 7px 0 }', scheme: schemes.prefix },
  { that: 'changes with the width of boxes', css: '.bench { container-type: inline-size } @container (min-width: 100px) { .pot { transform: rotate(1deg) } } @supports (display: grid) { .lamp { transform: translateY(3px) } }', scheme: schemes.camel },
] // prettier-ignore

/** A class of the garden as a form names it. */
export const classIn = (form: Form, word: string): string => (form.scheme ?? ((plain: string) => plain))(word)

/** The page of a form. */
export function pageOf(form: Form): string {
  const named = words.filter((word) => classIn(form, word) !== word)
  const inCss = (css: string) =>
    named.reduce((text, word) => text.replace(new RegExp(`\\.${word}(?![\\w-])`, 'g'), `.${classIn(form, word)}`), css)
  const html = named.reduce((text, word) => text.replaceAll(`class="${word}"`, `class="${classIn(form, word)}"`), body)
  return `<!doctype html><html ${form.root ?? 'lang="en"'}><head><meta charset="utf-8"><title>A garden that ${form.that}</title><style>${inCss(layout)}${inCss(form.css)}</style></head><body>${html}</body></html>`
}
