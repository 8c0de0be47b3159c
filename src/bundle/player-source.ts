// Reads the player's TypeScript as plain JavaScript modules, comments kept: what exports are joined from.
import { readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import ts from 'typescript'
import type { Declaration, PlayerModule } from './join-player'

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
    for (const [, from = ''] of outputText.matchAll(/^import \{ .* \} from ['"](.*)['"];$/gm)) visit(`${join(dirname(path), from)}.ts`)
    const subject = /^(\/\/ .*\n)+/.exec(source)?.[0].trim() ?? ''
    const code = outputText.replace(/^import .*;$/gm, '').replace(/^export \{\};$/gm, '').replace(/^export /gm, '').replace(subject, '').trim()
    done.set(file, { file, subject, declarations: readDeclarations(narrowIndent(code)) })
  }
  visit(join(root, 'src/player/attach.ts'))
  const modules = [...done.values()].filter(({ declarations }) => declarations.length > 0)
  refuseCollisions(modules)
  return modules
}

/** The declarations at the top of a script, each with its comment. */
function readDeclarations(code: string): readonly Declaration[] {
  const file = ts.createSourceFile('module.js', code, ts.ScriptTarget.ES2022, true, ts.ScriptKind.JS)
  return file.statements.map((statement) => {
    const names = ts.isVariableStatement(statement) ? statement.declarationList.declarations.map(({ name }) => name.getText()) : ts.isFunctionDeclaration(statement) && statement.name ? [statement.name.text] : []
    if (names.length === 0) throw new Error(`A module of the player does something at its top: ${statement.getText().slice(0, 60)}`)
    return { names, code: statement.getFullText().trim(), uses: usesOf(statement) }
  })
}

/** The names that a declaration uses and does not itself declare. */
function usesOf(statement: ts.Statement): readonly string[] {
  const used = new Set<string>()
  const declared = new Set<string>()
  const visit = (node: ts.Node) => {
    if (ts.isIdentifier(node)) {
      const { parent } = node
      const isDeclared = (ts.isParameter(parent) || ts.isVariableDeclaration(parent) || ts.isBindingElement(parent) || ts.isFunctionDeclaration(parent)) && parent.name === node
      const isKey = (ts.isPropertyAccessExpression(parent) && parent.name === node) || (ts.isPropertyAssignment(parent) && parent.name === node) || (ts.isBindingElement(parent) && parent.propertyName === node)
      if (isDeclared) declared.add(node.text)
      else if (!isKey) used.add(node.text)
    }
    node.forEachChild(visit)
  }
  visit(statement)
  return [...used].filter((name) => !declared.has(name))
}

/** Two spaces a level where the emitter writes four. */
function narrowIndent(code: string): string {
  return code.replace(/^(?: {4})+/gm, (indent) => ' '.repeat(indent.length / 2))
}

/** Throws when two modules would define the same name once they share one scope. */
function refuseCollisions(modules: readonly PlayerModule[]): void {
  const owners = new Map<string, string>()
  for (const { file, declarations } of modules) {
    for (const name of declarations.flatMap(({ names }) => names)) {
      const owner = owners.get(name)
      if (owner !== undefined) throw new Error(`"${name}" is defined by ${owner} and by ${file}; the exported script needs it once.`)
      owners.set(name, file)
    }
  }
}
