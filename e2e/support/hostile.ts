// A page that tries to run, to call home and to leave, in ten ways and more.

/** What the page does when nothing holds it: scripts that report, and addresses that it calls on. */
export const hostileDeeds = {
  scripts: ['inline', 'handler', 'image-error', 'svg-onload', 'script-link', 'data-frame', 'details'],
  visits: ['/script.js', '/picture.png', '/style.css', '/frame', '/preload', '/video'],
} as const

const report = (deed: string) => `parent.postMessage('deed:${deed}', '*')`

/** The page's HTML; `outside` is the address that it must not reach. */
export function hostilePage(outside: string): string {
  return `<!doctype html>
<html><head><meta charset="utf-8"><title>Hostile</title>
<base href="${outside}/">
<link rel="preload" as="script" href="${outside}/preload">
<link rel="dns-prefetch" href="${outside}">
<link rel="stylesheet" href="${outside}/style.css">
<script>${report('inline')}</script>
<script src="${outside}/script.js"></script>
<style>.card { position: absolute; left: 700px; top: 200px; width: 200px; height: 200px; background: #ddd }</style>
</head><body>
<button id="handler" onclick="${report('handler')}">press</button>
<img src="data:," onerror="${report('image-error')}" alt="">
<img src="${outside}/picture.png" alt="">
<svg width="10" height="10" onload="${report('svg-onload')}"></svg>
<a id="script-link" href="javascript:${report('script-link')};void 0">a script for an address</a>
<iframe srcdoc="&lt;script&gt;parent.parent.postMessage('deed:data-frame', '*')&lt;/script&gt;" width="20" height="20"></iframe>
<iframe src="${outside}/frame" width="20" height="20"></iframe>
<details open ontoggle="${report('details')}"><summary>more</summary></details>
<video src="${outside}/video" autoplay muted></video>
<p><a id="link" href="${outside}/link">a link that leaves</a></p>
<form action="${outside}/form" method="post"><button id="submit">send</button></form>
<div class="card">a card</div>
</body></html>`
}
