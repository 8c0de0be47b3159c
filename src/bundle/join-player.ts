// Joins the player's modules to one script text, by what a page's figures need.
import { gzipSync } from 'node:zlib'

/** One declaration at the top of a module, with the comment before it, and the names that it uses. */
export interface Declaration {
  readonly names: readonly string[]
  readonly code: string
  readonly uses: readonly string[]
}

/** A module of the player as plain JavaScript without imports and exports; each comes after those that it needs. */
export interface PlayerModule {
  readonly file: string
  readonly subject: string
  readonly declarations: readonly Declaration[]
}

/** Declarations that are one table of capabilities; an export keeps only the entries that its figures need. */
const tables: readonly string[] = ['laws', 'shapers', 'readers', 'series', 'features', 'abilities']

/**
 * The readable script text that `needs` asks for (see `needsOf`), in one scope: `attach` and all that it uses, by way of
 * the tables' needed entries alone.
 */
export function joinPlayer(modules: readonly PlayerModule[], needs: readonly string[]): string {
  const owners = new Map(modules.flatMap(({ declarations }) => declarations.flatMap((declaration) => declaration.names.map((name) => [name, declaration] as const))))
  const kept = new Set<Declaration>()
  const keep = (name: string) => {
    const declaration = owners.get(name)
    if (!declaration || kept.has(declaration)) return
    kept.add(declaration)
    const isTable = declaration.names.some((each) => tables.includes(each))
    declaration.uses.filter((used) => !isTable || needs.includes(used)).forEach(keep)
  }
  keep('attach')
  return modules
    .flatMap(({ subject, declarations }) => {
      const own = declarations.filter((declaration) => kept.has(declaration))
      return own.length === 0 ? [] : [[subject, ...own.map(({ names, code }) => (names.some((name) => tables.includes(name)) ? narrowTable(code, needs) : code))].join('\n\n')]
    })
    .join('\n\n')
}

/** The table's object with the needed entries alone. */
function narrowTable(code: string, needs: readonly string[]): string {
  return code.replace(/\{ ([\w, ]+) \}/, (_, entries: string) => {
    const left = entries.split(', ').filter((entry) => needs.includes(entry))
    return left.length === 0 ? '{}' : `{ ${left.join(', ')} }`
  })
}

/** Bytes of a text after gzip at its best level. */
export function gzippedSize(text: string): number {
  return gzipSync(text, { level: 9 }).length
}
