// Names that only stand for something else, and functions that are what they do.
import { capitalised } from '../../site/text'
import type { AnyNode, CallExpression, Identifier } from 'acorn'
import { knownOf } from '../static'
import { innerText, replaced, statementRange, type Tree } from '../tree'
import { textOf, withoutStatement, callsOf, emptyAt, inPlaceOf, innermostFunction, isSimple, isWhole, outermost, type Rule } from './rule'

/** A name for another name is that name; a function that only hands its parameters on is the other function. */
export const dropAliases: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const { declaration, uses, kind } = binding
    if (
      declaration.type !== 'VariableDeclarator' ||
      declaration.id !== binding.id ||
      kind !== 'const' ||
      !declaration.init ||
      !binding.isTop
    )
      continue
    const { init } = declaration
    let target: Identifier | undefined
    if (init.type === 'Identifier') target = init
    else if (init.type === 'ArrowFunctionExpression' && init.body.type === 'CallExpression' && init.body.callee.type === 'Identifier') {
      const {
        params,
        body: { arguments: given },
      } = init
      if (
        params.length === given.length &&
        params.every(
          (parameter, i) => parameter.type === 'Identifier' && given[i]?.type === 'Identifier' && parameter.name === given[i].name,
        )
      )
        target = init.body.callee
    }
    if (!target) continue
    const statement = tree.parents.get(declaration)
    if (!statement) continue
    // What was said beside the alias is said beside what it stands for.
    const note = /^[ \t]*\/\/ ([^\n]*)/.exec(tree.text.slice(statement.end))?.[1]
    const owner = tree.bindingOf.get(target)?.declaration
    const moved =
      note && owner ? [{ ...emptyAt(statementRange(tree.text, outermost(tree, owner)).from), text: `// ${capitalised(note)}.\n` }] : []
    const { from, to } = statementRange(tree.text, statement)
    return [{ from, to, text: '' }, ...moved, ...uses.map((use) => replaced(tree, use, target.name))]
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
    const given =
      made.body.type !== 'BlockStatement'
        ? made.body
        : made.body.body.length === 1 && only?.type === 'ReturnStatement'
          ? only.argument
          : undefined
    if (!given || (calls.length > 1 && given.end - given.start > shortLength)) continue
    const parameters = made.params.map((parameter) => (parameter.type === 'Identifier' ? tree.bindingOf.get(parameter) : undefined))
    const isNamed = (i: number) => calls.every((call) => call.arguments[i]?.type === 'Identifier' || call.arguments[i]?.type === 'Literal')
    if (
      parameters.some((each, i) => !each || (each.uses.length > 1 && !isNamed(i))) ||
      tree.nodesOf('ArrowFunctionExpression').some((node) => node.start > given.start && node.end < given.end)
    )
      continue
    if (
      calls.some((call) => call.start >= made.start && call.end <= made.end) ||
      calls.some(
        (call) =>
          call.arguments.length !== made.params.length ||
          !call.arguments.every(
            (each, i) =>
              each.type === 'Identifier' || each.type === 'MemberExpression' || each.type === 'Literal' || parameters[i]?.uses.length === 1,
          ),
      )
    )
      continue
    const statement = made.type === 'FunctionDeclaration' ? made : tree.parents.get(binding.declaration)
    if (!statement || calls.some((call) => isCaptured(tree, given, call))) continue
    const { from, to } = statementRange(tree.text, statement)
    const text = (call: CallExpression) => {
      let out = ''
      let at = given.start
      const uses = parameters
        .flatMap((own, i) => (own?.uses ?? []).map((use) => ({ use, by: call.arguments[i] })))
        .sort((one, other) => one.use.start - other.use.start)
      for (const { use, by } of uses) {
        out += tree.text.slice(at, use.start) + replaced(tree, use, by ? inPlaceOf(tree, use, by) : 'undefined').text
        at = use.end
      }
      out += tree.text.slice(at, given.end)
      return isWhole(tree, call, given) || isSimple(given) ? out : `(${out})`
    }
    if (calls.some((call) => calls.some((other) => other !== call && other.start >= call.start && other.end <= call.end))) continue
    return [{ from, to, text: '' }, ...calls.map((call) => ({ from: call.start, to: call.end, text: text(call) }))]
  }
  return []
}

/** Whether a name at the top that an expression uses is called otherwise where it would come to stand. */
function isCaptured(tree: Tree, given: AnyNode, place: AnyNode): boolean {
  const used = new Set(
    tree
      .nodesOf('Identifier')
      .flatMap((node) => (node.start >= given.start && node.end <= given.end && tree.bindingOf.get(node)?.isTop ? [node.name] : [])),
  )
  for (let around = innermostFunction(tree, place); around; around = innermostFunction(tree, around)) {
    const { start, end } = around
    if (tree.bindings.some(({ name, id, isTop }) => !isTop && used.has(name) && id.start >= start && id.end <= end)) return true
  }
  return false
}

/** A function at the top that is called once, alone and with nothing given, is what it does. */
export const inlineOnce: Rule = (tree) => {
  for (const binding of tree.bindings) {
    const found = binding.isTop && binding.kind === 'function' ? callsOf(tree, binding) : undefined
    const [call] = found?.calls ?? []
    if (!found || !call || found.calls.length !== 1 || found.made.params.length > 0 || found.made.body.type !== 'BlockStatement') continue
    const statement = tree.parents.get(call)
    if (statement?.type !== 'ExpressionStatement' || tree.parents.has(statement)) continue
    if (
      tree
        .nodesOf('ReturnStatement')
        .some((node) => node.start > found.made.start && node.end < found.made.end && innermostFunction(tree, node) === found.made)
    )
      continue
    const { from, to } = statementRange(tree.text, found.made)
    const notes = tree.text.slice(from, found.made.start)
    return [
      { from, to, text: '' },
      { from: statement.start, to: statement.end, text: notes + innerText(tree.text, found.made.body) },
    ]
  }
  return []
}
