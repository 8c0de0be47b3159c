// What a hostile or broken sender would send: pages and archives that are too much, too deep, torn or disguised.
import { zipSync } from 'fflate'
import { pick } from './house'

const text = (value: string) => new TextEncoder().encode(value)

export interface HostileImport {
  readonly name: string
  readonly files: readonly { readonly path: string; readonly bytes: Uint8Array }[]
}

const encodings = ['replacement', 'iso-2022-kr', 'hz-gb-2312', 'utf-16', 'x-user-defined', 'big5', 'nonsense']
const loaders = (address: string): readonly string[] => [
  `<img src="${address}">`,
  `<img srcset="${address} 1x, ${address} 2x">`,
  `<p style="background:url(${address})">`,
  `<p style="background:u\\72l(${address})">`,
  `<style>@import "${address}";</style>`,
  `<style>@\\69mport "${address}";</style>`,
  `<style>@import/**/url(${address});</style>`,
  `<style>@font-face{font-family:x;src:url(${address})}p{font-family:x}</style>`,
  `<svg><image href="${address}"/></svg>`,
  `<svg><rect width=9 height=9 fill="url(${address}#p)"/></svg>`,
  `<svg><feImage href="${address}"/></svg>`,
  `<svg><image><set attributeName="href" to="${address}"/></image></svg>`,
  `<svg><image><animate attributeName="href" values="${address};${address}" dur="1s"/></image></svg>`,
  `<link rel="compression-dictionary" href="${address}">`,
  `<link rel="dns-prefetch" href="${address}">`,
  `<link rel="preconnect" href="${address}">`,
  `<link rel="icon" href="${address}">`,
  `<iframe src="${address}"></iframe>`,
  `<object data="${address}"></object>`,
  `<video src="${address}" poster="${address}" autoplay></video>`,
  `<a href="${address}">a link</a>`,
  `<a ping="${address}" href="#">x</a>`,
  `<meta http-equiv="refresh" content="0;url=${address}">`,
  `<base href="${address}"><img src="x.png">`,
  `<form action="${address}"><button>x</button></form>`,
  `<script src="${address}"></script>`,
  `<body background="${address}">`,
  `<style>p{cursor:url(${address}),auto}</style>`,
  `<style>p{background:image-set("${address}" 1x)}</style>`,
  `<input type=image src="${address}">`,
]
const runners = (deed: string): readonly string[] => [
  `<script>${deed}</script>`,
  `<img src=x onerror="${deed}">`,
  `<svg onload="${deed}">`,
  `<body onload="${deed}">`,
  `<a id=go href="javascript:${deed}">x</a>`,
  `<iframe srcdoc="<script>${deed}</script>"></iframe>`,
  `<details open ontoggle="${deed}">`,
  `<svg><script>${deed}</script></svg>`,
  `<math><mtext><script>${deed}</script></mtext></math>`,
  `<style>*{x:expression(${deed})}</style>`,
  `<video><source onerror="${deed}"></video>`,
  `<svg><animate onbegin="${deed}" attributeName=x dur=1s>`,
  `<noscript><p title="</noscript><img src=x onerror='${deed}'>">`,
  `<template><script>${deed}</script></template>`,
]

/** Pages that load from elsewhere and run code in every way that is known to us. */
export function smugglingPage(random: () => number, address: string, deed: string): string {
  return `<!doctype html><title>x</title>${Array.from({ length: 6 }, () => pick(random, random() < 0.7 ? loaders(address) : runners(deed))).join('\n')}<p class="card">x</p>`
}

