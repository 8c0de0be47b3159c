// Conditions whose answer is known.
import type { AnyNode, BinaryExpression, SpreadElement, VariableDeclarator } from 'acorn'
import { isQuiet, isTruthy, knownOf, takesLeft } from '../static'
import { innerText, replaced, statementRange, type Change, type Tree } from '../tree'
import { inPlaceOf, isSimple, textOf, withoutStatement, type Rule } from './rule'

/** Whether an expression is true or false, and nothing else. */
function isBoolean(node: AnyNode): boolean {
  if (node.type === 'BinaryExpression') return /^([<>]=?|[!=]==?|in|instanceof)$/.test(node.operator)
  if (node.type === 'UnaryExpression') return node.operator === '!'
  if (node.type === 'Literal') return typeof node.value === 'boolean'
  if (node.type === 'LogicalExpression') return isBoolean(node.left) && isBoolean(node.right)
  return node.type === 'CallExpression' && node.callee.type === 'Identifier' && /^(is|has|holds)/.test(node.callee.name)
}

/** Whether only it matters whether an expression counts as true. */
function isAsked(tree: Tree, node: AnyNode): boolean {
  const parent = tree.parents.get(node)
  if (!parent) return false
  if (parent.type === 'IfStatement' || parent.type === 'ConditionalExpression' || parent.type === 'WhileStatement')
    return parent.test === node
  if (parent.type === 'UnaryExpression') return parent.operator === '!'
  if (parent.type === 'LogicalExpression') return parent.operator !== '??' && isAsked(tree, parent)
  return parent.type === 'ParenthesizedExpression' && isAsked(tree, parent)
}

/** Parentheses that hold nothing that needs them any more. */
const bare = (text: string) => /^\(([\w$.]+)\)$/.exec(text)?.[1] ?? text

/** A part of an expression in the place of the whole: in brackets where what is around it would bind a part of that tighter. */
function partOf(tree: Tree, whole: AnyNode, part: AnyNode): string {
  const parent = tree.parents.get(whole)
  const isInBrackets = tree.text[whole.start - 1] === '(' && tree.text[whole.end] === ')'
  const isBound =
    /^(Unary|Binary|Member)Expression$/.test(parent?.type ?? '') ||
    (parent?.type === 'LogicalExpression' && !(part.type === 'LogicalExpression' && part.operator === parent.operator))
  return isBound && !isInBrackets && /^(Logical|Conditional)Expression$/.test(part.type)
    ? `(${textOf(tree, part)})`
    : bare(textOf(tree, part))
}

/** Members of an object at the top that are surely there: whether they are is not asked. */
export const askNoMembers: Rule = (tree) =>
  tree.nodesOf('MemberExpression').flatMap((node) => {
    if (node.computed || node.object.type !== 'Identifier' || node.property.type !== 'Identifier' || !isAsked(tree, node)) return []
    const { name } = node.property
    const owner = tree.bindingOf.get(node.object)
    const made =
      owner?.isTop && owner.kind === 'const' && owner.declaration.type === 'VariableDeclarator' ? owner.declaration.init : undefined
    const member =
      made?.type === 'ObjectExpression'
        ? made.properties.find((each) => each.type === 'Property' && each.key.type === 'Identifier' && each.key.name === name)
        : undefined
    const known = member?.type === 'Property' ? knownOf(member.value) : undefined
    return known && 'isTrue' in known ? [{ from: node.start, to: node.end, text: 'true' }] : []
  })

const isZero = (node: AnyNode | null | undefined) => node?.type === 'Literal' && node.value === 0

/** What is more or less by nothing is itself; what is taken from nothing is itself turned round. */
function dropZero(tree: Tree, node: BinaryExpression, put: (node: AnyNode, text: string) => void): void {
  const isPlus = node.operator === '+'
  if (!isPlus && node.operator !== '-') return
  const rest = isZero(node.right) ? node.left : isZero(node.left) ? node.right : undefined
  if (!rest) return
  const [isSum, isProduct] = [isBinary(rest, '+-'), isBinary(rest, '*/')]
  // A sum or a product binds as tight as the sum that it takes the place of; a minus binds tighter than a sum, and may as well turn round the first of a product.
  if (isPlus || rest === node.left) put(node, isSum || isProduct ? textOf(tree, rest) : inPlaceOf(tree, node, rest))
  else put(node, isProduct || isSimple(rest) ? `-${textOf(tree, rest)}` : `-(${textOf(tree, rest)})`)
}

