// glass-moth check: what is amiss with a site's effects on its pages, as the studio would say it.
import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { checkPage, checks, type Finding, type Known } from '../core/check/checks'
import { toldAskedOf } from '../core/check/asked'
import { tell } from '../core/check/told'
import { readDressed } from '../core/compile/tree-facts'
import { planEffects } from '../core/export/plan'
import { copyForStudio } from '../core/page/studio-copy'
import { numberAttribute, placeholderPattern } from '../core/page/studio-copy-marks'
import { elementsOf, findIn, readTree, textOf } from '../core/page/tree'
import { fileNameOf } from '../core/site/path'
import { filesOf, siteSchema, type Page, type Site } from '../core/site/site'
import { Misuse, readArguments } from './arguments'
import type { Outcome } from './command-line'
import { canLayOut, seeLaidOut } from './laid-out'
import { readFile } from './read-file'

export const checkUsage = 'glass-moth check SITE.json [--pages FOLDER] [--format text|json] [--layout auto|yes|no]'

/** A finding on one of the pages. */
interface Told extends Omit<Finding, 'elements' | 'fix'> {
  readonly page: string
  /** What would mend it, in words. */
  readonly fix?: string
}

/**
 * Runs the command with the words after its name. The pages stand beside the site's document, as an export has them, or in a folder that is
 * given. Where Chromium is on the machine they are laid out in it; else what needs that is left out, and said. Throws `Misuse` for wrong use, an Error for a file that cannot be read.
 */
export function check(words: readonly string[]): Outcome {
  const { files, options } = readArguments(words, ['pages', 'format', 'layout'])
  const [path] = files
  const { pages: folder = dirname(path ?? '.'), format = 'text', layout = 'auto' } = options
  if (files.length !== 1 || !path || !/^(text|json)$/.test(format) || !/^(auto|yes|no)$/.test(layout)) throw new Misuse(checkUsage)
  const site = readFile('site', path, (text) => siteSchema.parse(JSON.parse(text)))
  const isLaidOut = layout !== 'no' && canLayOut()
  if (layout === 'yes' && !isLaidOut) throw new Error('Pages cannot be laid out here: that needs Chromium, and npm run build.')
  const trees = new Map(site.pages.map((page) => [page.id, treeOf(site, page, folder)]))
  const findings = site.pages.flatMap((page): readonly Told[] => {
    const dressed = trees.get(page.id)
    if (!dressed) return []
    const read = readDressed(dressed)
    const planned = planEffects(site, page.id)
    const seen = isLaidOut ? seeLaidOut(dressed.html, dressed, planned) : []
    const known = new Map<string, Known>(
      planned.map((each, i) => {
        const effect = site.effects[each.number - 1]
        const asked = toldAskedOf(each, effect)
        return [
          effect?.id ?? '',
          { told: tell(read, ({ attribs }) => Number(attribs[numberAttribute]), asked), seen: seen[i] ?? undefined },
        ]
      }),
    )
    const styles = new Map(elementsOf(dressed.tree).map(({ attribs }) => [Number(attribs[numberAttribute]), attribs.style ?? '']))
    const isElsewhere = (select: string) =>
      [...trees].some(([id, other]) => id !== page.id && (findIn(other.tree, select)?.length ?? 0) > 0)
    return checkPage(
      site,
      page.id,
      (id) => known.get(id),
      (number) => styles.get(number) ?? '',
      isElsewhere,
    ).map(({ check: name, effect, number, words: sentence, fix }) => ({
      page: page.name,
      check: name,
      effect,
      number,
      words: sentence,
      ...(fix ? { fix: fix.words } : {}),
    }))
  })
  const left = isLaidOut ? [] : checks.filter(({ needsLayout }) => needsLayout).map(({ id }) => id)
  const text =
    format === 'json'
      ? JSON.stringify({ findings, notLookedAt: left }, null, 2)
      : [
          ...findings.map(({ page, words: sentence, fix }) => `${page}: ${sentence}${fix ? ` (${fix}.)` : ''}`),
          findings.length === 0 ? 'Nothing is amiss.' : findings.length === 1 ? '1 finding.' : `${findings.length} findings.`,
          ...(left.length > 0
            ? [`Not looked at, since it needs the page laid out, which takes Chromium and a built studio: ${left.join(', ')}.`]
            : []),
        ].join('\n')
  return { text, hasFindings: findings.length > 0 }
}

/** A page of a site as a tree with its sheets in it, each element with its number. Throws an Error with a sentence where it is not there. */
function treeOf(site: Site, page: Page, folder: string) {
  const own = page.path ?? 'index.html'
  const places = [own, `${fileNameOf(page.name)}.html`, `${fileNameOf(page.name)}/${own}`, `${page.id}.html`]
  const found = places.find((place) => existsSync(join(folder, place)))
  if (found === undefined)
    throw new Error(`The page ${page.name} is not there: there is no ${join(folder, own)}. --pages FOLDER says where pages are.`)
  const around = found.slice(0, found.length - own.length)
  const files = filesOf(site, page)
  const byHash = new Map(files.map((file) => [file.hash, join(folder, around, file.path)]))
  const { html, heldBack } = copyForStudio(withoutOurs(readFileSync(join(folder, found), 'utf8')), {
    path: own,
    files: new Map(files.map((file) => [file.path, file])),
    sheetText: (hash) => {
      const path = byHash.get(hash)
      return path !== undefined && existsSync(path) ? readFileSync(path, 'utf8') : undefined
    },
    shown: [],
    nonce: 'none',
  })
  // Files stand for themselves.
  const whole = html.replace(placeholderPattern, (_, hash: string) =>
    byHash.has(hash) ? pathToFileURL(byHash.get(hash) ?? '').href : 'data:,',
  )
  return {
    html: whole,
    tree: readTree(html),
    lacksSheets: heldBack.some(({ what }) => what === 'sheet'),
    hasScripts: heldBack.some(({ what }) => what === 'script' || what === 'handler'),
  }
}

/** A page as it was before its effects were put in. */
function withoutOurs(html: string): string {
  const tree = readTree(html)
  const ours = elementsOf(tree).filter(
    (element) =>
      (element.name === 'style' && /\/\* Effect \d+\. |^@layer pointer-effects;$/.test(textOf(element))) ||
      (element.name === 'script' && /^\s*(\(\(\) => \{|export|const)[^]*The pointer/.test(textOf(element))),
  )
  return ours.reduceRight(
    (text, { sourceCodeLocation: at }) => (at ? text.slice(0, at.startOffset) + text.slice(at.endOffset) : text),
    html,
  )
}