const huge: readonly (readonly [string, () => HostileImport['files']])[] = [
  ['a srcset of spaces', () => [{ path: 'a.html', bytes: text(`<img srcset="a${' '.repeat(5000)}b,">`.repeat(20)) }]],
  [
    'a sheet that imports itself',
    () => [
      { path: 'a.html', bytes: text('<link rel=stylesheet href=s.css>') },
      { path: 's.css', bytes: text('@import "s.css";'.repeat(6)) },
    ],
  ],
  ['forty thousand addresses', () => [{ path: 'a.html', bytes: text(`<style>${'a{b:url(x)}'.repeat(40_000)}</style>`) }]],
  ['closing tags', () => [{ path: 'a.html', bytes: text(`<body>${'</p>'.repeat(1_000_000)}`) }]],
  ['attributes', () => [{ path: 'a.html', bytes: text(`<p ${Array.from({ length: 300_000 }, (_, i) => `a${i}`).join(' ')}>`) }]],
  ['depth', () => [{ path: 'a.html', bytes: text('<div>'.repeat(200_000)) }]],
  ['tables in tables', () => [{ path: 'a.html', bytes: text('<table><tr><td>'.repeat(20_000)) }]],
  [
    'archives of zeros',
    () =>
      Array.from({ length: 30 }, (_, i) => ({
        path: `${i}.zip`,
        bytes: zipSync(
          {
            [`${i}.bin`]: new Uint8Array(11_900_000),
            [`b${i}.bin`]: new Uint8Array(11_900_000),
            [`c${i}.bin`]: new Uint8Array(11_900_000),
            [`d${i}.bin`]: new Uint8Array(11_900_000),
          },
          { level: 6 },
        ),
      })),
  ],
  ['comments', () => [{ path: 'a.html', bytes: text('<!---->'.repeat(500_000)) }]],
  [
    'formatting',
    () => [{ path: 'a.html', bytes: text(`${Array.from({ length: 300 }, (_, i) => `<b id=${i}>`).join('')}${'<p>x'.repeat(3000)}`) }],
  ],
  ['a large page of text', () => [{ path: 'a.html', bytes: text(`<p>${'text '.repeat(800_000)}`) }]],
  [
    'sixty megabytes',
    () => [
      { path: 'a.html', bytes: text('<p>x') },
      ...Array.from({ length: 5 }, (_, i) => ({ path: `${i}.bin`, bytes: new Uint8Array(11_000_000).fill(i + 1) })),
    ],
  ],
]

/** The next hostile import. The heaviest ones come first, once each; then whatever chance makes. */
export function hostileImport(index: number, random: () => number, address: string): HostileImport {
  const heavy = huge[index]
  if (heavy) return { name: heavy[0], files: heavy[1]() }
  const page = text(smugglingPage(random, address, "top.postMessage('deed','*')"))
  const archive = zipSync({ 'index.html': page, 'a/b.css': text(`p{background:url(${address})}`) })
  switch (Math.floor(random() * 8)) {
    case 0:
      return { name: 'an encoding', files: [{ path: 'a.html', bytes: text(`<meta charset="${pick(random, encodings)}"><p>x`) }] }
    case 1:
      return {
        name: 'a flipped byte',
        files: [
          {
            path: 'a.zip',
            bytes: archive.map((byte, i) => (i === Math.floor(random() * archive.length) ? byte ^ (1 << Math.floor(random() * 8)) : byte)),
          },
        ],
      }
    case 2:
      return { name: 'a torn archive', files: [{ path: 'a.zip', bytes: archive.slice(0, Math.floor(random() * archive.length)) }] }
    case 3:
      return {
        name: 'a path',
        files: [
          {
            path: pick(random, ['../x.html', '/x.html', 'a/../../x.html', 'C:\\x.html', 'a\0.html', `${'x/'.repeat(400)}y.html`, '']),
            bytes: page,
          },
        ],
      }
    case 4:
      return { name: 'bytes', files: [{ path: 'a.html', bytes: Uint8Array.from({ length: 2000 }, () => Math.floor(random() * 256)) }] }
    case 5:
      return {
        name: 'a title',
        files: [{ path: 'a.html', bytes: text(`<title>${'x'.repeat(Math.floor(random() * 120))}\u{1F98B}${'y'.repeat(30)}</title>`) }],
      }
    default:
      return { name: 'a smuggling page', files: [{ path: 'a.html', bytes: page }] }
  }
}