const isBinary = (node: AnyNode, operators: string) => node.type === 'BinaryExpression' && operators.includes(node.operator)

/** Names for the members of a list that is known: zeros are zeros. */
function withoutKnownLists(tree: Tree, { id, init }: VariableDeclarator): readonly Change[] {
  if (id.type !== 'ArrayPattern' || init?.type !== 'ArrayExpression' || !init.elements.every(isZero)) return []
  const bindings = id.elements.map((each) => {
    const name = each?.type === 'AssignmentPattern' ? each.left : each
    return name?.type === 'Identifier' ? tree.bindingOf.get(name) : undefined
  })
  return bindings.some((each) => !each) ? [] : bindings.flatMap((each) => (each?.uses ?? []).map((use) => replaced(tree, use, '0')))
}

const withoutBrackets = (node: AnyNode): AnyNode => (node.type === 'ParenthesizedExpression' ? withoutBrackets(node.expression) : node)
const isEmptyList = (node: AnyNode): boolean => {
  const list = withoutBrackets(node)
  return list.type === 'ArrayExpression' && list.elements.length === 0
}

/** Whether what stands in a list is one that is written out, spread. */
const isSpreadList = (node: AnyNode | null): node is SpreadElement =>
  node?.type === 'SpreadElement' && withoutBrackets(node.argument).type === 'ArrayExpression'

/** Whether an expression makes a new list. */
const isMadeList = (node: AnyNode) =>
  node.type === 'CallExpression' &&
  node.callee.type === 'MemberExpression' &&
  node.callee.property.type === 'Identifier' &&
  /^(filter|map|flatMap|slice)$/.test(node.callee.property.name)

/** The nodes that are looked at. */
const folded = [
  'IfStatement',
  'ConditionalExpression',
  'LogicalExpression',
  'UnaryExpression',
  'BinaryExpression',
  'CallExpression',
  'ForOfStatement',
  'VariableDeclarator',
  'ChainExpression',
  'ObjectExpression',
  'ArrayExpression',
  'BlockStatement',
  'ExpressionStatement',
] as const

