// Parameters that are given the same at every call, and arguments that nobody takes.
import type { AnyNode, Identifier, Pattern } from 'acorn'
import { isQuiet } from '../static'
import { replaced, statementRange, withoutMembers, type Change, type Tree } from '../tree'
import { textOf, isAssigned, callsOf, isName, emptyAt, outermost, type Rule } from './rule'

/** Whether an expression is the same wherever it stands: numbers, texts, and what is declared once at the top. */
function isConstant(tree: Tree, node: AnyNode): boolean {
  switch (node.type) {
    case 'Literal':
      return true
    case 'Identifier': {
      if (node.name === 'undefined' || node.name === 'Math' || node.name === 'Infinity') return true
      const binding = tree.bindingOf.get(node)
      return !!binding?.isTop && (binding.kind === 'const' || binding.kind === 'function')
    }
    case 'MemberExpression':
      return node.object.type === 'Identifier' && node.object.name === 'Math'
    case 'CallExpression':
      return (
        node.callee.type === 'MemberExpression' && isConstant(tree, node.callee) && node.arguments.every((each) => isConstant(tree, each))
      )
    case 'UnaryExpression':
      return isConstant(tree, node.argument)
    case 'BinaryExpression':
      return isConstant(tree, node.left) && isConstant(tree, node.right)
    case 'ArrowFunctionExpression':
      return tree
        .nodesOf('Identifier')
        .every((each) => each.start < node.start || each.end > node.end || !tree.bindingOf.has(each) || isInside(tree, each, node))
    default:
      return false
  }
}

const isInside = (tree: Tree, id: Identifier, node: AnyNode) => {
  const binding = tree.bindingOf.get(id)
  return !!binding && (binding.isTop || (binding.id.start >= node.start && binding.id.end <= node.end))
}

/** A parameter that is given the same at every call is no parameter: it is that. */
export const settleParameters: Rule = (tree) => {
  const changes: Change[] = []
  for (const binding of tree.bindings) {
    const found = binding.isTop ? callsOf(tree, binding) : undefined
    if (!found || found.calls.length === 0) continue
    const { made, calls } = found
    const settled = made.params.map((parameter, i) =>
      settledBy(
        tree,
        parameter,
        calls.map((call) => call.arguments[i]),
      ),
    )
    if (settled.every((each) => each === undefined)) continue
    made.params.forEach((parameter, i) => {
      const id = idOf(parameter)
      const text = settled[i]
      if (!text || !id) return
      if (isName(text)) for (const use of tree.bindingOf.get(id)?.uses ?? []) changes.push(replaced(tree, use, text))
      else changes.push({ ...emptyAt(statementRange(tree.text, outermost(tree, made)).from), text: `const ${id.name} = ${text}\n` })
    })
    changes.push(...withoutMembers(tree.text, made.params, (each) => settled[made.params.indexOf(each as Pattern)] !== undefined))
    for (const call of calls)
      changes.push(
        ...withoutMembers(
          tree.text,
          call.arguments,
          (each) => settled[call.arguments.indexOf(each as (typeof call.arguments)[number])] !== undefined,
        ),
      )
  }
  return changes
}

const idOf = (parameter: Pattern) => {
  const id = parameter.type === 'AssignmentPattern' ? parameter.left : parameter
  return id.type === 'Identifier' ? id : undefined
}

/** What a parameter is given at every call, nothing where nobody asks for it; undefined where that differs, or would not be the same elsewhere. */
function settledBy(tree: Tree, parameter: Pattern, given: readonly (AnyNode | undefined)[]): string | undefined {
  const id = idOf(parameter)
  const own = id && tree.bindingOf.get(id)
  const isEmpty = parameter.type === 'ObjectPattern' && parameter.properties.length === 0
  if (isEmpty || (own && own.uses.length === 0))
    return given.every((each) => !each || (each.type !== 'SpreadElement' && isQuiet(each))) ? '' : undefined
  if (!own || own.uses.some((use) => isAssigned(tree, use)) || given.some((each) => each?.type === 'SpreadElement')) return undefined
  // In itself it may be handed on.
  const others = given.filter((each) => !(each?.type === 'Identifier' && tree.bindingOf.get(each) === own))
  const texts = new Set(
    others.map((each) =>
      each ? textOf(tree, each) : parameter.type === 'AssignmentPattern' ? textOf(tree, parameter.right) : 'undefined',
    ),
  )
  const [text] = texts
  if (text === undefined || texts.size !== 1 || others.some((each) => each && !isConstant(tree, each))) return undefined
  const isTaken = tree.bindings.some(({ name, id: other }) => name === id.name && other !== id)
  return isName(text) || !isTaken ? text : undefined
}

/** Arguments behind the last parameter of a function of ours are nobody's. */
export const dropArguments: Rule = (tree) => {
  const changes: Change[] = []
  for (const binding of tree.bindings) {
    const found = binding.isTop ? callsOf(tree, binding) : undefined
    if (!found || found.made.params.at(-1)?.type === 'RestElement') continue
    for (const call of found.calls) {
      const extra = call.arguments.slice(found.made.params.length)
      if (extra.length === 0 || !extra.every(isQuiet) || call.arguments.some(({ type }) => type === 'SpreadElement')) continue
      changes.push(...withoutMembers(tree.text, call.arguments, (each) => extra.includes(each as (typeof extra)[number])))
    }
  }
  return changes
}
