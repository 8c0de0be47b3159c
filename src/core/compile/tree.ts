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
  /** The text as its nodes count it. Empty lines may stand between its pieces, so that what did not change need not be moved. */
  readonly text: string
  /** The statements at the top, each with what stands before it up to the end of the one above. */
  readonly pieces: readonly string[]
  /** Where each piece begins in the text. */
  readonly starts: readonly number[]
  readonly parents: Pick<ReadonlyMap<AnyNode, AnyNode>, 'get' | 'has'>
  /** All nodes, those around others first. */
  readonly nodes: readonly AnyNode[]
  /** The nodes of these types, in the same order. Which they are in a statement is found out once for as long as it does not change. */
  readonly nodesOf: <Type extends AnyNode['type']>(...types: readonly Type[]) => readonly Typed<Type>[]
  readonly bindings: readonly Binding[]
  readonly bindingOf: Pick<ReadonlyMap<Identifier, Binding>, 'get' | 'has'>
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

/** What a statement declares at the top. */
interface Declared {
  readonly id: Identifier
  readonly declaration: AnyNode
  readonly kind: Binding['kind']
}

/** Some statements that were read: all that hangs on nothing but themselves is found once. */
interface Parsed {
  readonly program: Program
  /** All nodes, those around others first. */
  readonly nodes: readonly AnyNode[]
  readonly declared: readonly Declared[]
  /** What is declared within, with all who use it. */
  readonly inner: readonly Binding[]
  /** Names that are declared nowhere within. */
  readonly free: readonly Identifier[]
  /** Its nodes of some types, by the types. */
  readonly byTypes: Map<string, readonly AnyNode[]>
  /** Where its text begins now in the script that it is part of. */
  offset: number
}

/** On a node: what it stands in, and on a name its binding in the tree that was read last. Kept there, since nodes are many and outlive a tree. */
const parent = Symbol('parent')
const bound = Symbol('binding')
interface Noted {
  [parent]?: AnyNode
  [bound]?: Binding | undefined
}
const noted = (node: AnyNode): Noted => node as Noted

const bindingOf: Tree['bindingOf'] = { get: (id) => noted(id)[bound], has: (id) => noted(id)[bound] !== undefined }
const parents: Tree['parents'] = { get: (node) => noted(node)[parent], has: (node) => noted(node)[parent] !== undefined }

/** What was parsed lately: of a script that is changed in one place, the rest need not be read again. */
const parsed = new Map<string, Parsed>()
const mostParsed = 4000

