// Joins what a script needs of the fragments, and nothing else.
import { foldConditions } from './rules/fold'
import type { Rule } from './rules/rule'
import { substituteMembers } from './rules/substitute'
import { readTree, textOf, withChanges } from './tree'

/** A declaration of a fragment, as JavaScript with its comment. */
export interface Fragment {
  readonly names: readonly string[]
  readonly text: string
  /** The fragment that it is of; those of one stand together. */
  readonly file: string
}

/** All changes of some rules, until none is left. */
function settled(text: string, rules: readonly Rule[]): string {
  for (let tree = readTree(text); ;) {
    const changes = rules.flatMap((rule) => rule(tree))
    if (changes.length === 0) return textOf(tree)
    tree = readTree(withChanges(tree, changes))
  }
}

/** The names that a text uses and does not declare. */
export function namesUsed(text: string): readonly string[] {
  const { nodes, bindingOf, parents } = readTree(text)
  return [
    ...new Set(
      nodes.flatMap((node) => {
        if (node.type !== 'Identifier' || bindingOf.has(node)) return []
        const parent = parents.get(node)
        const isKey =
          (parent?.type === 'Property' && parent.key === node && !parent.computed) ||
          (parent?.type === 'MemberExpression' && parent.property === node && !parent.computed)
        return isKey ? [] : [node.name]
      }),
    ),
  ]
}

/**
 * The text that `main` needs: the declarations that it uses, those that these use once what is known of their tables stands in its
 * place, and then itself. In the order of the fragments.
 */
export function joinFragments(fragments: readonly Fragment[], main: string, known: ReadonlyMap<string, string>): string {
  const owners = new Map(fragments.flatMap((fragment) => fragment.names.map((name) => [name, fragment] as const)))
  const taken = new Map<Fragment, string>()
  const take = (name: string): void => {
    const fragment = owners.get(name)
    if (!fragment || taken.has(fragment)) return
    const text = settled(settled(fragment.text, [substituteMembers(known)]), [foldConditions])
    taken.set(fragment, text)
    namesUsed(text).forEach(take)
  }
  const own = settled(main, [foldConditions])
  namesUsed(own).forEach(take)
  const kept = fragments.filter((fragment) => taken.has(fragment))
  return [
    ...kept.map(
      (fragment, i) =>
        `${taken.get(fragment) ?? ''}\n${kept[i + 1]?.file === fragment.file && !/\n|^\/\//.test(taken.get(fragment) ?? '') ? '' : '\n'}`,
    ),
    own,
  ].join('')
}
