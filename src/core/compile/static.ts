// What of an expression is known without running it.
import type { AnyNode } from 'acorn'

/** A value that is known, as far as it matters: as itself, or only that it counts as true. */
export type Known = { readonly value: string | number | boolean | null | undefined } | { readonly isTrue: true }

/** What an expression comes to; undefined where that is not known. */
export function knownOf(node: AnyNode): Known | undefined {
  switch (node.type) {
    case 'Literal':
      return typeof node.value === 'string' || typeof node.value === 'number' || typeof node.value === 'boolean' || node.value === null
        ? { value: node.value }
        : undefined
    case 'Identifier':
      return node.name === 'undefined' ? { value: undefined } : node.name === 'Infinity' ? { value: Infinity } : undefined
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
    case 'ObjectExpression':
    case 'ArrayExpression':
    case 'NewExpression':
      return { isTrue: true }
    case 'ParenthesizedExpression':
      return knownOf(node.expression)
    case 'UnaryExpression': {
      const inner = knownOf(node.argument)
      if (!inner) return undefined
      if (node.operator === '!') return { value: !isTruthy(inner) }
      return node.operator === '-' && 'value' in inner && typeof inner.value === 'number' ? { value: -inner.value } : undefined
    }
    case 'BinaryExpression': {
      if (node.left.type === 'PrivateIdentifier') return undefined
      if (
        (node.operator === '===' || node.operator === '!==') &&
        node.left.type === 'Identifier' &&
        node.right.type === 'Identifier' &&
        node.left.name === node.right.name
      )
        return { value: node.operator === '===' }
      const [one, other] = [knownOf(node.left), knownOf(node.right)]
      if (!one || !other || !('value' in one) || !('value' in other)) return undefined
      if (node.operator === '===') return { value: one.value === other.value }
      return node.operator === '!==' ? { value: one.value !== other.value } : undefined
    }
    case 'LogicalExpression': {
      const left = knownOf(node.left)
      if (!left) return undefined
      return takesLeft(node.operator, left) ? left : knownOf(node.right)
    }
    default:
      return undefined
  }
}

export const isTruthy = (known: Known) => 'isTrue' in known || Boolean(known.value)

/** Whether an operator is done with what stands at its left. */
export function takesLeft(operator: '&&' | '||' | '??', left: Known): boolean {
  if (operator === '??') return 'isTrue' in left || (left.value !== undefined && left.value !== null)
  return operator === '||' ? isTruthy(left) : !isTruthy(left)
}

/** Calls that leave no trace, by the name of the function or the method. */
const quietCalls = new Set([
  'Number',
  'String',
  'Boolean',
  'parseFloat',
  'bezier',
  'steps',
  'linearPoints',
  'abs',
  'min',
  'max',
  'hypot',
  'exp',
  'sqrt',
  'floor',
  'round',
  'getComputedStyle',
  'getBoundingClientRect',
  'querySelectorAll',
  'querySelector',
  'closest',
  'contains',
  'fill',
  'frameOfBox',
  'newLook',
  'startsWith',
  'has',
  'get',
  'transformPoint',
])
const quietClasses = new Set(['Map', 'Set', 'Array', 'DOMMatrix'])

/** Whether an expression may be left out where nobody needs what it gives. */
export function isQuiet(node: AnyNode | null | undefined): boolean {
  if (!node) return true
  switch (node.type) {
    case 'Literal':
    case 'Identifier':
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return true
    case 'MemberExpression':
      return isQuiet(node.object) && (!node.computed || isQuiet(node.property))
    case 'TemplateLiteral':
      return node.expressions.every(isQuiet)
    case 'UnaryExpression':
      return node.operator !== 'delete' && isQuiet(node.argument)
    case 'BinaryExpression':
    case 'LogicalExpression':
      return isQuiet(node.left) && isQuiet(node.right)
    case 'ConditionalExpression':
      return isQuiet(node.test) && isQuiet(node.consequent) && isQuiet(node.alternate)
    case 'ArrayExpression':
      return node.elements.every((each) => isQuiet(each))
    case 'SpreadElement':
    case 'ChainExpression':
    case 'ParenthesizedExpression':
      return isQuiet(node.type === 'SpreadElement' ? node.argument : node.expression)
    case 'ObjectExpression':
      return node.properties.every((each) => (each.type === 'SpreadElement' ? isQuiet(each.argument) : isQuiet(each.value)))
    case 'NewExpression':
      return node.callee.type === 'Identifier' && quietClasses.has(node.callee.name) && node.arguments.every(isQuiet)
    case 'CallExpression': {
      const { callee } = node
      const name =
        callee.type === 'Identifier'
          ? callee.name
          : callee.type === 'MemberExpression' && callee.property.type === 'Identifier'
            ? callee.property.name
            : ''
      return quietCalls.has(name) && isQuiet(callee) && node.arguments.every(isQuiet)
    }
    default:
      return false
  }
}