function parsePiece(text: string, taken: ReadonlySet<Parsed>): Parsed {
  const known = parsed.get(text)
  if (known && !taken.has(known)) return known
  const fresh = readProgram(parse(text, { ecmaVersion: 2022, sourceType: 'script' }))
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

/** The names that a pattern declares. */
function namesIn(pattern: AnyNode): readonly Identifier[] {
  switch (pattern.type) {
    case 'Identifier':
      return [pattern]
    case 'ObjectPattern':
      return pattern.properties.flatMap((property) => namesIn(property.type === 'RestElement' ? property.argument : property.value))
    case 'ArrayPattern':
      return pattern.elements.flatMap((element) => (element ? namesIn(element) : []))
    case 'AssignmentPattern':
      return namesIn(pattern.left)
    case 'RestElement':
      return namesIn(pattern.argument)
    default:
      return []
  }
}

/** What statements of a block declare: it counts in all of the block. */
const declaredIn = (statements: readonly AnyNode[]): readonly Declared[] =>
  statements.flatMap((statement): readonly Declared[] => {
    if (statement.type === 'FunctionDeclaration' && statement.id) return [{ id: statement.id, declaration: statement, kind: 'function' }]
    if (statement.type !== 'VariableDeclaration') return []
    const kind = statement.kind === 'const' ? 'const' : 'let'
    return statement.declarations.flatMap((each) => namesIn(each.id).map((id) => ({ id, declaration: each, kind })))
  })

/** What counts within a node alone: parameters, and what a block or the head of a loop declares. */
function declaredBy(node: AnyNode): readonly Declared[] | undefined {
  switch (node.type) {
    case 'FunctionDeclaration':
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return node.params.flatMap((parameter) => namesIn(parameter).map((id) => ({ id, declaration: node, kind: 'parameter' })))
    case 'BlockStatement':
      return declaredIn(node.body)
    case 'ForStatement':
      return node.init?.type === 'VariableDeclaration' ? declaredIn([node.init]) : []
    case 'ForOfStatement':
      return node.left.type === 'VariableDeclaration' ? declaredIn([node.left]) : []
    case 'CatchClause':
      return node.param ? namesIn(node.param).map((id) => ({ id, declaration: node, kind: 'parameter' })) : []
    default:
      return undefined
  }
}

const bindingFor = ({ id, declaration, kind }: Declared, isTop: boolean): Binding => ({
  name: id.name,
  id,
  declaration,
  kind,
  isTop,
  uses: [],
})

/** Finds in statements all that hangs on nothing but themselves. */
function readProgram(program: Program): Parsed {
  const nodes: AnyNode[] = []
  const inner: Binding[] = []
  const open: { readonly id: Identifier; readonly scope: Scope | undefined }[] = []
  const declared = declaredIn(program.body)
  const known = new Set(declared.map(({ id }) => id))
  const scopeFor = (own: readonly Declared[], around: Scope | undefined): Scope => {
    const names = new Map<string, Binding>()
    for (const each of own) {
      const binding = bindingFor(each, false)
      names.set(binding.name, binding)
      inner.push(binding)
      noted(each.id)[bound] = binding
      known.add(each.id)
    }
    return { names, around }
  }
  const visit = (node: AnyNode, around: AnyNode | undefined, scope: Scope | undefined): void => {
    if (around) noted(node)[parent] = around
    nodes.push(node)
    const own = declaredBy(node)
    const within = own ? scopeFor(own, scope) : scope
    if (node.type === 'Identifier' && !known.has(node) && isReference(node, around)) open.push({ id: node, scope })
    for (const child of childrenOf(node)) visit(child, node, within)
  }
  for (const statement of program.body) visit(statement, undefined, undefined)
  const free = open.flatMap(({ id, scope }) => {
    for (let each = scope; each; each = each.around) {
      const binding = each.names.get(id.name)
      if (!binding) continue
      binding.uses.push(id)
      noted(id)[bound] = binding
      return []
    }
    return [id]
  })
  return { program, nodes, declared, inner, free, byTypes: new Map(), offset: 0 }
}

/** How far a piece may stand behind the one before it. */
const widestGap = 4000

/** Moves what was read of a piece to where it begins now. */
function placeAt(piece: Parsed, offset: number): void {
  const by = offset - piece.offset
  piece.offset = offset
  if (by === 0) return
  for (const node of piece.nodes) {
    node.start += by
    node.end += by
  }
}

type Typed<Type extends AnyNode['type']> = Extract<AnyNode, { type: Type }>

/** The nodes of these pieces that are of these types. */
function nodesOf<Type extends AnyNode['type']>(pieces: readonly Parsed[], types: readonly Type[]): readonly Typed<Type>[] {
  const isOne = (node: AnyNode): node is Typed<Type> => (types as readonly string[]).includes(node.type)
  const key = types.join()
  const found: Typed<Type>[] = []
  for (const { nodes, byTypes } of pieces) {
    const known = byTypes.get(key) as readonly Typed<Type>[] | undefined
    const own = known ?? nodes.filter(isOne)
    if (!known) byTypes.set(key, own)
    for (const node of own) found.push(node)
  }
  return found
}

/** Reads a script, given as a text or as pieces with some statements each. Throws a SyntaxError where it is none. */
export function readTree(given: string | readonly string[]): Tree {
  const pieces = (typeof given === 'string' ? [given] : given).flatMap((each) => inPieces(each, parsePiece(each, new Set()).program))
  const taken = new Set<Parsed>()
  const starts: number[] = []
  let text = ''
  for (const piece of pieces) {
    const each = parsePiece(piece, taken)
    taken.add(each)
    placeAt(each, each.offset >= text.length && each.offset - text.length <= widestGap ? each.offset : text.length)
    starts.push(each.offset)
    text += '\n'.repeat(each.offset - text.length) + piece
  }
  const all = [...taken]
  const top = all.flatMap(({ declared }) => declared.map((each) => bindingFor(each, true)))
  const named = new Map(top.map((binding) => [binding.name, binding]))
  for (const binding of top) noted(binding.id)[bound] = binding
  for (const { free } of all)
    for (const id of free) {
      const binding = named.get(id.name)
      noted(id)[bound] = binding
      binding?.uses.push(id)
    }
  let nodes: readonly AnyNode[] | undefined
  return {
    text,
    pieces,
    starts,
    parents,
    get nodes() {
      return (nodes ??= all.flatMap((each) => each.nodes))
    },
    nodesOf: (...types) => nodesOf(all, types),
    bindings: [...top, ...all.flatMap(({ inner }) => inner)],
    bindingOf,
  }
}

/** Whether an identifier stands for a value, not for the name of a member. */
function isReference(id: Identifier, parent: AnyNode | undefined): boolean {
  if (parent?.type === 'MemberExpression') return parent.object === id || parent.computed
  if (parent?.type === 'Property') return parent.value === id || parent.computed
  return true
}

/** The pieces of a script with all changes made; of two that overlap the later one is left out. */
export function withChanges({ pieces, starts }: Tree, changes: readonly Change[]): readonly string[] {
  const sorted = [...changes].sort((one, other) => one.from - other.from || other.to - one.to)
  let next = 0
  let done = 0
  return pieces.map((piece, i) => {
    const start = starts[i] ?? 0
    const end = start + piece.length
    let out = ''
    let at = start
    for (let change = sorted[next]; change && change.from < end; change = sorted[++next]) {
      if (change.from < done) continue
      out += piece.slice(at - start, Math.max(at, change.from) - start) + change.text
      done = at = Math.max(at, change.to)
    }
    out += piece.slice(Math.min(piece.length, at - start))
    return out
  })
}

/** The text of a tree, without the empty lines between its pieces. */
export const textOf = ({ pieces }: Tree): string => pieces.join('')

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
