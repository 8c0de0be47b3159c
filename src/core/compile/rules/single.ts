// Lists of one, and objects that are only asked for their members.
import type { AnyNode, AssignmentProperty, Identifier, Property } from 'acorn'
import { innerText, outdent, replaced, withoutMembers, type Change, type Tree } from '../tree'
import { innermostFunction, textOf, isAssigned, type Rule } from './rule'

/** Whether something in a loop ends it, or a round of it. */
const leavesLoop = (tree: Tree, loop: AnyNode) =>
  tree.nodesOf('ContinueStatement', 'BreakStatement').some(({ start, end }) => start > loop.start && end < loop.end)

/** A loop over a list of one is done once. */
export const unrollSingles: Rule = (tree) => {
  for (const node of tree.nodesOf('ForOfStatement')) {
    if (node.right.type !== 'ArrayExpression' || node.right.elements.length !== 1) continue
    const [only] = node.right.elements
    const declared = node.left.type === 'VariableDeclaration' ? node.left.declarations[0]?.id : undefined
    if (!only || only.type === 'SpreadElement' || declared?.type !== 'Identifier' || leavesLoop(tree, node)) continue
    const binding = tree.bindingOf.get(declared)
    if (!binding) continue
    const by = only.type === 'Identifier' || (only.type === 'MemberExpression' && !only.computed) ? textOf(tree, only) : undefined
    if (by === undefined) continue
    const parts = innerParts(tree, node.body, binding.uses, by)
    return [{ from: node.start, to: node.end, text: parts }]
  }
  return []
}

/** The text of a loop's body with another name for what it is about. */
function innerParts(tree: Tree, block: AnyNode, uses: readonly Identifier[], by: string): string {
  let out = ''
  const from = block.type === 'BlockStatement' ? block.start + 1 : block.start
  const to = block.type === 'BlockStatement' ? block.end - 1 : block.end
  let at = from
  for (const use of [...uses].sort((one, other) => one.start - other.start)) {
    const { text } = replaced(tree, use, by)
    out += tree.text.slice(at, use.start) + text
    at = use.end
  }
  out += tree.text.slice(at, to)
  return block.type === 'BlockStatement' ? outdent(out, 2).trim() : out
}

/** An object at the top that is only ever asked for its members is as many constants, where their names are free. */
export const splitObjects: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const { declaration } = binding
    if (
      !binding.isTop ||
      declaration.type !== 'VariableDeclarator' ||
      declaration.id !== binding.id ||
      declaration.init?.type !== 'ObjectExpression'
    )
      continue
    const members = binding.uses.map((use) => tree.parents.get(use))
    if (
      members.length === 0 ||
      !members.every(
        (each) => each?.type === 'MemberExpression' && !each.computed && each.object.type === 'Identifier' && !isAssigned(tree, each),
      )
    )
      continue
    const { properties } = declaration.init
    const names = properties.flatMap((each) => (each.type === 'Property' && each.key.type === 'Identifier' ? [each.key.name] : []))
    if (names.length !== properties.length || names.some((name) => tree.bindings.some((other) => other.name === name))) continue
    const statement = tree.parents.get(declaration)
    if (!statement) continue
    const lines = properties.flatMap((each) =>
      each.type === 'Property' && each.key.type === 'Identifier'
        ? [`const ${each.key.name} = ${outdent(textOf(tree, each.value), 2)}`]
        : [],
    )
    return [
      { from: statement.start, to: statement.end, text: lines.join('\n') },
      ...members.flatMap((each) =>
        each?.type === 'MemberExpression' && each.property.type === 'Identifier'
          ? [{ from: each.start, to: each.end, text: each.property.name }]
          : [],
      ),
    ]
  }
  return []
}

/** A list of one effect is that effect. */
export const takeOnlyEffect: Rule = (tree) => {
  const list = tree.bindings.find(({ name, isTop }) => name === 'effects' && isTop)
  const init = list?.declaration.type === 'VariableDeclarator' ? list.declaration.init : undefined
  if (
    !list ||
    init?.type !== 'ArrayExpression' ||
    init.elements.length !== 1 ||
    tree.bindings.some(({ name, isTop }) => name === 'effect' && isTop)
  )
    return []
  const [only] = init.elements
  const statement = tree.parents.get(list.declaration)
  if (!only || !statement) return []
  const loops = list.uses.map((use) => tree.parents.get(use))
  if (!loops.every((loop) => loop?.type === 'ForOfStatement' && !leavesLoop(tree, loop))) return []
  return [
    { from: statement.start, to: statement.end, text: `const effect = ${outdent(textOf(tree, only), 2)}` },
    ...loops.flatMap((loop) =>
      loop?.type === 'ForOfStatement' ? [{ from: loop.start, to: loop.end, text: innerText(tree.text, loop.body) }] : [],
    ),
  ]
}

/** Members that say the same name twice. */
export const shortenMembers: Rule = (tree) =>
  tree
    .nodesOf('Property')
    .flatMap((node) =>
      !node.shorthand &&
      !node.computed &&
      !node.method &&
      node.key.type === 'Identifier' &&
      node.value.type === 'Identifier' &&
      node.key.name === node.value.name
        ? [{ from: node.key.start, to: node.value.start, text: '' }]
        : [],
    )