/** Leaves out what can never be, and asks nothing whose answer is known. */
export const foldConditions: Rule = (tree) => {
  const changes: Change[] = []
  const put = (node: AnyNode, text: string) => changes.push({ from: node.start, to: node.end, text })
  for (const node of tree.nodesOf(...folded)) {
    switch (node.type) {
      case 'IfStatement': {
        const test = knownOf(node.test)
        const never = node.test.type === 'LogicalExpression' && node.test.operator === '&&' ? knownOf(node.test.right) : undefined
        if (!test && node.test.type === 'LogicalExpression' && never && !isTruthy(never) && !node.alternate)
          changes.push(
            ...(isQuiet(node.test.left)
              ? withoutStatement(tree, node)
              : [{ from: node.start, to: node.end, text: textOf(tree, node.test.left) }]),
          )
        if (!test) break
        const left = isTruthy(test) ? node.consequent : node.alternate
        // What another one branches into stays one statement.
        if (tree.parents.get(node)?.type === 'IfStatement') put(node, left ? textOf(tree, left) : '{}')
        // A line that begins with a bracket would go on from the one above.
        else if (left) put(node, innerText(tree.text, left).replace(/^(?=[[(])/, ';'))
        else changes.push(...withoutStatement(tree, node))
        break
      }
      case 'ConditionalExpression': {
        const test = knownOf(node.test)
        const whole = tree.parents.get(node)
        const [one, other] = [textOf(tree, node.consequent), textOf(tree, node.alternate)]
        if (!test && one === other && isQuiet(node.test)) put(node, one)
        if (test)
          put(whole?.type === 'ParenthesizedExpression' ? whole : node, textOf(tree, isTruthy(test) ? node.consequent : node.alternate))
        break
      }
      case 'LogicalExpression': {
        const left = knownOf(node.left)
        if (left) put(node, partOf(tree, node, takesLeft(node.operator, left) ? node.left : node.right))
        else if (isAsked(tree, node) || isBoolean(node.left)) {
          const right = knownOf(node.right)
          // `x && true` and `x || false` ask for x alone.
          if (right && node.operator === '&&' && isTruthy(right)) put(node, partOf(tree, node, node.left))
          if (right && node.operator === '||' && !isTruthy(right)) put(node, partOf(tree, node, node.left))
          if (right && node.operator === '&&' && !isTruthy(right) && isQuiet(node.left)) put(node, 'false')
        }
        break
      }
      case 'UnaryExpression': {
        const known = knownOf(node)
        if (node.operator === '!' && known && 'value' in known) put(node, String(known.value))
        else if (node.operator === '!' && node.argument.type === 'UnaryExpression' && node.argument.operator === '!' && isAsked(tree, node))
          put(node, textOf(tree, node.argument.argument))
        break
      }
      case 'BinaryExpression': {
        const known = knownOf(node)
        if (known && 'value' in known) put(node, String(known.value))
        else dropZero(tree, node, put)
        break
      }
      case 'CallExpression': {
        // All of a list is the list.
        const {
          callee,
          arguments: [from, to],
        } = node
        if (
          callee.type === 'MemberExpression' &&
          callee.property.type === 'Identifier' &&
          callee.property.name === 'slice' &&
          callee.object.type === 'ArrayExpression' &&
          isZero(from) &&
          to?.type === 'Identifier' &&
          to.name === 'Infinity'
        )
          put(node, textOf(tree, callee.object))
        break
      }
      case 'ForOfStatement': {
        const list = node.right.type === 'Identifier' ? tree.bindingOf.get(node.right) : undefined
        const init =
          list?.declaration.type === 'VariableDeclarator' && list.kind === 'const' && list.uses.length === 1
            ? list.declaration.init
            : undefined
        if (init?.type === 'ArrayExpression' && init.elements.length === 1 && init.elements[0]?.type === 'Identifier')
          put(node.right, textOf(tree, init))
        break
      }
      case 'VariableDeclarator': {
        changes.push(...withoutKnownLists(tree, node))
        break
      }
      case 'ChainExpression': {
        const call = node.expression
        const callee = call.type === 'CallExpression' ? call.callee : call.object
        const known = knownOf(callee)
        if (call.optional && known && 'value' in known && known.value === undefined) put(node, 'undefined')
        else if (call.optional && known && 'isTrue' in known) put(node, textOf(tree, node).replace('?.(', '('))
        break
      }
      case 'ObjectExpression': {
        const [only] = node.properties
        if (node.properties.length === 1 && only?.type === 'SpreadElement') put(node, textOf(tree, only.argument))
        break
      }
      case 'ArrayExpression': {
        // Lists of nothing that are spread in a list.
        const kept = node.elements.filter((each) => !(each?.type === 'SpreadElement' && isEmptyList(each.argument)))
        const [only] = kept
        const spread = kept.length === 1 && only?.type === 'SpreadElement' ? withoutBrackets(only.argument) : undefined
        // One list that is spread in a list of nothing else is that list, where nobody can tell.
        if (spread && (tree.parents.get(node)?.type === 'ForOfStatement' || isMadeList(spread))) put(node, textOf(tree, spread))
        else if (kept.length < node.elements.length || kept.some(isSpreadList))
          put(
            node,
            `[${kept.map((each) => (each ? (isSpreadList(each) ? textOf(tree, withoutBrackets(each.argument)).slice(1, -1).trim() : textOf(tree, each)) : '')).join(', ')}]`,
          )
        break
      }
      case 'BlockStatement': {
        const end = node.body.findIndex(({ type }) => type === 'ReturnStatement')
        const [first, last] = [node.body[end + 1], node.body.at(-1)]
        if (end >= 0 && first && last)
          changes.push({ from: statementRange(tree.text, first).from, to: statementRange(tree.text, last).to, text: '' })
        break
      }
      case 'ExpressionStatement':
        if (node.expression.type === 'Literal' || node.expression.type === 'Identifier') changes.push(...withoutStatement(tree, node))
        break
    }
  }
  return changes
}
