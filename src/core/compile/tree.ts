// A script as a syntax tree: what it declares, who uses it, and edits of its text at the places that the tree tells.
import { parse, type AnyNode, type Identifier, type Program } from 'acorn'

/** A change of the text: from one place to another, by other text. */
export interface Change {
  readonly from: number
  readonly to: number
  readonly text: string
}

/** A name that a script declares, with all who use it. */
export interface Binding {
  readonly name: string
  readonly id: Identifier
  /** What declares it: a declarator, a function, a pattern's owner. */
  readonly declaration: AnyNode
  readonly kind: 'const' | 'let' | 'function' | 'parameter'
  readonly isTop: boolean
  /** Where it is used, the declaration apart. */
  readonly uses: Identifier[]
}

export interface Tree {
  readonly text: string
  /** The statements at the top, each with what stands before it up to the end of the one above. */
  readonly pieces: readonly string[]
  readonly parents: ReadonlyMap<AnyNode, AnyNode>
  /** All nodes, those around others first. */
  readonly nodes: readonly AnyNode[]
  readonly bindings: readonly Binding[]
  readonly bindingOf: ReadonlyMap<Identifier, Binding>
}

/** The nodes right below a node. */
function childrenOf(node: AnyNode): readonly AnyNode[] {
  const found: AnyNode[] = []
  for (const key in node) {
    const value = node[key as keyof AnyNode] as unknown
    if (Array.isArray(value)) found.push(...(value as unknown[]).filter(isNode))
    else if (isNode(value)) found.push(value)
  }
  return found
}
const isNode = (value: unknown): value is AnyNode => typeof value === 'object' && value !== null && 'start' in value

interface Scope {
  readonly names: Map<string, Binding>
  readonly around: Scope | undefined
}

interface Parsed {
  readonly program: Program
  /** Where its text begins now in the script that it is part of. */
  offset: number
}

/** What was parsed lately: of a script that is changed in one place, the rest need not be read again. */
const parsed = new Map<string, Parsed>()
const mostParsed = 4000

function parsePiece(text: string, taken: ReadonlySet<Parsed>): Parsed {
  const known = parsed.get(text)
  if (known && !taken.has(known)) return known
  const fresh: Parsed = { program: parse(text, { ecmaVersion: 2022, sourceType: 'script' }), offset: 0 }
  if (parsed.size >= mostParsed) parsed.clear()
  parsed.set(text, fresh)
  return fresh
}

/** A text as pieces with a statement each. */
function inPieces(text: string, { body }: Program): readonly string[] {
  const pieces: string[] = []
  let from = 0
  body.forEach(({ end }, i) => {
    const line = text.indexOf('\n', end) + 1
    const next = body[i + 1]
    const to = !next ? text.length : line > 0 && line <= next.start ? line : end
    pieces.push(text.slice(from, to))
    from = to
  })
  return pieces.length > 0 ? pieces : text.trim() === '' ? [] : [text]
}

/** Reads a script, given as a text or as pieces with some statements each. Throws a SyntaxError where it is none. */
export function readTree(given: string | readonly string[]): Tree {
  const pieces = (typeof given === 'string' ? [given] : given).flatMap((each) => inPieces(each, parsePiece(each, new Set()).program))
  const text = pieces.join('')
  const taken = new Set<Parsed>()
  let offset = 0
  for (const piece of pieces) {
    const each = parsePiece(piece, taken)
    taken.add(each)
    const by = offset - each.offset
    each.offset = offset
    if (by !== 0) each.program.body.forEach((node) => shift(node, by))
    offset += piece.length
  }
  const body = [...taken].flatMap(({ program }) => program.body)
  const parents = new Map<AnyNode, AnyNode>()
  const nodes: AnyNode[] = []
  const bindings: Binding[] = []
  const bindingOf = new Map<Identifier, Binding>()
  const open: { readonly id: Identifier; readonly scope: Scope }[] = []
  const declare = (scope: Scope, id: Identifier, declaration: AnyNode, kind: Binding['kind']) => {
    const binding: Binding = { name: id.name, id, declaration, kind, isTop: scope.around === undefined, uses: [] }
    scope.names.set(id.name, binding)
    bindings.push(binding)
    bindingOf.set(id, binding)
  }
  const declarePattern = (pattern: AnyNode, scope: Scope, declaration: AnyNode, kind: Binding['kind']): void => {
    switch (pattern.type) {
      case 'Identifier':
        return declare(scope, pattern, declaration, kind)
      case 'ObjectPattern':
        return pattern.properties.forEach((property) =>
          declarePattern(property.type === 'RestElement' ? property.argument : property.value, scope, declaration, kind),
        )
      case 'ArrayPattern':
        return pattern.elements.forEach((element) => element && declarePattern(element, scope, declaration, kind))
      case 'AssignmentPattern':
        return declarePattern(pattern.left, scope, declaration, kind)
      case 'RestElement':
        return declarePattern(pattern.argument, scope, declaration, kind)
      default:
        return undefined
    }
  }
  /** What a block declares counts in all of it. */
  const declareAll = (statements: readonly AnyNode[], scope: Scope) => {
    for (const statement of statements) {
      if (statement.type === 'FunctionDeclaration' && statement.id) declare(scope, statement.id, statement, 'function')
      if (statement.type === 'VariableDeclaration')
        for (const each of statement.declarations) declarePattern(each.id, scope, each, statement.kind === 'const' ? 'const' : 'let')
    }
  }
  const visit = (node: AnyNode, parent: AnyNode | undefined, scope: Scope): void => {
    if (parent) parents.set(node, parent)
    nodes.push(node)
    let inner = scope
    if (node.type === 'FunctionDeclaration' || node.type === 'ArrowFunctionExpression' || node.type === 'FunctionExpression') {
      inner = { names: new Map(), around: scope }
      for (const parameter of node.params) declarePattern(parameter, inner, node, 'parameter')
    } else if (node.type === 'BlockStatement') {
      inner = { names: new Map(), around: scope }
      declareAll(node.body, inner)
    } else if (node.type === 'ForStatement' || node.type === 'ForOfStatement') {
      inner = { names: new Map(), around: scope }
      const head = node.type === 'ForStatement' ? node.init : node.left
      if (head?.type === 'VariableDeclaration') declareAll([head], inner)
    }
    if (node.type === 'CatchClause') {
      inner = { names: new Map(), around: scope }
      if (node.param) declarePattern(node.param, inner, node, 'parameter')
    }
    if (node.type === 'Identifier' && !bindingOf.has(node) && isReference(node, parent)) open.push({ id: node, scope })
    for (const child of childrenOf(node)) visit(child, node, inner)
  }
  const whole: Scope = { names: new Map(), around: undefined }
  declareAll(body, whole)
  for (const statement of body) visit(statement, undefined, whole)
  for (const { id, scope } of open) {
    for (let each: Scope | undefined = scope; each; each = each.around) {
      const binding = each.names.get(id.name)
      if (!binding) continue
      binding.uses.push(id)
      bindingOf.set(id, binding)
      break
    }
  }
  return { text, pieces, parents, nodes, bindings, bindingOf }
}

