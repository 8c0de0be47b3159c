// What rules are, and what they have in common.
import type { AnonymousFunctionDeclaration, AnyNode, ArrowFunctionExpression, CallExpression, FunctionDeclaration } from 'acorn'
import { isQuiet } from '../static'
import { statementRange, type Binding, type Change, type Tree } from '../tree'

export type Rule = (tree: Tree) => readonly Change[]

export const textOf = ({ text }: Tree, node: AnyNode) => text.slice(node.start, node.end)

export function isAssigned(tree: Tree, node: AnyNode): boolean {
  const parent = tree.parents.get(node)
  return (
    (parent?.type === 'AssignmentExpression' && parent.left === node) ||
    parent?.type === 'ArrayPattern' ||
    parent?.type === 'UpdateExpression'
  )
}

/** Whether a name is given another value here, and is not asked for its own. */
export function isOverwritten(tree: Tree, node: AnyNode): boolean {
  const parent = tree.parents.get(node)
  return parent?.type === 'AssignmentExpression' && parent.left === node && parent.operator === '='
}

/** A statement left out; what only led to it goes with it. */
export function withoutStatement(tree: Tree, node: AnyNode): readonly Change[] {
  const parent = tree.parents.get(node)
  if (parent?.type === 'IfStatement') {
    if (parent.alternate === node) return [{ from: parent.consequent.end, to: node.end, text: '' }]
    if (!parent.alternate && isQuiet(parent.test)) return withoutStatement(tree, parent)
    return [{ from: node.start, to: node.end, text: '{}' }]
  }
  if (parent?.type === 'ForOfStatement' || parent?.type === 'ForStatement' || parent?.type === 'WhileStatement')
    return parent.type === 'ForOfStatement' && isQuiet(parent.right)
      ? withoutStatement(tree, parent)
      : [{ from: node.start, to: node.end, text: '{}' }]
  if (parent?.type === 'BlockStatement' && parent.body.length === 1) {
    const outer = tree.parents.get(parent)
    if (outer?.type === 'IfStatement' || outer?.type === 'ForOfStatement') return withoutStatement(tree, parent)
  }
  const { from, to } = statementRange(tree.text, node)
  return [{ from, to, text: '' }]
}

export type AnyFunction = FunctionDeclaration | AnonymousFunctionDeclaration | ArrowFunctionExpression

/** The function that a binding at the top names, and all calls of it; undefined where it is used otherwise. */
export function callsOf(
  tree: Tree,
  binding: Binding,
): { readonly made: AnyFunction; readonly calls: readonly CallExpression[] } | undefined {
  const { declaration } = binding
  const made =
    declaration.type === 'FunctionDeclaration'
      ? declaration
      : declaration.type === 'VariableDeclarator' && declaration.init?.type === 'ArrowFunctionExpression'
        ? declaration.init
        : undefined
  if (!made) return undefined
  const calls: CallExpression[] = []
  for (const use of binding.uses) {
    const parent = tree.parents.get(use)
    if (parent?.type !== 'CallExpression' || parent.callee !== use) return undefined
    calls.push(parent)
  }
  return { made, calls }
}

export const isName = (text: string) => /^[\w$.]+$|^-\d+$|^'[^'\n]*'$/.test(text)

export const emptyAt = (at: number) => ({ from: at, to: at })

/** The statement at the top that a node stands in. */
export function outermost(tree: Tree, node: AnyNode): AnyNode {
  let each = node
  for (let parent = tree.parents.get(each); parent; parent = tree.parents.get(each)) each = parent
  return each
}

/** The function right around a node. */
export function innermostFunction(tree: Tree, node: AnyNode): AnyNode | undefined {
  for (let each = tree.parents.get(node); each; each = tree.parents.get(each))
    if (each.type === 'FunctionDeclaration' || each.type === 'ArrowFunctionExpression') return each
  return undefined
}

/** An expression as it can stand in the place of another: in brackets, where something would bind a part of it tighter. */
export const inPlaceOf = (tree: Tree, use: AnyNode, by: AnyNode) =>
  isWhole(tree, use, by) || isSimple(by) ? textOf(tree, by) : `(${textOf(tree, by)})`

/** Whether another expression in the place of this one is all that stands there. */
export function isWhole(tree: Tree, place: AnyNode, by: AnyNode): boolean {
  const parent = tree.parents.get(place)
  if (
    !parent ||
    parent.type === 'ArrayExpression' ||
    parent.type === 'Property' ||
    parent.type === 'VariableDeclarator' ||
    parent.type === 'ReturnStatement' ||
    parent.type === 'ExpressionStatement' ||
    parent.type === 'IfStatement'
  )
    return true
  if (parent.type === 'LogicalExpression' && by.type === 'LogicalExpression') return parent.operator === by.operator
  return (
    (parent.type === 'CallExpression' && parent.callee !== place) ||
    (parent.type === 'ArrowFunctionExpression' && by.type !== 'ObjectExpression') ||
    (parent.type === 'AssignmentExpression' && parent.right === place)
  )
}

/** Expressions that nothing takes apart. */
export const isSimple = ({ type }: AnyNode) =>
  type === 'Identifier' ||
  type === 'MemberExpression' ||
  type === 'Literal' ||
  type === 'CallExpression' ||
  type === 'ArrayExpression' ||
  type === 'TemplateLiteral'
