// What nobody uses.
import type { AnyNode, Identifier, Pattern } from 'acorn'
import { isQuiet } from '../static'
import { withoutMembers, type Binding, type Change, type Tree } from '../tree'
import { isOverwritten, withoutStatement, type Rule } from './rule'

/** Leaves out what nobody uses: declarations, members that nobody reads, parameters that come last. */
export function prune(platform: ReadonlySet<string>): Rule {
  return (tree) => {
    const changes: Change[] = []
    const read = membersRead(tree)
    const isUnread = (name: string) => !platform.has(name) && !read.has(name)
    const given = membersGiven(tree)
    for (const binding of tree.bindings) {
      const written = binding.uses.filter((use) => isOverwritten(tree, use))
      if (binding.uses.length > written.length && !onlyUsesItself(binding)) continue
      changes.push(...withoutBinding(tree, binding, written))
    }
    for (const node of tree.nodesOf('ObjectExpression', 'ExpressionStatement')) {
      if (node.type === 'ObjectExpression') {
        changes.push(
          ...withoutMembers(
            tree.text,
            node.properties,
            (each) => each.type === 'Property' && each.key.type === 'Identifier' && isUnread(each.key.name) && isQuiet(each.value),
          ),
        )
      } else if (node.expression.type === 'AssignmentExpression') {
        const { left, right } = node.expression
        if (
          left.type === 'MemberExpression' &&
          !left.computed &&
          left.property.type === 'Identifier' &&
          given.has(left.property.name) &&
          isUnread(left.property.name)
        )
          changes.push(...(isQuiet(right) ? withoutStatement(tree, node) : [{ from: node.start, to: right.start, text: '' }]))
      }
    }
    return changes
  }
}

/** A function that only calls itself is called by nobody. */
function onlyUsesItself({ declaration, uses, kind }: Binding): boolean {
  return kind === 'function' && uses.every(({ start, end }) => start >= declaration.start && end <= declaration.end)
}

/** What places and followers come to have beside what they begin with. */
const laterMembers = [
  'reading',
  'own',
  'parts',
  'told',
  'lookTold',
  'zoneTold',
  'framesMoving',
  'turn',
  'turnedTo',
  'dismissed',
  'ways',
  'beside',
  'alive',
  'hit',
  'held',
  'met',
  'under',
  'arrivedAt',
  'leftAt',
  'painted',
  'seen',
]

/** The names of members of objects that are the script's own. */
function membersGiven(tree: Tree): ReadonlySet<string> {
  return new Set([
    ...laterMembers,
    ...tree
      .nodesOf('ObjectExpression')
      .flatMap(({ properties }) =>
        properties.flatMap((each) => (each.type === 'Property' && each.key.type === 'Identifier' ? [each.key.name] : [])),
      ),
  ])
}

/** The names of members that something reads. */
function membersRead(tree: Tree): ReadonlySet<string> {
  const read = new Set<string>()
  for (const node of tree.nodesOf('MemberExpression')) {
    if (node.computed || node.property.type !== 'Identifier') continue
    const parent = tree.parents.get(node)
    if (!(parent?.type === 'AssignmentExpression' && parent.left === node && parent.operator === '=')) read.add(node.property.name)
  }
  for (const { properties } of tree.nodesOf('ObjectPattern'))
    for (const each of properties) if (each.type === 'Property' && each.key.type === 'Identifier') read.add(each.key.name)
  return read
}

