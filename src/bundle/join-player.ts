// Joins the player's modules to one script text, by what a page's figures need.
import { gzipSync } from 'node:zlib'

/** A module of the player as plain JavaScript without imports and exports. */
export interface PlayerModule {
  readonly file: string
  readonly subject: string
  readonly code: string
  /** The modules that it needs, in order; for a table, by the entry that needs each. */
  readonly imports: readonly { readonly file: string; readonly names: readonly string[] }[]
}

/** Modules that are one table of capabilities; an export keeps only the entries that its figures need. */
const tables: readonly string[] = ['src/core/feel/laws.ts', 'src/core/curve/shapers.ts']

/**
 * The readable script text of the modules that `needs` asks for (see `needsOf`), in one scope.
 * Tables keep the entries that are needed; what only a dropped entry used is left out.
 */
export function joinPlayer(modules: readonly PlayerModule[], needs: readonly string[]): string {
  const byFile = new Map(modules.map((module) => [module.file, module]))
  const kept = new Set<string>()
  const keep = (file: string) => {
    const module = byFile.get(file)
    if (!module || kept.has(file)) return
    for (const each of module.imports) if (!tables.includes(file) || each.names.some((name) => needs.includes(name))) keep(each.file)
    kept.add(file)
  }
  keep(modules.at(-1)?.file ?? '')
  return modules
    .filter(({ file }) => kept.has(file))
    .map(({ file, subject, code }) => `${subject}\n\n${tables.includes(file) ? narrowTable(code, needs) : code}`)
    .join('\n\n')
}

/** The table's object with the needed entries alone. */
function narrowTable(code: string, needs: readonly string[]): string {
  return code.replace(/\{ ([\w, ]+) \}/, (_, entries: string) => `{ ${entries.split(', ').filter((entry) => needs.includes(entry)).join(', ')} }`)
}

/** Bytes of a text after gzip at its best level. */
export function gzippedSize(text: string): number {
  return gzipSync(text, { level: 9 }).length
}
