// What is known of members of tables, in the place where they are asked for.
import type { AnyNode } from 'acorn'
import { replaced, withoutMembers, type Change, type Tree } from '../tree'
import { textOf, isAssigned, type Rule } from './rule'

/** Puts what is known of members of tables in the place where they are asked for, and leaves them out where they are given. */
export function substituteMembers(known: ReadonlyMap<string, string>): Rule {
  return (tree) => {
    const changes: Change[] = []
    for (const node of tree.nodesOf('MemberExpression', 'ObjectPattern')) {
      if (node.type === 'MemberExpression' && !node.computed && node.property.type === 'Identifier') {
        const text = known.get(node.property.name)
        if (text !== undefined && !isAssigned(tree, node))
          changes.push({ from: node.start, to: node.end, text: needsParentheses(tree, node, text) ? `(${text})` : text })
      } else if (node.type === 'ObjectPattern') {
        const isKnown = (each: AnyNode) => each.type === 'Property' && each.key.type === 'Identifier' && known.has(each.key.name)
        const gone = withoutMembers(tree.text, node.properties, isKnown)
        if (gone.length === 0) continue
        changes.push(...gone)
        for (const property of node.properties) {
          if (!isKnown(property) || property.type !== 'Property' || property.key.type !== 'Identifier') continue
          const text = known.get(property.key.name) ?? ''
          const isDefaulted = property.value.type === 'AssignmentPattern'
          const id = isDefaulted && property.value.type === 'AssignmentPattern' ? property.value.left : property.value
          const value = property.value.type === 'AssignmentPattern' && text === 'undefined' ? textOf(tree, property.value.right) : text
          if (id.type === 'Identifier')
            for (const use of tree.bindingOf.get(id)?.uses ?? [])
              changes.push(replaced(tree, use, needsParentheses(tree, use, value) ? `(${value})` : value))
        }
      }
    }
    return changes
  }
}

/** A function in the place of a name needs parentheses where it is called, and an expression where it is part of another. */
function needsParentheses(tree: Tree, node: AnyNode, text: string): boolean {
  const parent = tree.parents.get(node)
  if (/^[\w$.]+$|^'[^']*'$|^\[[^[\]]*\]$/.test(text)) return false
  return (
    parent?.type === 'BinaryExpression' ||
    parent?.type === 'LogicalExpression' ||
    parent?.type === 'UnaryExpression' ||
    parent?.type === 'MemberExpression' ||
    (parent?.type === 'CallExpression' && parent.callee === node) ||
    parent?.type === 'ConditionalExpression'
  )
}
