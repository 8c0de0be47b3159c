// Reads the player's TypeScript as plain JavaScript modules, comments kept: what exports are joined from.
import { readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import ts from 'typescript'
import type { PlayerModule } from './join-player'

/** Reads the player's modules below `root` (the project's folder), each after those that it needs. Throws on a circle. */
export function readPlayerModules(root: string): readonly PlayerModule[] {
  const done = new Map<string, PlayerModule>()
  const open = new Set<string>()
  const visit = (path: string) => {
    const file = relative(root, path)
    if (done.has(file)) return
    if (open.has(file)) throw new Error(`The player's modules import each other in a circle at ${file}.`)
    open.add(file)
    const source = readFileSync(path, 'utf8')
    const { outputText } = ts.transpileModule(source, {
      fileName: path,
      compilerOptions: { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.ESNext, removeComments: false },
    })
    const imports = [...outputText.matchAll(/^import \{ (.*) \} from ['"](.*)['"];$/gm)].map(([, names = '', from = '']) => ({
      path: `${join(dirname(path), from)}.ts`,
      names: names.split(', '),
    }))
    for (const each of imports) visit(each.path)
    const subject = /^\/\/ .*/.exec(source)?.[0] ?? ''
    const code = outputText.replace(/^import .*;$/gm, '').replace(/^export \{\};$/gm, '').replace(/^export /gm, '').replace(subject, '').trim()
    done.set(file, { file, subject, code: narrowIndent(code), imports: imports.map(({ path: from, names }) => ({ file: relative(root, from), names })) })
  }
  visit(join(root, 'src/player/attach.ts'))
  const modules = [...done.values()].filter(({ code }) => code !== '')
  refuseCollisions(modules)
  return modules
}

/** Two spaces a level where the emitter writes four. */
function narrowIndent(code: string): string {
  return code.replace(/^(?: {4})+/gm, (indent) => ' '.repeat(indent.length / 2))
}

/** Throws when two modules would define the same name once they share one scope. */
function refuseCollisions(modules: readonly PlayerModule[]): void {
  const owners = new Map<string, string>()
  for (const { file, code } of modules) {
    for (const [, name = ''] of code.matchAll(/^(?:async )?(?:const|let|function|class) (\w+)/gm)) {
      const owner = owners.get(name)
      if (owner !== undefined) throw new Error(`"${name}" is defined by ${owner} and by ${file}; the exported script needs it once.`)
      owners.set(name, file)
    }
  }
}
