// Cursor: the system's cursor is hidden, and nothing else marks where the pointer is.
import { settingsTo, nameOf, type Check } from './check'

const hidesCursor = (css: Readonly<Record<string, string>>) => css.cursor?.trim() === 'none'

export const cursor: Check = {
  id: 'cursor',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    const hides = [...rig.rules, ...(rig.states ?? [])].some(({ css }) => hidesCursor(css))
    // A part that travels by px is a mark of where the pointer is.
    const travels = new Set(rig.channels.filter(({ signal }) => /^([xy]Px|past)$/.test(signal.of)).map(({ id }) => id))
    const isMarked = rig.outputs.some(
      ({ to, slot, channel }) =>
        typeof to === 'object' && 'part' in to && slot.on === 'transform' && channel !== undefined && travels.has(channel),
    )
    if (!hides || isMarked) return undefined
    const settings = checked.effect.settings as { readonly rules?: readonly { readonly css: Readonly<Record<string, string>> }[] }
    return {
      words: `${nameOf(checked)} hides the cursor, and nothing else marks where the pointer is.`,
      fix: settings.rules
        ? {
            words: 'Show the cursor',
            edit: settingsTo(checked, {
              ...settings,
              rules: settings.rules.map((rule) =>
                hidesCursor(rule.css)
                  ? { ...rule, css: Object.fromEntries(Object.entries(rule.css).filter(([name]) => name !== 'cursor')) }
                  : rule,
              ),
            }),
          }
        : undefined,
    }
  },
}
