// Specialises a script: what is known is put in its place, and what then is of no use is left out, until nothing changes any more.
import { askNoMembers, foldConditions } from './rules/fold'
import { flattenCalls } from './rules/flatten'
import { dropAliases, inlineConstants, inlineExpressions, inlineOnce } from './rules/inline'
import { dropArguments, settleParameters } from './rules/parameters'
import { dropEmptyPatterns, prune } from './rules/prune'
import type { Rule } from './rules/rule'
import { dropBrackets, keepConstant, mergeMembers, shortenMembers, splitObjects, takeOnlyEffect, unrollSingles } from './rules/single'
import { readTree, textOf, withChanges } from './tree'

/** More rounds than a script can need. */
const mostRounds = 400

/** Members that are read without being named: by the browser, or as one of several looks. */
const platform = new Set([
  'off',
  'on',
  'pressed',
  'still',
  'going',
  'come',
  'go',
  'press',
  'release',
  'rest',
  'move',
  'due',
  'dismiss',
  'passive',
  'capture',
  'subtree',
  'childList',
  'characterData',
  'attributes',
  'attributeFilter',
  'bubbles',
  'composed',
  'mode',
  'detail',
  'x',
  'y',
  'length',
])

const rules: readonly Rule[] = [
  foldConditions,
  prune(platform),
  dropEmptyPatterns,
  inlineConstants,
  dropArguments,
  settleParameters,
  dropAliases,
  takeOnlyEffect,
  askNoMembers,
  inlineExpressions,
  unrollSingles,
  splitObjects,
  inlineOnce,
  mergeMembers(platform),
  flattenCalls,
  shortenMembers,
  dropBrackets,
  keepConstant,
]

/** The script without what nobody uses. Comments stay with what they are about. Throws a SyntaxError where the text is no script. */
export function specialise(text: string): string {
  let tree = readTree(text)
  for (let round = 0; round < mostRounds; round++) {
    const changes = firstChanges(tree)
    if (changes.length === 0) return tidied(textOf(tree))
    tree = readTree(withChanges(tree, changes))
  }
  throw new Error('The script could not be specialised to an end.')
}

function firstChanges(tree: ReturnType<typeof readTree>): ReturnType<Rule> {
  for (const rule of rules) {
    const changes = rule(tree)
    if (changes.length > 0) return changes
  }
  return []
}

/** One empty line at most, and none at the edge of a block. */
const tidied = (text: string) =>
  text
    .replace(/\n{3,}/g, '\n\n')
    .replace(/\{\n\n/g, '{\n')
    .replace(/\n\n( *\})/g, '\n$1')
    .replace(/[ \t]+$/gm, '')
    .trim()
