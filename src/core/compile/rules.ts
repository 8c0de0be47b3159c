// The rules by which a script is specialised. Each gives changes of the text, or none where it has nothing left to do.
import type { AnonymousFunctionDeclaration, AnyNode, ArrowFunctionExpression, CallExpression, FunctionDeclaration, Identifier, Pattern } from 'acorn'
import { isQuiet, isTruthy, knownOf, takesLeft } from './static'
import { innerText, outdent, replaced, statementRange, withoutMembers, type Binding, type Change, type Tree } from './tree'

export type Rule = (tree: Tree) => readonly Change[]

const textOf = ({ text }: Tree, node: AnyNode) => text.slice(node.start, node.end)

/** Puts what is known of members of tables in the place where they are asked for, and leaves them out where they are given. */
export function substituteMembers(known: ReadonlyMap<string, string>): Rule {
  return (tree) => {
    const changes: Change[] = []
    for (const node of tree.nodes) {
      if (node.type === 'MemberExpression' && !node.computed && node.property.type === 'Identifier') {
        const text = known.get(node.property.name)
        if (text !== undefined && !isAssigned(tree, node)) changes.push({ from: node.start, to: node.end, text: needsParentheses(tree, node, text) ? `(${text})` : text })
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
          if (id.type === 'Identifier') for (const use of tree.bindingOf.get(id)?.uses ?? []) changes.push(replaced(tree, use, needsParentheses(tree, use, value) ? `(${value})` : value))
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
  return parent?.type === 'BinaryExpression' || parent?.type === 'LogicalExpression' || parent?.type === 'UnaryExpression' || parent?.type === 'MemberExpression' || (parent?.type === 'CallExpression' && parent.callee === node) || parent?.type === 'ConditionalExpression'
}

function isAssigned(tree: Tree, node: AnyNode): boolean {
  const parent = tree.parents.get(node)
  return (parent?.type === 'AssignmentExpression' && parent.left === node) || (parent?.type === 'ArrayPattern') || (parent?.type === 'UpdateExpression')
}

/** Whether a name is given another value here, and is not asked for its own. */
function isOverwritten(tree: Tree, node: AnyNode): boolean {
  const parent = tree.parents.get(node)
  return parent?.type === 'AssignmentExpression' && parent.left === node && parent.operator === '='
}

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
  if (parent.type === 'IfStatement' || parent.type === 'ConditionalExpression' || parent.type === 'WhileStatement') return parent.test === node
  if (parent.type === 'UnaryExpression') return parent.operator === '!'
  if (parent.type === 'LogicalExpression') return parent.operator !== '??' && isAsked(tree, parent)
  return parent.type === 'ParenthesizedExpression' && isAsked(tree, parent)
}

/** Parentheses that hold nothing that needs them any more. */
const bare = (text: string) => (/^\(([\w$.]+)\)$/.exec(text)?.[1] ?? text)

/** Leaves out what can never be, and asks nothing whose answer is known. */
export const foldConditions: Rule = (tree) => {
  const changes: Change[] = []
  const put = (node: AnyNode, text: string) => changes.push({ from: node.start, to: node.end, text })
  for (const node of tree.nodes) {
    switch (node.type) {
      case 'IfStatement': {
        const test = knownOf(node.test)
        const never = node.test.type === 'LogicalExpression' && node.test.operator === '&&' ? knownOf(node.test.right) : undefined
        if (!test && node.test.type === 'LogicalExpression' && never && !isTruthy(never) && !node.alternate) changes.push(...(isQuiet(node.test.left) ? withoutStatement(tree, node) : [{ from: node.start, to: node.end, text: textOf(tree, node.test.left) }]))
        if (!test) break
        const left = isTruthy(test) ? node.consequent : node.alternate
        // A line that begins with a bracket would go on from the one above.
        if (left) put(node, innerText(tree.text, left).replace(/^(?=[[(])/, ';'))
        else changes.push(...withoutStatement(tree, node))
        break
      }
      case 'ConditionalExpression': {
        const test = knownOf(node.test)
        const whole = tree.parents.get(node)
        const [one, other] = [textOf(tree, node.consequent), textOf(tree, node.alternate)]
        if (!test && one === other && isQuiet(node.test)) put(node, one)
        if (test) put(whole?.type === 'ParenthesizedExpression' ? whole : node, textOf(tree, isTruthy(test) ? node.consequent : node.alternate))
        break
      }
      case 'LogicalExpression': {
        const left = knownOf(node.left)
        if (left) put(node, bare(textOf(tree, takesLeft(node.operator, left) ? node.left : node.right)))
        else if (isAsked(tree, node) || isBoolean(node.left)) {
          const right = knownOf(node.right)
          // `x && true` and `x || false` ask for x alone.
          if (right && node.operator === '&&' && isTruthy(right)) put(node, textOf(tree, node.left))
          if (right && node.operator === '||' && !isTruthy(right)) put(node, textOf(tree, node.left))
          if (right && node.operator === '&&' && !isTruthy(right) && isQuiet(node.left)) put(node, 'false')
        }
        break
      }
      case 'UnaryExpression': {
        const known = knownOf(node)
        if (node.operator === '!' && known && 'value' in known) put(node, String(known.value))
        else if (node.operator === '!' && node.argument.type === 'UnaryExpression' && node.argument.operator === '!' && isAsked(tree, node)) put(node, textOf(tree, node.argument.argument))
        break
      }
      case 'BinaryExpression': {
        const known = knownOf(node)
        if (known && 'value' in known) put(node, String(known.value))
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
      case 'BlockStatement': {
        const end = node.body.findIndex(({ type }) => type === 'ReturnStatement')
        const [first, last] = [node.body[end + 1], node.body.at(-1)]
        if (end >= 0 && first && last) changes.push({ from: statementRange(tree.text, first).from, to: statementRange(tree.text, last).to, text: '' })
        break
      }
      case 'ExpressionStatement':
        if (node.expression.type === 'Literal' || node.expression.type === 'Identifier') changes.push(...withoutStatement(tree, node))
        break
    }
  }
  return changes
}

/** A statement left out; what only led to it goes with it. */
function withoutStatement(tree: Tree, node: AnyNode): readonly Change[] {
  const parent = tree.parents.get(node)
  if (parent?.type === 'IfStatement') {
    if (parent.alternate === node) return [{ from: parent.consequent.end, to: node.end, text: '' }]
    if (!parent.alternate && isQuiet(parent.test)) return withoutStatement(tree, parent)
    return [{ from: node.start, to: node.end, text: '{}' }]
  }
  if (parent?.type === 'ForOfStatement' || parent?.type === 'ForStatement' || parent?.type === 'WhileStatement') return parent.type === 'ForOfStatement' && isQuiet(parent.right) ? withoutStatement(tree, parent) : [{ from: node.start, to: node.end, text: '{}' }]
  if (parent?.type === 'BlockStatement' && parent.body.length === 1) {
    const outer = tree.parents.get(parent)
    if (outer?.type === 'IfStatement' || outer?.type === 'ForOfStatement') return withoutStatement(tree, parent)
  }
  const { from, to } = statementRange(tree.text, node)
  return [{ from, to, text: '' }]
}

type AnyFunction = FunctionDeclaration | AnonymousFunctionDeclaration | ArrowFunctionExpression

/** The function that a binding at the top names, and all calls of it; undefined where it is used otherwise. */
function callsOf(tree: Tree, binding: Binding): { readonly made: AnyFunction; readonly calls: readonly CallExpression[] } | undefined {
  const { declaration } = binding
  const made = declaration.type === 'FunctionDeclaration' ? declaration : declaration.type === 'VariableDeclarator' && declaration.init?.type === 'ArrowFunctionExpression' ? declaration.init : undefined
  if (!made) return undefined
  const calls: CallExpression[] = []
  for (const use of binding.uses) {
    const parent = tree.parents.get(use)
    if (parent?.type !== 'CallExpression' || parent.callee !== use) return undefined
    calls.push(parent)
  }
  return { made, calls }
}

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
      return node.callee.type === 'MemberExpression' && isConstant(tree, node.callee) && node.arguments.every((each) => isConstant(tree, each))
    case 'UnaryExpression':
      return isConstant(tree, node.argument)
    case 'BinaryExpression':
      return isConstant(tree, node.left) && isConstant(tree, node.right)
    case 'ArrowFunctionExpression':
      return tree.nodes.every((each) => each.type !== 'Identifier' || each.start < node.start || each.end > node.end || !tree.bindingOf.has(each) || isInside(tree, each, node))
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
    const settled = made.params.map((parameter, i) => settledBy(tree, parameter, calls.map((call) => call.arguments[i])))
    if (settled.every((each) => each === undefined)) continue
    made.params.forEach((parameter, i) => {
      const id = idOf(parameter)
      const text = settled[i]
      if (!text || !id) return
      if (isName(text)) for (const use of tree.bindingOf.get(id)?.uses ?? []) changes.push(replaced(tree, use, text))
      else changes.push({ ...emptyAt(statementRange(tree.text, outermost(tree, made)).from), text: `const ${id.name} = ${text}\n` })
    })
    changes.push(...withoutMembers(tree.text, made.params, (each) => settled[made.params.indexOf(each as Pattern)] !== undefined))
    for (const call of calls) changes.push(...withoutMembers(tree.text, call.arguments, (each) => settled[call.arguments.indexOf(each as (typeof call.arguments)[number])] !== undefined))
  }
  return changes
}

const isName = (text: string) => /^[\w$.]+$|^-\d+$|^'[^'\n]*'$/.test(text)
const idOf = (parameter: Pattern) => {
  const id = parameter.type === 'AssignmentPattern' ? parameter.left : parameter
  return id.type === 'Identifier' ? id : undefined
}

/** What a parameter is given at every call, nothing where nobody asks for it; undefined where that differs, or would not be the same elsewhere. */
function settledBy(tree: Tree, parameter: Pattern, given: readonly (AnyNode | undefined)[]): string | undefined {
  const id = idOf(parameter)
  const own = id && tree.bindingOf.get(id)
  if (own && own.uses.length === 0) return given.every((each) => !each || (each.type !== 'SpreadElement' && isQuiet(each))) ? '' : undefined
  if (!own || own.uses.some((use) => isAssigned(tree, use)) || given.some((each) => each?.type === 'SpreadElement')) return undefined
  // In itself it may be handed on.
  const others = given.filter((each) => !(each?.type === 'Identifier' && tree.bindingOf.get(each) === own))
  const texts = new Set(others.map((each) => (each ? textOf(tree, each) : parameter.type === 'AssignmentPattern' ? textOf(tree, parameter.right) : 'undefined')))
  const [text] = texts
  if (text === undefined || texts.size !== 1 || others.some((each) => each && !isConstant(tree, each))) return undefined
  const isTaken = tree.bindings.some(({ name, id: other }) => name === id.name && other !== id)
  return isName(text) || !isTaken ? text : undefined
}

const emptyAt = (at: number) => ({ from: at, to: at })

/** The statement at the top that a node stands in. */
function outermost(tree: Tree, node: AnyNode): AnyNode {
  let each = node
  for (let parent = tree.parents.get(each); parent; parent = tree.parents.get(each)) each = parent
  return each
}

/** A name for another name is that name; a function that only hands its parameters on is the other function. */
export const dropAliases: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const { declaration, uses, kind } = binding
    if (declaration.type !== 'VariableDeclarator' || declaration.id !== binding.id || kind !== 'const' || !declaration.init || !binding.isTop) continue
    const { init } = declaration
    let target: Identifier | undefined
    if (init.type === 'Identifier') target = init
    else if (init.type === 'ArrowFunctionExpression' && init.body.type === 'CallExpression' && init.body.callee.type === 'Identifier') {
      const { params, body: { arguments: given } } = init
      if (params.length === given.length && params.every((parameter, i) => parameter.type === 'Identifier' && given[i]?.type === 'Identifier' && parameter.name === (given[i] as Identifier).name)) target = init.body.callee
    }
    if (!target) continue
    const statement = tree.parents.get(declaration)
    if (!statement) continue
    // What was said beside the alias is said beside what it stands for.
    const note = /^[ \t]*\/\/ ([^\n]*)/.exec(tree.text.slice(statement.end))?.[1]
    const owner = tree.bindingOf.get(target)?.declaration
    const moved = note && owner ? [{ ...emptyAt(statementRange(tree.text, outermost(tree, owner)).from), text: `// ${note.charAt(0).toUpperCase()}${note.slice(1)}.\n` }] : []
    const { from, to } = statementRange(tree.text, statement)
    return [{ from, to, text: '' }, ...moved, ...uses.map((use) => replaced(tree, use, target.name))]
  }
  return []
}

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
    for (const node of tree.nodes) {
      if (node.type === 'ObjectExpression') {
        changes.push(...withoutMembers(tree.text, node.properties, (each) => each.type === 'Property' && each.key.type === 'Identifier' && isUnread(each.key.name) && isQuiet(each.value)))
      } else if (node.type === 'ExpressionStatement' && node.expression.type === 'AssignmentExpression') {
        const { left, right } = node.expression
        if (left.type === 'MemberExpression' && !left.computed && left.property.type === 'Identifier' && given.has(left.property.name) && isUnread(left.property.name)) changes.push(...(isQuiet(right) ? withoutStatement(tree, node) : [{ from: node.start, to: right.start, text: '' }]))
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
const laterMembers = ['reading', 'own', 'parts', 'told', 'lookTold', 'zoneTold', 'framesMoving']

/** The names of members of objects that are the script's own. */
function membersGiven(tree: Tree): ReadonlySet<string> {
  return new Set([...laterMembers, ...tree.nodes.flatMap((node) => (node.type === 'ObjectExpression' ? node.properties.flatMap((each) => (each.type === 'Property' && each.key.type === 'Identifier' ? [each.key.name] : [])) : []))])
}

/** The names of members that something reads. */
function membersRead(tree: Tree): ReadonlySet<string> {
  const read = new Set<string>()
  for (const node of tree.nodes) {
    if (node.type === 'MemberExpression' && !node.computed && node.property.type === 'Identifier') {
      const parent = tree.parents.get(node)
      if (!(parent?.type === 'AssignmentExpression' && parent.left === node && parent.operator === '=')) read.add(node.property.name)
    } else if (node.type === 'ObjectPattern') for (const each of node.properties) if (each.type === 'Property' && each.key.type === 'Identifier') read.add(each.key.name)
  }
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
  if (kind === 'parameter') return declaration.type === 'FunctionDeclaration' || declaration.type === 'ArrowFunctionExpression' ? withoutParameter(tree, id, declaration.params) : []
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
  if (!isQuiet(declaration.init)) return statement.declarations.length === 1 && declaration.init?.type === 'CallExpression' ? [{ from: statement.start, to: declaration.init.start, text: '' }, ...writes] : []
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
  if (parent?.type === 'ArrayPattern') return parent.elements.at(-1) === member ? withoutMembers(tree.text, parent.elements, (each) => each === member) : []
  if (parent?.type !== 'Property') return []
  const pattern = tree.parents.get(parent)
  return pattern?.type === 'ObjectPattern' ? withoutMembers(tree.text, pattern.properties, (each) => each === parent) : []
}

/** Takes the place of what is left of patterns: `{}` of anything, and of a declaration nothing at all. */
export const dropEmptyPatterns: Rule = (tree) => {
  for (const node of tree.nodes) {
    const isEmpty = (node.type === 'ObjectPattern' && node.properties.length === 0) || (node.type === 'ArrayPattern' && node.elements.length === 0)
    if (!isEmpty) continue
    const parent = tree.parents.get(node)
    if (parent?.type === 'VariableDeclarator') {
      const statement = tree.parents.get(parent)
      if (statement?.type === 'VariableDeclaration' && statement.declarations.length === 1) return isQuiet(parent.init) ? withoutStatement(tree, statement) : [{ from: statement.start, to: parent.init?.start ?? statement.start, text: '' }]
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

/** Whether something in a loop ends it, or a round of it. */
const leavesLoop = (tree: Tree, loop: AnyNode) => tree.nodes.some(({ type, start, end }) => (type === 'ContinueStatement' || type === 'BreakStatement') && start > loop.start && end < loop.end)

/** A loop over a list of one is done once. */
export const unrollSingles: Rule = (tree) => {
  for (const node of tree.nodes) {
    if (node.type !== 'ForOfStatement' || node.right.type !== 'ArrayExpression' || node.right.elements.length !== 1) continue
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
    if (!binding.isTop || declaration.type !== 'VariableDeclarator' || declaration.id !== binding.id || declaration.init?.type !== 'ObjectExpression') continue
    const members = binding.uses.map((use) => tree.parents.get(use))
    if (members.length === 0 || !members.every((each) => each?.type === 'MemberExpression' && !each.computed && each.object.type === 'Identifier' && !isAssigned(tree, each))) continue
    const { properties } = declaration.init
    const names = properties.flatMap((each) => (each.type === 'Property' && each.key.type === 'Identifier' ? [each.key.name] : []))
    if (names.length !== properties.length || names.some((name) => tree.bindings.some((other) => other.name === name))) continue
    const statement = tree.parents.get(declaration)
    if (!statement) continue
    const lines = properties.flatMap((each) => (each.type === 'Property' && each.key.type === 'Identifier' ? [`const ${each.key.name} = ${outdent(textOf(tree, each.value), 2)}`] : []))
    return [{ from: statement.start, to: statement.end, text: lines.join('\n') }, ...members.flatMap((each) => (each?.type === 'MemberExpression' && each.property.type === 'Identifier' ? [{ from: each.start, to: each.end, text: each.property.name }] : []))]
  }
  return []
}

/** A name for what is known, or for another constant, is that. */
export const inlineConstants: Rule = (tree) => {
  for (const { declaration, id, kind, uses } of tree.bindings) {
    if (kind !== 'const' || declaration.type !== 'VariableDeclarator' || declaration.id !== id || !declaration.init) continue
    const { init } = declaration
    const known = knownOf(init)
    const isPlain = known && 'value' in known && (known.value === undefined || typeof known.value === 'boolean')
    const other = init.type === 'Identifier' ? tree.bindingOf.get(init) : undefined
    if (!isPlain && !(other && other.kind !== 'let')) continue
    const statement = tree.parents.get(declaration)
    if (statement?.type !== 'VariableDeclaration' || statement.declarations.length !== 1) continue
    return [...withoutStatement(tree, statement), ...uses.map((use) => replaced(tree, use, textOf(tree, init)))]
  }
  return []
}

/** What is shorter than this may stand wherever it is needed. */
const shortLength = 44

/** A function that only gives an expression is that expression: where it is called once, or where it is short. */
export const inlineExpressions: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const found = binding.isTop ? callsOf(tree, binding) : undefined
    if (!found || found.calls.length === 0) continue
    const { made, calls } = found
    const only = made.body.type === 'BlockStatement' ? made.body.body[0] : undefined
    const given = made.body.type !== 'BlockStatement' ? made.body : made.body.body.length === 1 && only?.type === 'ReturnStatement' ? only.argument : undefined
    if (!given || (calls.length > 1 && given.end - given.start > shortLength) || given.type === 'ConditionalExpression' || given.type === 'LogicalExpression' || given.type === 'BinaryExpression') continue
    const parameters = made.params.map((parameter) => (parameter.type === 'Identifier' ? tree.bindingOf.get(parameter) : undefined))
    if (parameters.some((each) => !each || each.uses.length > 1) || tree.nodes.some((node) => node.start > given.start && node.end < given.end && node.type === 'ArrowFunctionExpression')) continue
    if (calls.some((call) => call.start >= made.start && call.end <= made.end) || calls.some((call) => call.arguments.length !== made.params.length || !call.arguments.every((each) => each.type === 'Identifier' || each.type === 'MemberExpression' || each.type === 'Literal' || parameters.every((own) => (own?.uses.length ?? 0) === 1)))) continue
    const statement = made.type === 'FunctionDeclaration' ? made : tree.parents.get(binding.declaration)
    if (!statement) continue
    const { from, to } = statementRange(tree.text, statement)
    const text = (call: CallExpression) => {
      let out = ''
      let at = given.start
      const uses = parameters.flatMap((own, i) => (own?.uses ?? []).map((use) => ({ use, by: call.arguments[i] }))).sort((one, other) => one.use.start - other.use.start)
      for (const { use, by } of uses) {
        out += tree.text.slice(at, use.start) + replaced(tree, use, by ? textOf(tree, by) : 'undefined').text
        at = use.end
      }
      out += tree.text.slice(at, given.end)
      const parent = tree.parents.get(call)
      return given.type === 'ObjectExpression' && parent?.type === 'ArrowFunctionExpression' ? `(${out})` : out
    }
    if (calls.some((call) => calls.some((other) => other !== call && other.start >= call.start && other.end <= call.end))) continue
    return [{ from, to, text: '' }, ...calls.map((call) => ({ from: call.start, to: call.end, text: text(call) }))]
  }
  return []
}

/** A list of one effect is that effect. */
export const takeOnlyEffect: Rule = (tree) => {
  const list = tree.bindings.find(({ name, isTop }) => name === 'effects' && isTop)
  const init = list?.declaration.type === 'VariableDeclarator' ? list.declaration.init : undefined
  if (!list || init?.type !== 'ArrayExpression' || init.elements.length !== 1 || tree.bindings.some(({ name, isTop }) => name === 'effect' && isTop)) return []
  const [only] = init.elements
  const statement = tree.parents.get(list.declaration)
  if (!only || !statement) return []
  const loops = list.uses.map((use) => tree.parents.get(use))
  if (!loops.every((loop) => loop?.type === 'ForOfStatement' && !leavesLoop(tree, loop))) return []
  return [
    { from: statement.start, to: statement.end, text: `const effect = ${outdent(textOf(tree, only), 2)}` },
    ...loops.flatMap((loop) => (loop?.type === 'ForOfStatement' ? [{ from: loop.start, to: loop.end, text: innerText(tree.text, loop.body) }] : [])),
  ]
}

/** A function at the top that is called once, alone and with nothing given, is what it does. */
export const inlineOnce: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const found = binding.isTop && binding.kind === 'function' ? callsOf(tree, binding) : undefined
    const [call] = found?.calls ?? []
    if (!found || !call || found.calls.length !== 1 || found.made.params.length > 0 || found.made.body.type !== 'BlockStatement') continue
    const statement = tree.parents.get(call)
    if (statement?.type !== 'ExpressionStatement' || tree.parents.has(statement)) continue
    if (tree.nodes.some((node) => node.type === 'ReturnStatement' && node.start > found.made.start && node.end < found.made.end && innermostFunction(tree, node) === found.made)) continue
    const { from, to } = statementRange(tree.text, found.made)
    const notes = tree.text.slice(from, found.made.start)
    return [{ from, to, text: '' }, { from: statement.start, to: statement.end, text: notes + innerText(tree.text, found.made.body) }]
  }
  return []
}

function innermostFunction(tree: Tree, node: AnyNode): AnyNode | undefined {
  for (let each = tree.parents.get(node); each; each = tree.parents.get(each)) if (each.type === 'FunctionDeclaration' || each.type === 'ArrowFunctionExpression') return each
  return undefined
}
