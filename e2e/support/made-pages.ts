// Three pages as they come from quite different hands: written by hand, put together by a builder, dressed in utility
// classes. All of it is made up.
import { strToU8, zipSync } from 'fflate'

export interface MadePage {
  readonly html: string
  readonly sheets: Readonly<Record<string, string>>
  /** The pictures' bytes, by path. */
  readonly pictures: Readonly<Record<string, string>>
}

const words =
  'amber basin cedar drift ember fallow garnet hollow island juniper kestrel lantern meadow nettle orchard pebble quarry reed saffron thicket umber valley willow yarrow zephyr'.split(
    ' ',
  )
const word = (n: number) => words[n % words.length] ?? ''
const said = [
  'The path begins behind the mill and follows the water for an hour.',
  'Bring a lamp, since the lower gate is shut at nine.',
  'In June the hedges are white, and the lane smells of elder.',
  'Nobody knows who planted the pear trees along the wall.',
  'The ferry goes when the bell has rung twice.',
  'After rain the stones are slow to dry.',
  'A bench stands where the two streams meet.',
  'Owls have nested in the barn for thirty years.',
  'The keeper sells honey on Saturdays, as long as there is any.',
  'From the ridge one sees the sea on clear mornings.',
  'Every boat here was built within sight of this pier.',
  'The old orchard is open to all who shut the gate behind them.',
]
/** About so many words of plain sentences. */
const sentence = (n: number, length = 14) => {
  const picked: string[] = []
  for (let i = 0; picked.join(' ').split(' ').length < length; i++) picked.push(said[(n * 5 + i) % said.length] ?? '')
  return picked.join(' ')
}
const many = (count: number, write: (n: number) => string) => Array.from({ length: count }, (_, i) => write(i)).join('\n')
const picture = (n: number, width = 320, height = 200) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="hsl(${n * 37} 30% 70%)"/><circle cx="${width / 2}" cy="${height / 2}" r="${height / 3}" fill="hsl(${n * 37 + 40} 35% 50%)"/></svg>`

/** A page as somebody writes it who likes to: plain elements, a class where one is needed, rules sorted by hand. */
export function handWritten(): MadePage {
  const html = `<!DOCTYPE html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <title>Harrow &amp; Reed, boats by hand</title>
  <link rel="stylesheet" href="css/base.css">
  <link rel="stylesheet" href="css/boats.css">
</head>
<body>
  <header class="masthead">
    <h1>Harrow &amp; Reed</h1>
    <nav><ul>${many(6, (n) => `<li><a href="#${word(n)}">${word(n)}</a></li>`)}</ul></nav>
  </header>
  <main>
    <section class="boats">
      <h2>Boats of this year</h2>
${many(
  24,
  (n) => `      <article class="boat">
        <a class="boat-picture" href="#boat-${n}"><img src="pictures/${n % 4}.svg" alt="The ${word(n)}"></a>
        <h3>The ${word(n)}</h3>
        <p>${sentence(n)}</p>
        <dl><dt>Length</dt><dd>${5 + (n % 9)} m</dd><dt>Wood</dt><dd>${word(n + 5)}</dd></dl>
      </article>`,
)}
    </section>
    <aside class="letters"><h2>Letters</h2>
${many(12, (n) => `      <blockquote><p>${sentence(n + 30, 22)}</p><cite>${word(n)} ${word(n + 9)}</cite></blockquote>`)}
    </aside>
  </main>
  <footer><p>${sentence(99)}</p></footer>
