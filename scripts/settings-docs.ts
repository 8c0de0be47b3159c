// The tables of settings in docs/effects, written from what describes the settings.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { formatNumber, type Control } from '../src/core/effect/control'
import { kinds, type AnyKind } from '../src/core/effect/kinds'
import { tellValue } from '../src/core/effect/tell'
import { namedFeels } from '../src/core/feel/named'

/** What a setting may be, in words. */
function rangeOf<S>(control: Control<S>): string {
  switch (control.kind) {
    case 'number':
      return `${control.least} to ${control.greatest}`
    case 'choice':
      return control.options.map(({ words }) => words).join('; ')
    case 'feel':
      return `${namedFeels.map(({ words }) => words).join(', ')}; or by its numbers`
    case 'curve':
    case 'gradient':
      return 'stops'
    case 'text':
      return control.hint
    case 'colour':
      return control.takesBackgrounds ? 'a colour or a background, as CSS writes it' : 'a colour, as CSS writes it'
  }
}

function tableOf<S>(controls: readonly Control<S>[], settings: S): string {
  const rows = controls.map(
    (control) =>
      `| ${control.title} | ${control.help ?? ''} | ${control.kind === 'number' ? control.unit : ''} | ${rangeOf(control)} | ${control.kind === 'number' ? formatNumber(control.read(settings), control.unit) : tellValue(control, settings)} |`,
  )
  return ['| setting | what it does | unit | range | at first |', '|---|---|---|---|---|', ...rows].join('\n')
}

/** The settings of a kind from the start, with a layer where it may have some. */
const startOf = ({ defaults, roles, moreRoles }: AnyKind): unknown =>
  moreRoles && roles(defaults).length === 1 ? moreRoles.add(defaults) : defaults

/** A page with its table of settings as it is now. */
const withTable = (text: string, table: string) => text.replace(/^\| setting \|.*\n(\|.*\n)*/m, () => `${table}\n`)

/** The pages of docs/effects by their names, with their tables as the settings are described now. */
export function settingsPages(root: string): ReadonlyMap<string, string> {
  const read = (name: string) => readFileSync(join(root, 'docs/effects', name), 'utf8')
  const own = kinds.filter(({ id }) => id !== 'free')
  const ofKinds = own.map((kind) => {
    const settings = startOf(kind)
    return [
      `${kind.id}.md`,
      tableOf(
        kind.controls(settings).filter(({ row }) => row !== 'common'),
        settings,
      ),
    ] as const
  })
  const common = own.slice(0, 1).map((kind) => {
    const settings = { ...(kind.defaults as object), windowWidth: 'between' }
    return [
      'README.md',
      tableOf(
        kind.controls(settings).filter(({ row }) => row === 'common'),
        settings,
      ),
    ] as const
  })
  return new Map([...ofKinds, ...common].map(([name, table]) => [name, withTable(read(name), table)]))
}

export function writeSettingsPages(root: string): void {
  for (const [name, text] of settingsPages(root)) writeFileSync(join(root, 'docs/effects', name), text)
}