/** Two members of one object that are given one name, and never anything else, are one member; `apart` are names that others know. */
export const mergeMembers =
  (apart: ReadonlySet<string>): Rule =>
  (tree) => {
    const keys = (node: AnyNode) =>
      node.type === 'ObjectExpression'
        ? node.properties.flatMap((each) =>
            each.type === 'Property' && each.key.type === 'Identifier' && each.value.type === 'Identifier'
              ? [{ name: each.key.name, value: each.value, property: each }]
              : [],
          )
        : []
    for (const node of tree.nodesOf('ObjectExpression')) {
      for (const one of keys(node)) {
        const other = keys(node).find(
          (each) =>
            each.property !== one.property &&
            tree.bindingOf.get(each.value) === tree.bindingOf.get(one.value) &&
            tree.bindingOf.has(one.value),
        )
        if (!other || [one, other].some(({ name }) => apart.has(name) || isMemberElsewhere(tree, name, node))) continue
        const gone = tree.nodes.flatMap((each) => {
          if (
            each.type === 'MemberExpression' &&
            !each.computed &&
            each.property.type === 'Identifier' &&
            each.property.name === other.name
          )
            return [{ from: each.property.start, to: each.property.end, text: one.name }]
          if (
            each.type === 'Property' &&
            each !== other.property &&
            tree.parents.get(each)?.type === 'ObjectPattern' &&
            each.key.type === 'Identifier' &&
            each.key.name === other.name
          )
            return renamed(tree, each, one.name)
          return []
        })
        return [
          ...gone,
          ...withoutMembers(tree.text, node.type === 'ObjectExpression' ? node.properties : [], (each) => each === other.property),
        ]
      }
    }
    return []
  }

/** A member of a pattern under another name, and the same name for what it gives, where that is free. */
function renamed(tree: Tree, member: Property | AssignmentProperty, name: string): readonly Change[] {
  const { key, value, shorthand } = member
  const binding = value.type === 'Identifier' ? tree.bindingOf.get(value) : undefined
  if (!shorthand || !binding) return [{ from: key.start, to: key.end, text: shorthand ? `${name}: ${textOf(tree, key)}` : name }]
  const around = innermostFunction(tree, member)
  const isFree =
    around &&
    !tree.bindings.some((each) => each.name === name && (each.isTop || (each.id.start >= around.start && each.id.end <= around.end)))
  return isFree
    ? [{ from: key.start, to: key.end, text: name }, ...binding.uses.map((use) => replaced(tree, use, name))]
    : [{ from: key.start, to: key.end, text: `${name}: ${binding.name}` }]
}

/** Whether a member of this name is given elsewhere, or is given something else later. */
const isMemberElsewhere = (tree: Tree, name: string, made: AnyNode) =>
  tree
    .nodesOf('Property', 'MemberExpression')
    .some(
      (node) =>
        (node.type === 'Property' &&
          node.key.type === 'Identifier' &&
          node.key.name === name &&
          tree.parents.get(node)?.type === 'ObjectExpression' &&
          tree.parents.get(node) !== made) ||
        (node.type === 'MemberExpression' &&
          !node.computed &&
          node.property.type === 'Identifier' &&
          node.property.name === name &&
          isAssigned(tree, node)),
    )

/** Brackets that hold nothing together. */
export const dropBrackets: Rule = ({ text, nodes, parents }) => {
  const isDouble = ({ type, start, end }: AnyNode) =>
    /^(Logical|Binary|Conditional)Expression$/.test(type) &&
    /(^|[^\w$)\]])\(\($/.test(text.slice(0, start).slice(-3)) &&
    text.slice(end, end + 2) === '))'
  // A call, or a name, needs none among others.
  const isAlone = (each: AnyNode) =>
    /^(Call|Member)Expression$|^Identifier$|^Literal$/.test(each.type) &&
    text[each.start - 1] === '(' &&
    text[each.end] === ')' &&
    /[^\w$)\]]/.test(text[each.start - 2] ?? '') &&
    /^(Logical|Binary)Expression$/.test(parents.get(each)?.type ?? '')
  const node = nodes.find((each) => isDouble(each) || isAlone(each))
  return node
    ? [
        { from: node.start - 1, to: node.start, text: '' },
        { from: node.end, to: node.end + 1, text: '' },
      ]
    : []
}

/** What is never given another value is a constant. */
export const keepConstant: Rule = (tree) =>
  tree.nodesOf('VariableDeclaration').flatMap((node) => {
    if (node.kind !== 'let' || node.declarations.some(({ init }) => !init)) return []
    const own = tree.bindings.filter(({ declaration }) => node.declarations.includes(declaration as (typeof node.declarations)[number]))
    return own.some(({ uses }) => uses.some((use) => isAssigned(tree, use)))
      ? []
      : [{ from: node.start, to: node.start + 3, text: 'const' }]
  })
