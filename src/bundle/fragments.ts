// Reads the compiler's fragments as plain JavaScript: types taken out of the source as it is written, comments and layout kept.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import type { Fragment } from '../core/compile/join'

/** What of a source is left out, and what stands there instead. */
interface Cut {
  readonly from: number
  readonly to: number
  readonly text: string
}

/** The declarations of all fragments below the project's folder, in the order in which one script holds them. Throws where two define one name. */
export function readFragments(root: string): readonly Fragment[] {
  const folder = join(root, 'src/core/compile/fragments')
  const owners = new Map<string, string>()
  return readdirSync(folder)
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== 'given.ts' && file !== 'types.ts')
    .sort(byOrder)
    .flatMap((file) => {
      const source = ts.createSourceFile(file, readFileSync(join(folder, file), 'utf8'), ts.ScriptTarget.ES2022, true)
      const script = ts.createSourceFile(file, withoutTypes(source), ts.ScriptTarget.ES2022, true, ts.ScriptKind.JS)
      return script.statements.map((statement) => {
        const names = namesOf(statement)
        for (const name of names) {
          const owner = owners.get(name)
          if (owner !== undefined) throw new Error(`"${name}" is defined by ${owner} and by ${file}; a script needs it once.`)
          owners.set(name, file)
        }
        return { names, text: statement.getFullText().trim(), file: file.slice(0, -3) }
      })
    })
}

/** The pointer comes first, then what is done with it; where elements lie, and how values follow, come behind. */
const order = ['pointer', 'listen', 'draw', 'find', 'stand', 'meet', 'on', 'areas', 'place', 'turn', 'write', 'parts']
const byOrder = (one: string, other: string) => rank(one) - rank(other) || one.localeCompare(other)
const rank = (file: string) => order.indexOf(file.slice(0, -3)) + 1 || 99

function namesOf(statement: ts.Statement): readonly string[] {
  if (ts.isFunctionDeclaration(statement)) return statement.name ? [statement.name.text] : []
  return ts.isVariableStatement(statement) ? statement.declarationList.declarations.map(({ name }) => name.getText()) : []
}

/** The source as JavaScript. */
export function withoutTypes(source: ts.SourceFile): string {
  const { text } = source
  const cuts: Cut[] = []
  const cut = (from: number, to: number, by = '') => cuts.push({ from, to, text: by })
  const lineEnd = (at: number) => (text[at] === '\n' ? at + 1 : at)
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node))
      return void cut(node.getFullStart(), lineEnd(node.end))
    if (node.kind === ts.SyntaxKind.ExportKeyword || node.kind === ts.SyntaxKind.ReadonlyKeyword)
      return void cut(node.getStart(), node.end + 1)
    if ((ts.isVariableDeclaration(node) || ts.isParameter(node) || ts.isFunctionDeclaration(node) || ts.isArrowFunction(node)) && node.type)
      cut(text.lastIndexOf(':', node.type.getStart()), node.type.end)
    if (ts.isParameter(node) && node.questionToken) cut(node.questionToken.getStart(), node.questionToken.end)
    if ((ts.isCallExpression(node) || ts.isNewExpression(node)) && node.typeArguments)
      cut(node.typeArguments.pos - 1, node.typeArguments.end + 1)
    if (ts.isAsExpression(node)) {
      const isBare = ts.isParenthesizedExpression(node.parent) && ts.isLeftHandSideExpression(node.expression)
      if (isBare) cut(node.parent.getStart(), node.parent.getStart() + 1)
      cut(node.expression.end, isBare ? node.parent.end : node.end)
    }
    node.forEachChild((child) => {
      if (!ts.isTypeNode(child) || ts.isExpressionWithTypeArguments(child)) visit(child)
    })
  }
  source.statements.forEach(visit)
  for (const { pos, end } of commentsOf(source)) if (text.startsWith('/**', pos)) cut(pos, end, asLines(text.slice(pos, end)))
  return withCuts(text, cuts)
}

/** The comments of a source, once each. */
function commentsOf(source: ts.SourceFile): readonly ts.CommentRange[] {
  const found = new Map<number, ts.CommentRange>()
  const visit = (node: ts.Node): void => {
    for (const range of ts.getLeadingCommentRanges(source.text, node.getFullStart()) ?? []) found.set(range.pos, range)
    node.forEachChild(visit)
  }
  source.statements.forEach(visit)
  return [...found.values()]
}

const asLines = (comment: string) =>
  comment
    .slice(3, -2)
    .trim()
    .split('\n')
    .map((line) => `// ${line.replace(/^\s*\* ?/, '').trim()}`)
    .join('\n')

function withCuts(text: string, cuts: readonly Cut[]): string {
  let out = ''
  let at = 0
  for (const { from, to, text: by } of [...cuts].sort((a, b) => a.from - b.from)) {
    if (to <= at) continue
    out += text.slice(at, Math.max(at, from)) + by
    at = to
  }
  return out + text.slice(at)
}
