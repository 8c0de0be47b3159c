// Functions that are called once are what they do, where they are called.
import type { AnonymousFunctionDeclaration, AnyNode, CallExpression, FunctionDeclaration, Identifier } from 'acorn'
import { outdent, replaced, statementRange, type Binding, type Change, type Tree } from '../tree'
import { callsOf, innermostFunction, isAssigned, textOf, type Rule } from './rule'

type Named = FunctionDeclaration | AnonymousFunctionDeclaration

/** A function may have so many lines at most, with what is put into it. */
const mostLines = 34

const linesOf = (tree: Tree, { start, end }: AnyNode) => textOf(tree, { start, end } as AnyNode).split('\n').length

/** Where a function's body can stand in place of a call of it, and what of it is then the value. */
interface Site {
  readonly statement: AnyNode
  /** How the value that the body returns last is declared; its returns are those of the function around it, if undefined. */
  readonly declares: string | undefined
}

/** A function that is called once, in another one, by a statement of its own, is what that statement does. */
export const flattenCalls: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const found = binding.isTop && binding.kind === 'function' ? callsOf(tree, binding) : undefined
    const [call] = found?.calls ?? []
    if (!found || !call || found.calls.length !== 1 || found.made.type !== 'FunctionDeclaration') continue
    const around = innermostFunction(tree, call)
    if (around?.type !== 'FunctionDeclaration' || around === found.made || linesOf(tree, around) + linesOf(tree, found.made) > mostLines)
      continue
    const site = siteOf(tree, call, found.made)
    const given = site && settle(tree, found.made, call, around)
    if (!site || !given) continue
    return [
      rangeWithout(tree, found.made),
      { from: site.statement.start, to: site.statement.end, text: inlined(tree, found.made, site, given) },
    ]
  }
  return []
}

const rangeWithout = (tree: Tree, node: AnyNode): Change => ({ ...statementRange(tree.text, node), text: '' })

function siteOf(tree: Tree, call: CallExpression, made: Named): Site | undefined {
  const returns = tree.nodesOf('ReturnStatement').filter((node) => innermostFunction(tree, node) === made)
  const parent = tree.parents.get(call)
  if (parent?.type === 'ExpressionStatement') return returns.length === 0 ? { statement: parent, declares: undefined } : undefined
  if (parent?.type === 'ReturnStatement') return { statement: parent, declares: undefined }
  const statement = parent && tree.parents.get(parent)
  if (parent?.type !== 'VariableDeclarator' || statement?.type !== 'VariableDeclaration' || statement.declarations.length !== 1)
    return undefined
  const last = made.body.body.at(-1)
  return returns.length === 1 && last === returns[0] && tree.parents.get(statement)?.type === 'BlockStatement'
    ? { statement, declares: `${statement.kind} ${textOf(tree, parent.id)}` }
    : undefined
}

/** What stands for each parameter, and the constants that are declared for those for which no name does; undefined where names would be mixed up. */
function settle(
  tree: Tree,
  made: Named,
  call: CallExpression,
  around: AnyNode,
): { readonly changes: readonly Change[]; readonly constants: readonly string[] } | undefined {
  const isIn = (node: AnyNode, outer: AnyNode) => node.start >= outer.start && node.end <= outer.end
  const changes: Change[] = []
  const constants: string[] = []
  const gone = new Set<Binding>()
  const arrived = new Set<string>()
  for (const [i, parameter] of made.params.entries()) {
    const by = call.arguments[i]
    if (!by || by.type === 'SpreadElement' || parameter.type === 'AssignmentPattern' || parameter.type === 'RestElement') return undefined
    const own = parameter.type === 'Identifier' ? tree.bindingOf.get(parameter) : undefined
    if (own && by.type === 'Identifier' && isSteady(tree, by) && !own.uses.some((use) => isAssigned(tree, use))) {
      changes.push(...own.uses.map((use) => replaced(tree, use, by.name)))
      gone.add(own)
      arrived.add(by.name)
    } else
      constants.push(`${own?.uses.some((use) => isAssigned(tree, use)) ? 'let' : 'const'} ${textOf(tree, parameter)} = ${textOf(tree, by)}`)
  }
  const inner = tree.bindings.filter((each) => isIn(each.id, made) && each.id !== made.id && !gone.has(each))
  const outer = tree.bindings.filter((each) => each.isTop || isIn(each.id, around))
  const used = new Set(
    tree
      .nodesOf('Identifier')
      .filter((node) => isIn(node, made) && tree.bindingOf.get(node)?.isTop === true)
      .map(({ name }) => name),
  )
  const names = new Set(inner.map(({ name }) => name))
  const isMixed =
    outer.some(({ name }) => names.has(name)) ||
    [...arrived].some((name) => names.has(name)) ||
    tree.bindings.some((each) => !each.isTop && isIn(each.id, around) && used.has(each.name))
  return isMixed ? undefined : { changes, constants }
}

/** Whether a name stands for the same from beginning to end. */
function isSteady(tree: Tree, id: Identifier): boolean {
  const binding = tree.bindingOf.get(id)
  return !!binding && binding.kind !== 'let' && !binding.uses.some((use) => isAssigned(tree, use))
}

function inlined(
  tree: Tree,
  made: Named,
  { statement, declares }: Site,
  { changes, constants }: { readonly changes: readonly Change[]; readonly constants: readonly string[] },
): string {
  const { from } = statementRange(tree.text, made)
  const notes = tree.text
    .slice(from, made.start)
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line.startsWith('//'))
  const body = outdent(withInner(tree, made, changes, declares).slice(1, -1), 2).trim()
  const lines = [...notes, ...constants, ...body.split('\n')]
  const parent = tree.parents.get(statement)
  const isBlock = parent?.type === 'BlockStatement'
  const lineStart = tree.text.lastIndexOf('\n', statement.start - 1) + 1
  const indent = /^ */.exec(tree.text.slice(lineStart))?.[0] ?? ''
  if (isBlock) return lines.join(`\n${indent}`)
  return lines.length === 1 ? (lines[0] ?? '') : `{\n${indent}  ${lines.join(`\n${indent}  `)}\n${indent}}`
}

/** The body of a function as a block, changed; what it returns last is what is declared, where something is. */
function withInner(tree: Tree, made: Named, changes: readonly Change[], declares: string | undefined): string {
  const last = made.body.body.at(-1)
  const all = [...changes.filter(({ from }) => from >= made.body.start)]
  if (declares && last?.type === 'ReturnStatement' && last.argument)
    all.push({ from: last.start, to: last.argument.start, text: `${declares} = ` })
  let out = ''
  let at = made.body.start
  for (const { from, to, text } of all.sort((one, other) => one.from - other.from)) {
    out += tree.text.slice(at, from) + text
    at = to
  }
  return out + tree.text.slice(at, made.body.end)
}
