// Ways by which a page could run code, load from elsewhere or lead away, each as a page of its own. `deed` is script that
// tells the top window, `visit` an address that notes who comes.

export interface Way {
  readonly name: string
  readonly html: (deed: string, visit: string) => string
  /** What a visitor has to do first: a click on #go, or the pointer over it. */
  readonly act?: 'click' | 'hover'
}

const attribute = (text: string) => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;')
const dot = 'data:image/gif;base64,R0lGODlhAQABAAAAACH5BAEKAAEALAAAAAABAAEAAAICTAEAOw=='
/** A page whose `on` attribute is the deed. */
const handler = (name: string, write: (on: string) => string, act?: Way['act']): Way => ({
  name,
  html: (deed) => write(`"${attribute(deed)}"`),
  ...(act ? { act } : {}),
})
const plain = (name: string, write: (deed: string) => string, act?: Way['act']): Way => ({ name, html: write, ...(act ? { act } : {}) })
const loads = (name: string, write: (visit: string) => string, act?: Way['act']): Way => ({
  name,
  html: (_, visit) => write(visit),
  ...(act ? { act } : {}),
})
const box = 'display:inline-block;width:120px;height:60px;background:#ccc'

export const ways: readonly Way[] = [
  plain('a script', (deed) => `<script>${deed}</script>`),
  plain('a script from data:', (deed) => `<script src="data:text/javascript,${encodeURIComponent(deed)}"></script>`),
  plain('a module', (deed) => `<script type="module">${deed}</script>`),
  plain('a script of an old type', (deed) => `<SCRIPT TYPE="text/ecmascript">${deed}</SCRIPT>`),
  plain('a script in SVG', (deed) => `<svg><script>${deed}</script></svg>`),
  plain('a script in SVG from data:', (deed) => `<svg><script href="data:text/javascript,${encodeURIComponent(deed)}"></script></svg>`),
  plain('a script in SVG as CDATA', (deed) => `<svg><script><![CDATA[${deed}]]></script></svg>`),
  plain('a script in a declared shadow', (deed) => `<div><template shadowrootmode="open"><script>${deed}</script></template></div>`),
  plain('a script behind a comment that closes itself', (deed) => `<!--><script>${deed}</script>-->`),
  handler('img onerror', (on) => `<img src="x:" onerror=${on}>`),
  handler('img onload', (on) => `<img src="${dot}" onload=${on}>`),
  handler('img ONERROR', (on) => `<IMG SRC="x:" ONERROR=${on}>`),
  handler('img with slashes', (on) => `<img/src="x:"/onerror=${on}>`),
  handler('img srcset onerror', (on) => `<img srcset="x: 2x" onerror=${on}>`),
  handler('image', (on) => `<image src="x:" onerror=${on}>`),
  handler('picture', (on) => `<picture><source srcset="x:"><img src="x:" onerror=${on}></picture>`),
  handler('input image onerror', (on) => `<input type="image" src="x:" onerror=${on}>`),
  handler('svg onload', (on) => `<svg onload=${on}></svg>`),
  handler('svg image onerror', (on) => `<svg><image href="x:" onerror=${on}></image></svg>`),
  handler(
    'svg animate onbegin',
    (on) => `<svg><rect width="9" height="9"><animate attributeName="x" dur="1s" onbegin=${on}></animate></rect></svg>`,
  ),
  handler('svg set onbegin', (on) => `<svg><rect width="9" height="9"><set attributeName="x" to="3" onbegin=${on}></set></rect></svg>`),
  handler('svg style that holds an img', (on) => `<svg><style><img src="x:" onerror=${on}></style></svg>`),
  handler(
    'math that holds an img',
    (on) => `<math><mtext><table><mglyph><style><!--</style><img title="--&gt;&lt;img src=1&gt;"><img src="x:" onerror=${on}>`,
  ),
  handler('foreign object', (on) => `<svg><foreignObject><img src="x:" onerror=${on}></foreignObject></svg>`),
  handler('body onload', (on) => `<body onload=${on}>text`),
  handler('body onpageshow', (on) => `<body onpageshow=${on}>text`),
  handler('frameset onload', (on) => `<html><frameset onload=${on}><frame></frameset></html>`),
  handler('iframe onload', (on) => `<iframe onload=${on}></iframe>`),
  handler('video onerror', (on) => `<video src="x:" onerror=${on}></video>`),
  handler('video source onerror', (on) => `<video><source src="x:" onerror=${on}></video>`),
  handler('audio onloadstart', (on) => `<audio src="x:" onloadstart=${on}></audio>`),
  handler('details ontoggle', (on) => `<details open ontoggle=${on}>text</details>`),
  handler('style onload', (on) => `<style onload=${on}>p { color: red }</style>`),
  handler('link onload', (on) => `<link rel="stylesheet" href="data:text/css,p{}" onload=${on}>`),
  handler('link onerror', (on) => `<link rel="stylesheet" href="x:" onerror=${on}>`),
  handler(
    'onanimationstart',
    (on) => `<style>@keyframes k { to { opacity: 0.5 } } p { animation: k 9s }</style><p onanimationstart=${on}>text`,
  ),
  handler('input autofocus onfocus', (on) => `<input autofocus onfocus=${on}>`),
  handler(
    'oncontentvisibilityautostatechange',
    (on) => `<div style="content-visibility:auto" oncontentvisibilityautostatechange=${on}>text</div>`,
  ),
  handler('onclick', (on) => `<div id="go" style="${box}" onclick=${on}></div>`, 'click'),
  handler('onpointerdown', (on) => `<div id="go" style="${box}" onpointerdown=${on}></div>`, 'click'),
  handler('onpointerover', (on) => `<div id="go" style="${box}" onpointerover=${on}></div>`, 'hover'),
  handler('onmousemove', (on) => `<div id="go" style="${box}" onmousemove=${on}></div>`, 'hover'),
  handler(
    'popover onbeforetoggle',
    (on) => `<button id="go" popovertarget="p">go</button><div popover id="p" onbeforetoggle=${on}>text</div>`,
    'click',
  ),
  handler('a link that is code', (on) => `<a id="go" href="javascript:${on.slice(1)} style="${box}">go</a>`, 'click'),
  handler(
    'a link that is code, with a tab in its name',
    (on) => `<a id="go" href="java&Tab;script:${on.slice(1)} style="${box}">go</a>`,
    'click',
  ),
  handler(
    'a link that is code, spelt by entities',
    (on) => `<a id="go" href="&#106;&#97;vascript:${on.slice(1)} style="${box}">go</a>`,
    'click',
  ),
  handler(
    'a link of SVG that is code',
    (on) => `<svg width="120" height="60"><a xlink:href="javascript:${on.slice(1)}><rect id="go" width="120" height="60"></rect></a></svg>`,
    'click',
  ),
  handler(
    'a link of SVG that becomes code',
    (on) =>
      `<svg width="120" height="60"><a><set attributeName="href" to="javascript:${on.slice(1)}></set><rect id="go" width="120" height="60"></rect></a></svg>`,
    'click',
  ),
  handler('a form that is code', (on) => `<form action="javascript:${on.slice(1)}><button id="go">go</button></form>`, 'click'),
  handler('a button that is code', (on) => `<form><button id="go" formaction="javascript:${on.slice(1)}>go</button></form>`, 'click'),
  handler(
    'a picture button that is code',
    (on) => `<form><input type="image" src="${dot}" id="go" style="${box}" formaction="javascript:${on.slice(1)}></form>`,
    'click',
  ),
  plain('an iframe by srcdoc', (deed) => `<iframe srcdoc="${attribute(`<script>${deed}</script>`)}"></iframe>`),
  handler('an iframe that is code', (on) => `<iframe src="javascript:${on.slice(1)}></iframe>`),
  plain('an iframe from data:', (deed) => `<iframe src="data:text/html,${encodeURIComponent(`<script>${deed}</script>`)}"></iframe>`),
  plain('an object from data:', (deed) => `<object data="data:text/html,${encodeURIComponent(`<script>${deed}</script>`)}"></object>`),
  plain('an embed from data:', (deed) => `<embed type="text/html" src="data:text/html,${encodeURIComponent(`<script>${deed}</script>`)}">`),
  plain(
    'a refresh to data:',
    (deed) => `<meta http-equiv="refresh" content="0;url=data:text/html,${encodeURIComponent(`<script>${deed}</script>`)}">`,
  ),
  loads('a refresh', (visit) => `<meta http-equiv="refresh" content="0;url=${visit}">`),
  loads('a base with a script', (visit) => `<base href="${visit}/"><script src="s.js"></script>`),
  loads('a base with a picture', (visit) => `<base href="${visit}/"><img src="p.png">`),
  loads('a script from elsewhere', (visit) => `<script src="${visit}"></script>`),
  loads('a picture', (visit) => `<img src="${visit}">`),
  loads('a picture by srcset', (visit) => `<img srcset="${visit} 1x">`),
  loads('a picture by source', (visit) => `<picture><source srcset="${visit}"><img alt=""></picture>`),
  loads('a video', (visit) => `<video src="${visit}" preload="auto"></video>`),
  loads('a poster', (visit) => `<video poster="${visit}"></video>`),
  loads('a sound', (visit) => `<audio src="${visit}" preload="auto"></audio>`),
  loads('a stylesheet', (visit) => `<link rel="stylesheet" href="${visit}">`),
  loads('a stylesheet by import', (visit) => `<style>@import "${visit}";</style>`),
  loads('a background', (visit) => `<style>body { background: url(${visit}) }</style>text`),
  loads('a background inline', (visit) => `<p style="background: url('${visit}')">text`),
  loads('a background with an escape', (visit) => `<p style="background: u\\72l('${visit}')">text`),
  loads('a background in an image set', (visit) => `<p style="background-image: image-set('${visit}' 1x)">text`),
  loads('a mask', (visit) => `<p style="mask-image: url(${visit})">text`),
  loads('a list mark', (visit) => `<ul><li style="list-style-image: url(${visit})">text</ul>`),
  loads('a border', (visit) => `<p style="border: 5px solid; border-image: url(${visit}) 3">text`),
  loads('content', (visit) => `<style>p::before { content: url(${visit}) }</style><p>text`),
  loads('a font', (visit) => `<style>@font-face { font-family: f; src: url(${visit}) } p { font-family: f }</style><p>text`),
  loads('a body’s background', (visit) => `<body background="${visit}">text`),
  loads('an iframe', (visit) => `<iframe src="${visit}"></iframe>`),
  loads('an iframe in a srcdoc', (visit) => `<iframe srcdoc="${attribute(`<img src="${visit}">`)}"></iframe>`),
  loads('an object', (visit) => `<object data="${visit}"></object>`),
  loads('an embed', (visit) => `<embed src="${visit}">`),
  loads('a picture in SVG', (visit) => `<svg><image href="${visit}" width="9" height="9"></image></svg>`),
  loads(
    'a filter’s picture',
    (visit) => `<svg><filter id="f"><feImage href="${visit}"></feImage></filter><rect width="9" height="9" filter="url(#f)"></rect></svg>`,
  ),
  loads('a picture button', (visit) => `<input type="image" src="${visit}">`),
  loads('a preload', (visit) => `<link rel="preload" as="image" href="${visit}">`),
  loads('a module preload', (visit) => `<link rel="modulepreload" href="${visit}">`),
  loads('a link', (visit) => `<a id="go" href="${visit}" style="${box}">go</a>`, 'click'),
  loads('a ping', (visit) => `<a id="go" href="#x" ping="${visit}" style="${box}">go</a>`, 'click'),
  loads(
    'an area',
    (visit) =>
      `<map name="m"><area shape="rect" coords="0,0,120,60" href="${visit}"></map><img id="go" usemap="#m" src="${dot}" style="width:120px;height:60px">`,
    'click',
  ),
  loads('a form', (visit) => `<form action="${visit}"><button id="go">go</button></form>`, 'click'),
  loads('a button that leads elsewhere', (visit) => `<form><button id="go" formaction="${visit}">go</button></form>`, 'click'),
]

/** Names by which elements of a page would stand in the place of what the agent asks of the document or of an element. */
export const clobbering = [
  'querySelectorAll',
  'querySelector',
  'addEventListener',
  'createElement',
  'body',
  'head',
  'documentElement',
  'elementsFromPoint',
  'styleSheets',
  'readyState',
  'getElementById',
] as const
