// Starters: plain pieces of markup with their CSS, to begin from. They look like nothing in particular, on purpose.

export interface Starter {
  readonly id: string
  readonly title: string
  readonly need: string
  readonly html: string
  readonly css: string
}

/** By this name a site begins with a blank page instead of a starter; and what that page is called. */
export const blankStarter = 'blank'
export const blankTitle = 'Blank page'

const repeated = (count: number, write: (n: number) => string) => Array.from({ length: count }, (_, i) => write(i + 1)).join('\n')
/** A plain picture of its own: a two-toned drawing, so that nothing has to be fetched. */
const picture = (hue: number, width: number, height: number, className = '') =>
  `<img${className ? ` class="${className}"` : ''} alt="" width="${width}" height="${height}" src="data:image/svg+xml,${encodeURIComponent(`<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 ${width} ${height}'><rect width='${width}' height='${height}' fill='hsl(${hue} 24% 72%)'/><circle cx='${width * 0.68}' cy='${height * 0.4}' r='${Math.min(width, height) * 0.3}' fill='hsl(${hue + 30} 30% 58%)'/><path d='M0 ${height} L${width * 0.4} ${height * 0.45} L${width * 0.85} ${height}Z' fill='hsl(${hue} 26% 42%)'/></svg>`)}">`

