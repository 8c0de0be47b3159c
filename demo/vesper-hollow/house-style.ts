// What the pages of the demo share: fonts, colours, the header with its sky, and the frame of a page.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { drawWings, type Palette } from './moth'
import { seededRandom } from './random'

const root = new URL('../..', import.meta.url).pathname

/** A font of ours as a data address, so that the page asks nobody for anything. */
function fontData(file: string): string {
  return `data:font/woff2;base64,${readFileSync(join(root, 'node_modules', file)).toString('base64')}`
}

const shared = () => `
  @font-face { font-family: "Hollow Display"; src: url("${fontData('@fontsource-variable/fraunces/files/fraunces-latin-wght-normal.woff2')}"); font-weight: 100 900; }
  @font-face { font-family: "Hollow Text"; src: url("${fontData('@fontsource-variable/commissioner/files/commissioner-latin-wght-normal.woff2')}"); font-weight: 100 900; }

  :root { --night: #0d1a17; --moss: #16302a; --lamp: #f0c36d; --paper: #efe6cf; --ink: #2c2a22; --leaf: #c4cdb9; }
  * { box-sizing: border-box; }
  /* Stars first: the rest is seen once its letters are there, so that nothing moves. */
  @keyframes dusk { from { visibility: hidden; } }
  html { background: var(--night); animation: dusk 280ms step-end; }
  .sky svg { visibility: visible; }
  body { margin: 0; min-height: 100vh; color: #dfe3d3; font: 400 16px/1.5 "Hollow Text", sans-serif; background: linear-gradient(var(--moss), var(--night) 900px) var(--night); }
  .sky { position: relative; display: flex; align-items: center; justify-content: space-between; height: 104px; padding: 0 72px; overflow: clip; background: linear-gradient(#0b1f24, #16302a); }
  .sky svg { position: absolute; left: -40px; top: 0; width: calc(100% + 80px); height: 100%; }
  .sky .name, .sky nav { position: relative; }
  .name { font: 500 22px/1 "Hollow Display", serif; color: var(--lamp); text-decoration: none; }
  nav { display: flex; gap: 30px; font-size: 15px; }
  nav a { color: #dbe0cf; text-decoration: none; }
  nav a[aria-current] { color: var(--lamp); }
  h1, h2 { font-family: "Hollow Display", serif; color: #f5ecd2; }
  .opening { display: flex; align-items: end; justify-content: space-between; gap: 60px; padding: 44px 72px 40px; }
  .opening h1, .opening h2 { margin: 0; font-weight: 340; font-size: 76px; line-height: 0.95; letter-spacing: -0.02em; }
  .opening p { margin: 0 0 4px; max-width: 31em; color: var(--leaf); }
  .foot { display: flex; flex-wrap: wrap; justify-content: space-between; gap: 8px 40px; padding: 34px 72px 44px; border-top: 1px solid #24423a; font-size: 15px; color: var(--leaf); }
  .foot p { margin: 0; }
  .sky .of-phones { display: none; }
  @media (max-width: 900px) { .sky .of-desks { display: none; } .sky .of-phones { display: inline; } .foot { padding: 28px 24px 36px; } .opening p { margin-top: 12px; } }
  /* On paper: ink, but for words that stand on a drawing. */
  @media print { html, body, body :not(svg *, .art) { background: none !important; } .art { print-color-adjust: exact; } .sky svg { display: none; } body, body :not(svg *) { color: #1b1b1b !important; } .on-art, .on-art * { color: #f5ecd2 !important; } section { break-inside: avoid; } }
  @media (max-width: 900px) { .sky { height: 132px; flex-direction: column; justify-content: center; gap: 14px; padding: 0 20px; } nav { gap: 18px; font-size: 14px; } .opening { display: block; padding-left: 24px; padding-right: 24px; } .opening h1, .opening h2 { font-size: 52px; } }
`

/** The pages by their titles, each with the file that the others lead to. */
export const pageFiles = {
  Tonight: 'index.html',
  'The collection': 'the-collection.html',
  'The garden': 'the-garden.html',
  Visit: 'visit.html',
} as const

const grey: Palette = { ground: '#e8dcb8', shade: '#57492f', band: '#b39b66', mark: '#f3e3b0', pale: '#fbf3da', fur: '#efe3c2' }

/** The night over the name of the garden: stars far away, moths near by. */
function sky(): string {
  const random = seededRandom(11)
  const stars = Array.from(
    { length: 90 },
    () =>
      `<circle cx="${(random() * 1400).toFixed(0)}" cy="${(random() * 96).toFixed(0)}" r="${(0.4 + random() * 0.9).toFixed(1)}" opacity="${(0.25 + random() * 0.6).toFixed(2)}"/>`,
  ).join('')
  const hills = 'M0 104V78Q160 58 330 74T660 66T1000 76T1400 62V104Z'
  const moths = [
    [420, 46, 0.2, -22],
    [566, 70, 0.13, 18, 'of-desks'],
    [742, 30, 0.16, 30, 'of-desks'],
    [318, 24, 0.1, -40],
    [1030, 84, 0.12, 8],
    [594, 26, 0.14, -18, 'of-phones'],
    [818, 30, 0.12, 24, 'of-phones'],
  ]
    .map(
      ([x, y, scale, turn, only]) =>
        `<use href="#sky-moth"${only ? ` class="${only}"` : ''} transform="translate(${x} ${y}) rotate(${turn}) scale(${scale})"/>`,
    )
    .join('')
  return `<svg class="sky-far" viewBox="0 0 1400 104" preserveAspectRatio="xMidYMid slice" aria-hidden="true"><g fill="#f7efcf">${stars}</g><path d="${hills}" fill="#0f2620"/></svg>
    <svg class="sky-near" viewBox="0 0 1400 104" preserveAspectRatio="xMidYMid slice" aria-hidden="true"><defs><g id="sky-moth">${drawWings('sky', { reach: 1, point: 0.4, tail: 0, eyespots: false, palette: grey, seed: 5 })}</g></defs>${moths}</svg>`
}

/** A whole page, self-contained. */
export function pageOf(title: keyof typeof pageFiles, head: string, css: string, main: string): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${head}. Vesper Hollow</title>
<style>${shared()}${css}</style>
</head>
<body>
  <header class="sky">
    ${sky()}
    <a class="name" href="${pageFiles.Tonight}">Vesper Hollow</a>
    <nav>${Object.entries(pageFiles)
      .map(([name, file]) => `<a href="${file}"${name === title ? ' aria-current="page"' : ''}>${name}</a>`)
      .join('')}</nav>
  </header>
  <main>${main}
  </main>
  <footer class="foot"><p>Vesper Hollow, Mill Lane. Open from dusk.</p><p>Nothing here is lit that need not be.</p></footer>
</body>
</html>
`
}
