// Markup that a role needs around its elements: shown as a difference of the page, and put there in one act.
import { filledIn, findKind } from '../../core/effect/kinds'
import type { Role, Shell } from '../../core/rig/rig'
import type { Effect } from '../../core/site/site'
import { changeSource, type SourceChange } from '../markup/commands'
import { useStudio } from '../context'
import { MarkupOffer } from './MarkupOffer'
import { useOnPage } from './on-page'

export function ShellRow({ effect }: { readonly effect: Effect }) {
  const roles = findKind(effect.kind)?.roles(effect.settings) ?? []
  const filled = filledIn(effect)
  return roles.map((role, index) => {
    const select = index === 0 ? effect.select : filled[role.id]
    return role.shell && select !== undefined ? <NeededShell key={role.id} role={role} shell={role.shell} select={select} /> : null
  })
}

/** Puts the shell around every element of these numbers, and its CSS into the page. */
const withShell =
  (numbers: readonly number[], { open, close, css }: Shell): SourceChange =>
  (source, { addCssOnce, applyMarkup }) => {
    // From the last to the first, so that the numbers before stay what they are.
    const wrapped = [...numbers].sort((a, b) => b - a).reduce((text, at) => applyMarkup(text, { do: 'wrap', at, open, close }), source)
    return addCssOnce(wrapped, css)
  }

function NeededShell({ role, shell, select }: { readonly role: Role; readonly shell: Shell; readonly select: string }) {
  const studio = useStudio()
  const bare = useOnPage(`${select} ${shell.select}`, async ({ matchesOf }) => {
    const [all, inside] = await Promise.all([matchesOf(select), matchesOf(`:is(${shell.select}) :is(${select})`)])
    const has = new Set(inside.map(({ number }) => number))
    return all.map(({ number }) => number).filter((number) => !has.has(number))
  })
  const numbers = bare ?? []
  if (numbers.length === 0) return null
  const change = withShell(numbers, shell)
  return (
    <MarkupOffer
      words={`${numbers.length === 1 ? `The ${role.title} needs` : `${numbers.length} of the ${role.title} need`} an element around ${numbers.length === 1 ? 'it' : 'each'}.`}
      change={change}
      act="Put it there"
      onAct={() => void changeSource(studio, 'Putting a shell around', change)}
    />
  )
}