export const starters: readonly Starter[] = [
  {
    id: 'card',
    title: 'Card',
    need: 'One card with a heading and a line of text.',
    html: '<article class="card">\n  <h3>A card</h3>\n  <p>A line or two about it.</p>\n</article>\n',
    css: '.card { box-sizing: border-box; max-width: 340px; margin: 24px auto; padding: 28px; border-radius: 14px; background: #f4f3ef; color: #22252a; }\n.card h3 { margin: 0 0 8px; font-size: 22px; }\n.card p { margin: 0; line-height: 1.5; }\n',
  },
  {
    id: 'card-grid',
    title: 'Card grid',
    need: 'Six cards in rows of three.',
    html: `<div class="card-grid">\n${repeated(6, (n) => `  <article class="grid-card">\n    <h3>Card ${n}</h3>\n    <p>A line or two about it.</p>\n  </article>`)}\n</div>\n`,
    css: '.card-grid { display: grid; grid-template-columns: repeat(3, 1fr); gap: 22px; max-width: 1080px; margin: 32px auto; }\n.grid-card { padding: 28px; border-radius: 14px; background: #f4f3ef; color: #22252a; }\n.grid-card h3 { margin: 0 0 8px; font-size: 20px; }\n.grid-card p { margin: 0; line-height: 1.5; }\n@media (max-width: 720px) { .card-grid { grid-template-columns: 1fr; } }\n',
  },
  {
    id: 'picture-grid',
    title: 'Picture grid',
    need: 'Six pictures with a title each.',
    html: `<div class="picture-grid">\n${repeated(6, (n) => `  <figure class="picture-card">\n    ${picture(n * 55, 360, 270)}\n    <figcaption>Picture ${n}</figcaption>\n  </figure>`)}\n</div>\n`,
    css: '.picture-grid { display: grid; grid-template-columns: repeat(3, 1fr); gap: 18px; max-width: 1080px; margin: 32px auto; }\n.picture-card { position: relative; margin: 0; overflow: clip; border-radius: 10px; }\n.picture-card img { display: block; width: 100%; height: auto; }\n.picture-card figcaption { position: absolute; left: 16px; bottom: 12px; font-weight: 600; color: #fff; }\n',
  },
  {
    id: 'picture-link',
    title: 'Picture that is a link',
    need: 'A large picture that leads to its story.',
    html: `<a class="picture-link" href="#story" aria-label="Read the story">\n  ${picture(150, 960, 540)}\n</a>\n`,
    css: '.picture-link { display: block; overflow: clip; max-width: 960px; margin: 32px auto; border-radius: 10px; }\n.picture-link img { display: block; width: 100%; height: auto; }\n',
  },
  {
    id: 'layers',
    title: 'Two stacked layers',
    need: 'A front and a back in one place.',
    html: '<div class="layers">\n  <div class="layer-back"><h2>What lies behind</h2></div>\n  <div class="layer-front"><h2>What is seen first</h2></div>\n</div>\n',
    css: '.layers { display: grid; max-width: 1080px; height: 420px; margin: 32px auto; }\n.layers > * { grid-area: 1 / 1; display: grid; place-items: center; }\n.layer-back { background: #2d3a42; color: #f4f3ef; }\n.layer-front { background: #e6dfd2; color: #22252a; }\n',
  },
  {
    id: 'headlines',
    title: 'Card of two headlines',
    need: 'One headline over another, with a marker and an ornament for each.',
    html: '<section class="headlines">\n  <div class="headline headline-after"><h2>Then it opens</h2></div>\n  <div class="headline headline-before"><h2>First it waits</h2></div>\n  <span class="ornament ornament-before" aria-hidden="true"></span>\n  <span class="ornament ornament-after" aria-hidden="true"></span>\n  <span class="marker" aria-hidden="true"></span>\n</section>\n',
    css: '.headlines { position: relative; display: grid; max-width: 1080px; height: 380px; margin: 32px auto; overflow: clip; border-radius: 16px; background: #20323a; }\n.headline { grid-area: 1 / 1; display: grid; place-items: center; color: #f4efe2; }\n.headline h2 { margin: 0; font-size: 60px; letter-spacing: -0.02em; }\n.headline-after { color: #e9b872; }\n.ornament { position: absolute; bottom: 48px; width: 38%; height: 6px; border-radius: 3px; background: #f4efe2; }\n.ornament-before { left: 10%; }\n.ornament-after { right: 10%; background: #e9b872; }\n.marker { position: absolute; left: calc(50% - 13px); top: calc(50% - 13px); width: 26px; height: 26px; border-radius: 13px; background: #d2643f; }\n',
  },
  {
    id: 'halves',
    title: 'Hero in halves',
    need: 'Two halves that meet in the middle of the window.',
    html: '<section class="halves">\n  <div class="half half-left"><h1>Day side</h1></div>\n  <div class="half half-right"><h1>Night side</h1></div>\n</section>\n',
    css: '.halves { display: grid; height: 100vh; overflow: clip; }\n.half { grid-area: 1 / 1; display: grid; place-items: center; font-size: 26px; }\n.half-left { background: #e9e4d8; color: #22252a; clip-path: inset(0 50% 0 0); }\n.half-right { background: #23303a; color: #f4f3ef; clip-path: inset(0 0 0 50%); }\n',
  },
  {
    id: 'hero',
    title: 'Whole window',
    need: 'A heading and a line in a section as large as the window.',
    html: '<section class="hero">\n  <h1>A first sentence</h1>\n  <p>And a second one beneath it.</p>\n</section>\n',
    css: '.hero { display: grid; box-sizing: border-box; place-content: center; gap: 14px; min-height: 100vh; padding: 40px; background: #3a4046; color: #f4f3ef; text-align: center; }\n.hero h1 { margin: 0; font-size: 72px; line-height: 1.05; letter-spacing: -0.02em; }\n.hero p { margin: 0; font-size: 20px; }\n',
  },
  {
    id: 'dark-cards',
    title: 'Dark cards',
    need: 'Nine dark cards in rows of three.',
    html: `<div class="dark-cards">\n${repeated(9, (n) => `  <article class="dark-card">\n    <h3>Card ${n}</h3>\n    <p>A line about it.</p>\n  </article>`)}\n</div>\n`,
    css: 'body { background: #15181b; }\n.dark-cards { display: grid; grid-template-columns: repeat(3, 1fr); gap: 16px; max-width: 1080px; margin: 32px auto; }\n.dark-card { padding: 28px; border: 1px solid #2c3238; border-radius: 14px; background: #1b2024; color: #e6e4dd; }\n.dark-card h3 { margin: 0 0 8px; font-size: 20px; }\n.dark-card p { margin: 0; line-height: 1.5; color: #a9afb2; }\n@media (max-width: 720px) { .dark-cards { grid-template-columns: 1fr; } }\n',
  },
  {
    id: 'heading',
    title: 'Large heading',
    need: 'A heading as wide as the page.',
    html: '<h1 class="large-heading">Words as wide as the page</h1>\n',
    css: '.large-heading { margin: 64px 24px; font-size: clamp(40px, 9vw, 150px); line-height: 1; letter-spacing: -0.03em; text-align: center; }\n',
  },
  {
    id: 'rows',
    title: 'List of rows',
    need: 'Ten rows that are links, with two faces and a picture each.',
    html: `<nav class="row-list">\n${repeated(10, (n) => `  <a class="row" href="#row-${n}">\n    <span class="row-face row-off"><b>Row ${n}</b><span>20${String(10 + n)}</span></span>\n    <span class="row-face row-on"><b>More about row ${n}</b><span>Open</span></span>\n    ${picture(n * 33, 240, 160, 'row-picture')}\n  </a>`)}\n</nav>\n`,
    css: '.row-list { max-width: 980px; margin: 32px auto; }\n.row { display: block; border-top: 1px solid #c9c6bd; color: #22252a; text-decoration: none; font-size: 20px; }\n.row-face { display: flex; justify-content: space-between; padding: 16px 8px; }\n.row-on { background: #23303a; color: #f4f3ef; }\n.row-picture { display: none; }\n',
  },
  {
    id: 'stations',
    title: 'Four stations',
    need: 'Four pictures side by side, and a text for each.',
    html: `<div class="stations">\n${repeated(4, (n) => `  <figure class="station station-${n}">\n    ${picture(n * 70, 240, 320)}\n    <figcaption>Station ${n}</figcaption>\n  </figure>`)}\n</div>\n<div class="station-texts">\n${repeated(4, (n) => `  <p class="station-text station-text-${n}">What there is to know of station ${n}.</p>`)}\n</div>\n`,
    css: '.stations { display: grid; grid-template-columns: repeat(4, 1fr); gap: 20px; max-width: 1080px; margin: 32px auto 20px; }\n.station { margin: 0; }\n.station img { display: block; width: 100%; height: auto; border-radius: 10px; }\n.station figcaption { padding: 8px 2px; }\n.station-texts { display: grid; max-width: 1080px; margin: 0 auto 32px; font-size: 22px; }\n.station-text { grid-area: 1 / 1; margin: 0; }\n',
  },
  {
    id: 'panels',
    title: 'Row of panels',
    need: 'Six panels side by side, with room for a film in each.',
    html: `<div class="panels">\n${repeated(6, (n) => `  <section class="panel panel-${n}">\n    <h3>Panel ${n}</h3>\n    <div class="panel-content"><video class="panel-film" muted loop playsinline></video><p>What is seen once it has room.</p></div>\n  </section>`)}\n</div>\n`,
    css: `.panels { display: flex; gap: 8px; height: 420px; max-width: 1180px; margin: 32px auto; }\n.panel { flex: 1; min-width: 0; overflow: clip; padding: 22px; border-radius: 12px; color: #22252a; }\n.panel-film { display: block; width: 100%; aspect-ratio: 16 / 9; background: rgb(34 37 42 / 0.12); }\n${repeated(6, (n) => `.panel-${n} { background: hsl(${n * 50} 24% 82%); }`)}\n`,
  },
  {
    id: 'faces',
    title: 'Two-faced cards',
    need: 'Three cards with a front, and a back with a button.',
    html: `<div class="faces">\n${repeated(3, (n) => `  <article class="two-faced">\n    <div class="face face-front"><h3>Front ${n}</h3><p>What is seen first.</p></div>\n    <div class="face face-back"><h3>Back ${n}</h3><p>More about it.</p><button type="button">Take it</button></div>\n  </article>`)}\n</div>\n`,
    css: '.faces { display: flex; flex-wrap: wrap; gap: 24px; max-width: 1080px; margin: 32px auto; }\n.two-faced { display: grid; flex: 1 1 240px; min-height: 320px; }\n.face { grid-area: 1 / 1; padding: 28px; border-radius: 14px; }\n.face-front { background: #f4f3ef; color: #22252a; }\n.face-back { background: #2d3a42; color: #f4f3ef; visibility: hidden; }\n.face-back button { padding: 10px 16px; font: inherit; }\n',
  },
  {
    id: 'note',
    title: 'Button with note',
    need: 'A button and what is to be known about it.',
    html: '<div class="with-note">\n  <button class="note-anchor" type="button">Opening hours</button>\n  <div class="note">\n    <p>Every day from ten to six, in winter to four.</p>\n  </div>\n</div>\n',
    css: '.with-note { position: relative; width: max-content; margin: 120px auto 32px; }\n.note-anchor { padding: 12px 20px; border: 1px solid #6b7168; border-radius: 8px; background: #f4f3ef; color: #22252a; font: inherit; }\n.note { position: absolute; bottom: calc(100% + 10px); left: 50%; width: 220px; padding: 14px 16px; border-radius: 10px; background: #23303a; color: #f4f3ef; translate: -50% 0; }\n.note p { margin: 0; }\n',
  },
  {
    id: 'tall-pictures',
    title: 'Tall pictures',
    need: 'Three pictures taller than their frames.',
    html: `<div class="tall-row">\n${[900, 1300, 1700].map((height, i) => `  <div class="tall-frame">\n    ${picture(i * 80 + 20, 400, height)}\n  </div>`).join('\n')}\n</div>\n`,
    css: '.tall-row { display: grid; grid-template-columns: repeat(3, 1fr); gap: 20px; max-width: 1080px; margin: 32px auto; }\n.tall-frame { height: 420px; overflow: clip; border-radius: 10px; }\n.tall-frame img { display: block; width: 100%; height: auto; }\n',
  },
  {
    id: 'dark',
    title: 'Dark section',
    need: 'A dark ground with a few words on it.',
    html: '<section class="dark-section">\n  <h2>After hours</h2>\n  <p>A few words that can be read in the dark.</p>\n</section>\n',
    css: '.dark-section { display: grid; place-content: center; gap: 12px; min-height: 560px; padding: 40px; background: #14181c; color: #eceae4; text-align: center; }\n.dark-section h2 { margin: 0; font-size: 54px; }\n.dark-section p { margin: 0; font-size: 18px; }\n',
  },
  {
    id: 'text',
    title: 'Text',
    need: 'A heading and two paragraphs.',
    html: '<section class="text-block">\n  <h2>A heading</h2>\n  <p>A paragraph that says what the section is about, in a sentence or two that are long enough to wrap.</p>\n  <p>Another one beneath it, a little shorter.</p>\n</section>\n',
    css: '.text-block { max-width: 62ch; margin: 40px auto; line-height: 1.6; }\n.text-block h2 { margin: 0 0 12px; font-size: 32px; }\n',
  },
  {
    id: 'scene',
    title: 'Scene of three layers',
    need: 'Something far, something near, and words between them.',
    html: '<section class="scene">\n  <div class="scene-far"></div>\n  <h2>Words between them</h2>\n  <div class="scene-near"></div>\n</section>\n',
    css: '.scene { position: relative; display: grid; place-items: center; max-width: 1080px; height: 440px; margin: 32px auto; overflow: clip; border-radius: 12px; background: #dfe4e1; color: #22252a; }\n.scene h2 { position: relative; margin: 0; font-size: 52px; }\n.scene-far, .scene-near { position: absolute; border-radius: 50%; }\n.scene-far { left: 58%; top: 14%; width: 220px; height: 220px; background: #c3cbc6; }\n.scene-near { left: 8%; bottom: -60px; width: 300px; height: 300px; background: #8f9a94; }\n',
  },
  {
    id: 'before-after',
    title: 'Before and after',
    need: 'Two pictures of one thing, one over the other.',
    html: `<div class="before-after">\n  <figure class="after">${picture(210, 960, 540)}</figure>\n  <figure class="before">${picture(40, 960, 540)}</figure>\n</div>\n`,
    css: '.before-after { display: grid; max-width: 960px; margin: 32px auto; overflow: clip; border-radius: 10px; }\n.before-after figure { grid-area: 1 / 1; margin: 0; }\n.before-after img { display: block; width: 100%; height: auto; }\n',
  },
  {
    id: 'buttons',
    title: 'Two buttons',
    need: 'One to be pressed, and one beside it.',
    html: '<div class="buttons">\n  <a class="button" href="#begin"><span>Begin</span></a>\n  <a class="button button-quiet" href="#ask"><span>Ask first</span></a>\n</div>\n',
    css: '.buttons { display: flex; gap: 40px; justify-content: center; margin: 120px auto; }\n.button { display: inline-grid; place-items: center; min-width: 150px; min-height: 60px; padding: 0 30px; border: 1px solid #23303a; border-radius: 30px; background: #23303a; color: #f4f3ef; font-size: 18px; text-decoration: none; }\n.button-quiet { background: none; color: #23303a; }\n',
  },
  {
    id: 'drawers',
    title: 'Column of panels',
    need: 'Five panels one above the other, with more in each than is seen.',
    html: `<div class="drawers">\n${repeated(5, (n) => `  <section class="drawer">\n    <h3>Panel ${n}</h3>\n    <p>What is seen once it has room: a sentence or two, and then a little more.</p>\n  </section>`)}\n</div>\n`,
    css: '.drawers { display: flex; flex-direction: column; gap: 6px; max-width: 720px; height: 560px; margin: 32px auto; }\n.drawer { flex: 1; min-height: 0; overflow: clip; padding: 16px 22px; border-radius: 10px; background: #e7e5de; color: #22252a; }\n.drawer h3 { margin: 0 0 8px; font-size: 20px; }\n.drawer p { margin: 0; line-height: 1.5; }\n',
  },
  {
    id: 'links',
    title: 'Row of links',
    need: 'Five words that lead somewhere.',
    html: `<nav class="links">\n${['Work', 'People', 'Places', 'Notes', 'Write to us'].map((word) => `  <a class="link" href="#${word.split(' ')[0]?.toLowerCase()}">${word}</a>`).join('\n')}\n</nav>\n`,
    css: '.links { display: flex; flex-wrap: wrap; gap: 12px 36px; justify-content: center; margin: 80px auto; font-size: 22px; }\n.link { padding: 6px 2px; color: #22252a; text-decoration: none; }\n',
  },
]