</body>
</html>
`
  const base = `/* Plain things first. */\n* { box-sizing: border-box }\nbody { margin: 0; font: 17px/1.5 serif; color: #2b2a27; background: #f7f5ef }\nmain { max-width: 1180px; margin: 0 auto }\nh2 { font-weight: 400 }\n${many(210, (n) => `.note-${word(n)}-${n} { color: hsl(${n * 3} 20% 40%); margin: ${n % 7}px ${n % 5}px; padding: ${n % 3}em }`)}\n`
  const boats = `@import "print.css" print;\n.masthead { display: flex; justify-content: space-between; padding: 20px 40px; background: url("../pictures/0.svg") right/120px no-repeat }\n.masthead ul { display: flex; gap: 18px; list-style: none }\n.boats { display: grid; grid-template-columns: repeat(4, 1fr); gap: 24px }\n.boats h2 { grid-column: 1 / -1; margin: 24px 0 0 }\n.boat { background: #fff; padding: 14px; border: 1px solid #ddd6c6 }\n.boat img { display: block; width: 100% }\n.boat:hover h3 { text-decoration: underline }\n${many(190, (n) => `.boat-${n} dt { width: ${n}px; letter-spacing: ${n % 4}px; border-bottom: ${n % 3}px solid #${String(100 + n)} }`)}\n`
  return {
    html,
    sheets: { 'css/base.css': base, 'css/boats.css': boats, 'css/print.css': 'aside { display: none }' },
    pictures: Object.fromEntries([0, 1, 2, 3].map((n) => [`pictures/${n}.svg`, picture(n)])),
  }
}

/** A page as a builder puts it together: wrappers in wrappers, names that change with every build, styles inline. */
export function builderMade(): MadePage {
  const name = (n: number) => `q${(n * 7919 + 104729).toString(36)}`
  const wrap = (n: number, inner: string) =>
    `<div class="tier ${name(n)} tier-row"><div class="tier-in"><div class="bay ${name(n + 1)}"><div class="bay-in">${inner}</div></div></div></div>`
  const card = (n: number) =>
    `<div class="item ${name(n * 3)} item-card" data-id="${name(n)}" data-tone="hsl(${n * 45} 60% 60%)"><div class="item-in"><div class="shot ${name(n + 500)}"><figure><img src="${n % 4}.svg" alt=""></figure></div><div class="words"><div class="title"><h3><span>${word(n)} ${word(n + 3)}</span></h3></div><div class="prose"><p>${sentence(n)}</p></div></div></div></div>`
  const html = `<!doctype html><html><head><meta charset="utf-8"><title>Studio Nettle</title><link rel='stylesheet' href='frame.css'><link rel='stylesheet' href='page-118.css'><script>window.boot = 1</script></head><body class="page page-118 ${name(1)}">
${wrap(10, `<div class="title hidden-until"><h1>We make quiet places</h1></div>`)}
${many(3, (row) => wrap(row * 20 + 30, `<div class="cards">${many(8, (n) => card(row * 8 + n))}</div>`))}
${wrap(900, `<div class="prose">${many(10, (n) => `<p>${sentence(n + 60, 18)}</p>`)}</div>`)}
<script src="https://example.org/boot.js"></script></body></html>`
  const frame = `.tier-in{max-width:1200px;margin:0 auto;padding:20px}.cards{display:grid;grid-template-columns:repeat(4,1fr);gap:20px}.item-card{background:#fff;border-radius:8px;overflow:hidden;box-shadow:0 2px 8px #0002}.shot img{display:block;width:100%}.hidden-until{opacity:0}body{margin:0;background:#ecebe8;font:16px sans-serif}${many(240, (n) => `.${name(n)}{padding:${n % 9}px;margin-top:${n % 4}px}`)}`
  const pageSheet = many(
    300,
    (n) => `.page-118 .${name(n + 40)} .bay-in{border-top:${n % 2}px solid #${String(200 + n)};letter-spacing:${n % 3}px}`,
  )
  return {
    html,
    sheets: { 'frame.css': frame, 'page-118.css': pageSheet },
    pictures: Object.fromEntries([0, 1, 2, 3].map((n) => [`${n}.svg`, picture(n + 4)])),
  }
}

/** A page dressed in utility classes, which say how everything looks and nothing of what it is. */
export function utilityDressed(): MadePage {
  const card = (n: number) =>
    `<li class="stack-3 inset-4 round-8 ground-1 cast wide:half"><div class="held round-6"><div class="full tall-32 ground-3"></div></div><div class="line apart"><h3 class="letters-18 weight-7">${word(n)}</h3><span class="letters-14 faint-5">${n + 3} km</span></div><p class="letters-14 leading-24">${sentence(n)}</p><a href="#${n}" class="line-in inset-x-3 inset-y-2 letters-14"><svg viewBox="0 0 9 9" width="9" height="9"><path d="M0 0l9 4.5L0 9z"/></svg><span>Go there</span></a></li>`
  const html = `<!doctype html>
<html lang="en"><head><title>Paths of the hollow</title>
<style>body { font-family: sans-serif; color: #26313d } a { color: inherit }</style></head>
<body class="bare-0 ground-2">
<header class="line apart inset-x-6 inset-y-4"><strong class="letters-18">Paths</strong><nav class="line space-4">${many(5, (n) => `<a href="#n${n}" class="letters-14">${word(n)}</a>`)}</nav></header>
<main class="inset-x-6 inset-y-4"><h1 class="letters-18 weight-7">Walks for a day</h1>
<ul class="tracks-4 space-4 bare-0">
${many(28, card)}
</ul></main>
<footer class="inset-x-6 inset-y-4 letters-14">${sentence(3)}</footer>
</body></html>`
  const css = `.line{display:flex;align-items:center}.apart{justify-content:space-between}.stack-3{display:flex;flex-direction:column;gap:12px}.tracks-4{display:grid;grid-template-columns:repeat(4,1fr)}.space-4{gap:16px}.bare-0{margin:0;padding:0}.inset-4{padding:16px}.inset-x-6{padding-inline:24px}.inset-y-4{padding-block:16px}.round-8{border-radius:8px}.ground-1{background:#fff}.ground-2{background:#eef1f4}.ground-3{background:#cbd3dc}.tall-32{height:128px}.full{width:100%}.letters-14{font-size:14px}.letters-18{font-size:18px}.weight-7{font-weight:700}\n@media (min-width:40px){.wide\\:half{min-width:50%}}\nli{list-style:none}\n${many(420, (n) => `.above-${n}{margin-top:${n * 4}px}.before-${n}{padding-left:${n * 2}px}`)}`
  return { html, sheets: { 'pasted.css': css }, pictures: {} }
}

/** The bytes of a made page with all that belongs to it, by path. */
export function filesOf({ html, sheets, pictures }: MadePage): Readonly<Record<string, string>> {
  return { 'index.html': html, ...sheets, ...pictures }
}

/** A made page as a ZIP, in a folder of its own, as systems pack it. */
export function zipOf(page: MadePage, folder = 'site'): Buffer {
  return Buffer.from(zipSync(Object.fromEntries(Object.entries(filesOf(page)).map(([path, text]) => [`${folder}/${path}`, strToU8(text)]))))
}
