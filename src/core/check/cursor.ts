// Cursor: the system's cursor is hidden, and nothing else marks where the pointer is.
import { partOf, type Rig } from '../rig/rig'
import { settingsTo, nameOf, type Check, type Checked, type Fix } from './check'

const hidesCursor = (css: Readonly<Record<string, string>>) => /^none\b/.test(css.cursor?.trim() ?? '')

/** How what stands for the pointer goes with it: of several parts the one that is there first counts; undefined where none goes with it. */
function markOf({ channels, outputs }: Rig): 'at once' | 'late' | undefined {
  const marks = outputs.flatMap(({ to, slot, channel: id }) => {
    const channel = channels.find((each) => each.id === id)
    // A part that travels by px is a mark of where the pointer is.
    const isMark = partOf(to) !== undefined && slot.on === 'transform' && channel && /^([xy]Px|past)$/.test(channel.signal.of)
    return isMark ? [channel.feel.kind === 'direct' ? ('at once' as const) : ('late' as const)] : []
  })
  return marks.find((mark) => mark === 'at once') ?? marks[0]
}

/** What the cursor is over some elements: not seen at all. */
const isUnseenOver = ({ states = [] }: Rig) => states.some(({ zone, to, css }) => zone && partOf(to) === 'shape' && css.opacity === '0')

/** Showing the system's own again: by a setting of the kind, or by the rules of a rig by hand. */
function showing(checked: Checked): Fix | undefined {
  const settings = checked.effect.settings as {
    readonly system?: string
    readonly rules?: readonly { readonly css: Readonly<Record<string, string>> }[]
  }
  const words = 'Show the cursor'
  if (settings.system !== undefined) return { words, edit: settingsTo(checked, { ...settings, system: 'stays' }) }
  const rules = settings.rules?.map((rule) =>
    hidesCursor(rule.css) ? { ...rule, css: Object.fromEntries(Object.entries(rule.css).filter(([name]) => name !== 'cursor')) } : rule,
  )
  return rules && { words, edit: settingsTo(checked, { ...settings, rules }) }
}

export const cursor: Check = {
  id: 'cursor',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    const hides = [...rig.rules, ...(rig.states ?? [])].some(({ css }) => hidesCursor(css))
    const mark = markOf(rig)
    if (!hides || (mark === 'at once' && !isUnseenOver(rig))) return undefined
    const why =
      mark === undefined
        ? 'nothing else marks where the pointer is'
        : mark === 'late'
          ? 'what stands for it comes late: nothing marks where a click goes'
          : 'over some elements nothing at all marks where the pointer is'
    return { words: `${nameOf(checked)} hides the cursor, and ${why}.`, fix: showing(checked) }
  },
}
