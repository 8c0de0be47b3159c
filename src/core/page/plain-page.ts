// A plain page to begin from: blank, or with a starter on it.
import { addCss } from './markup'
import { blankTitle, type Starter } from './starters'

const top = (title: string) => `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${title}</title>
  <style>
    body { margin: 0; font: 16px/1.5 sans-serif; color: #22252a; background: #fff; }
  </style>
</head>
<body>
`

/** The HTML of a plain page. */
export function plainPage(starter?: Starter): string {
  if (!starter) return `${top(blankTitle)}</body>\n</html>\n`
  const lines = starter.html
    .trimEnd()
    .split('\n')
    .map((line) => `  ${line}`)
  return addCss(`${top(starter.title)}${lines.join('\n')}\n</body>\n</html>\n`, starter.css)
}