function withoutBinding(tree: Tree, binding: Binding, written: readonly Identifier[]): readonly Change[] {
  const { id, declaration, kind } = binding
  const gone = written.flatMap((use) => {
    const assignment = tree.parents.get(use)
    const statement = assignment && tree.parents.get(assignment)
    if (assignment?.type !== 'AssignmentExpression' || statement?.type !== 'ExpressionStatement') return undefined
    return isQuiet(assignment.right) ? withoutStatement(tree, statement) : [{ from: statement.start, to: assignment.right.start, text: '' }]
  })
  if (gone.includes(undefined)) return []
  const writes = gone.filter((change): change is Change => change !== undefined)
  if (kind === 'function') return withoutStatement(tree, declaration)
  if (kind === 'parameter')
    return declaration.type === 'FunctionDeclaration' || declaration.type === 'ArrowFunctionExpression'
      ? withoutParameter(tree, id, declaration.params)
      : []
  if (declaration.type !== 'VariableDeclarator') return []
  if (declaration.id !== id) {
    const inPattern = withoutElement(tree, id)
    return inPattern.length > 0 ? [...inPattern, ...writes] : []
  }
  const statement = tree.parents.get(declaration)
  if (statement?.type !== 'VariableDeclaration') return []
  const loop = tree.parents.get(statement)
  if (loop?.type === 'ForOfStatement' || loop?.type === 'ForStatement') return []
  // What is done stays, though nobody asks for what it gives.
  if (!isQuiet(declaration.init))
    return statement.declarations.length === 1 && declaration.init?.type === 'CallExpression'
      ? [{ from: statement.start, to: declaration.init.start, text: '' }, ...writes]
      : []
  if (statement.declarations.length === 1) return [...withoutStatement(tree, statement), ...writes]
  return [...withoutMembers(tree.text, statement.declarations, (each) => each === declaration), ...writes]
}

/** A parameter without use goes where none comes behind it, and a member of a pattern goes anyway. */
function withoutParameter(tree: Tree, id: Identifier, parameters: readonly Pattern[]): readonly Change[] {
  const element = withoutElement(tree, id)
  if (element.length > 0) return element
  const last = parameters.at(-1)
  const isLast = last === id || (last?.type === 'AssignmentPattern' && last.left === id)
  if (!isLast || !last) return []
  return withoutMembers(tree.text, parameters, (each) => each === last)
}

/** Takes a member out of its pattern; nothing where the name stands in none, or others would change their place. */
function withoutElement(tree: Tree, id: Identifier): readonly Change[] {
  let member: AnyNode = id
  let parent = tree.parents.get(id)
  if (parent?.type === 'AssignmentPattern') [member, parent] = [parent, tree.parents.get(parent)]
  if (parent?.type === 'ArrayPattern')
    return parent.elements.at(-1) === member ? withoutMembers(tree.text, parent.elements, (each) => each === member) : []
  if (parent?.type !== 'Property') return []
  const pattern = tree.parents.get(parent)
  return pattern?.type === 'ObjectPattern' ? withoutMembers(tree.text, pattern.properties, (each) => each === parent) : []
}

/** Takes the place of what is left of patterns: `{}` of anything, and of a declaration nothing at all. */
export const dropEmptyPatterns: Rule = (tree) => {
  for (const node of tree.nodesOf('ObjectPattern', 'ArrayPattern')) {
    if ((node.type === 'ObjectPattern' ? node.properties : node.elements).length > 0) continue
    const parent = tree.parents.get(node)
    if (parent?.type === 'VariableDeclarator') {
      const statement = tree.parents.get(parent)
      if (statement?.type === 'VariableDeclaration' && statement.declarations.length === 1)
        return isQuiet(parent.init)
          ? withoutStatement(tree, statement)
          : [{ from: statement.start, to: parent.init?.start ?? statement.start, text: '' }]
    } else if (parent?.type === 'FunctionDeclaration' || parent?.type === 'ArrowFunctionExpression') {
      const change = parent.params.at(-1) === node ? withoutMembers(tree.text, parent.params, (each) => each === node) : []
      if (change.length > 0) return change
    } else if (parent?.type === 'Property') {
      const pattern = tree.parents.get(parent)
      const change = pattern?.type === 'ObjectPattern' ? withoutMembers(tree.text, pattern.properties, (each) => each === parent) : []
      if (change.length > 0) return change
    }
  }
  return []
}