function shift(node: AnyNode, by: number): void {
  node.start += by
  node.end += by
  for (const child of childrenOf(node)) shift(child, by)
}

/** Whether an identifier stands for a value, not for the name of a member. */
function isReference(id: Identifier, parent: AnyNode | undefined): boolean {
  if (parent?.type === 'MemberExpression') return parent.object === id || parent.computed
  if (parent?.type === 'Property') return parent.value === id || parent.computed
  return true
}

/** The pieces of a script with all changes made; of two that overlap the later one is left out. */
export function withChanges({ pieces }: Tree, changes: readonly Change[]): readonly string[] {
  const sorted = [...changes].sort((one, other) => one.from - other.from || other.to - one.to)
  let start = 0
  let next = 0
  let done = 0
  return pieces.map((piece) => {
    const end = start + piece.length
    let out = ''
    let at = start
    for (let change = sorted[next]; change && change.from < end; change = sorted[++next]) {
      if (change.from < done) continue
      out += piece.slice(at - start, Math.max(at, change.from) - start) + change.text
      done = at = Math.max(at, change.to)
    }
    out += piece.slice(Math.min(piece.length, at - start))
    start = end
    return out
  })
}

/** A name's use with other text in its place. */
export function replaced(tree: Tree, use: Identifier, text: string): Change {
  const parent = tree.parents.get(use)
  const isShort = parent?.type === 'Property' && parent.shorthand
  return { from: use.start, to: use.end, text: isShort ? `${use.name}: ${text}` : text }
}

/** A statement with its comments and its line; what is left is what stands beside it. */
export function statementRange(text: string, { start, end }: AnyNode): { readonly from: number; readonly to: number } {
  let from = text.lastIndexOf('\n', start - 1) + 1
  if (text.slice(from, start).trim() !== '') return { from: start, to: end }
  // The comment lines right above it are about it.
  for (;;) {
    const above = text.lastIndexOf('\n', from - 2) + 1
    if (from === 0 || !text.slice(above, from).trim().startsWith('//')) break
    from = above
  }
  const rest = /^[ \t]*(\/\/[^\n]*)?\n?/.exec(text.slice(end))?.[0] ?? ''
  return { from, to: end + rest.length }
}

/** The text of the statements in a block, so many spaces further out. */
export function innerText(text: string, block: AnyNode, by = 2): string {
  if (block.type !== 'BlockStatement') return text.slice(block.start, block.end)
  return outdent(text.slice(block.start + 1, block.end - 1), by).trim()
}

export const outdent = (text: string, by: number) => text.replaceAll(`\n${' '.repeat(by)}`, '\n')

/** What takes some members out of a list, with the commas that they leave behind. */
export function withoutMembers(
  text: string,
  members: readonly (AnyNode | null)[],
  isGone: (member: AnyNode) => boolean,
): readonly Change[] {
  const all = members.filter((member): member is AnyNode => member !== null)
  const firstKept = all.findIndex((member) => !isGone(member))
  const last = all.at(-1)
  if (!last || !all.some(isGone)) return []
  if (firstKept < 0)
    return [{ from: all[0]?.start ?? last.start, to: last.end + (/^\s*,/.exec(text.slice(last.end))?.[0].length ?? 0), text: '' }]
  return all.flatMap((member, i) =>
    !isGone(member)
      ? []
      : [
          i < firstKept
            ? { from: member.start, to: all[i + 1]?.start ?? member.end, text: '' }
            : { from: all[i - 1]?.end ?? member.start, to: member.end, text: '' },
        ],
  )
}
