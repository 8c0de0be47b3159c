// The menu of an effect: by its button in the list, by a right click there, or on its number on the page.
import { Menu, Portal } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { notify } from '../commands'
import { useSite, useStudio, useView } from '../context'
import { keyNamed } from '../key-names'
import { duplicateEffects, keepAsPresets, moveEffect, removeEffects, toggleOff } from './commands'
import { textOfEffects } from './effect-text'

export function EffectMenu({ onRename }: { readonly onRename: (id: string) => void }) {
  const studio = useStudio()
  const { effects } = useSite()
  const { effectMenu } = useView('effectMenu')
  const from = useRef<HTMLElement | null>(null)
  const effect = effects.find(({ id }) => id === effectMenu?.id)
  useEffect(() => {
    if (effectMenu) from.current = document.activeElement instanceof HTMLElement ? document.activeElement : null
  }, [effectMenu])
  if (!effect || !effectMenu) return null
  const { x, y } = effectMenu
  const entries: readonly { readonly value: string; readonly words: string; readonly act: () => void }[] = [
    { value: 'rename', words: 'Rename (F2)', act: () => onRename(effect.id) },
    { value: 'duplicate', words: 'Duplicate (D)', act: () => duplicateEffects(studio, [effect]) },
    { value: 'copy', words: `Copy (${keyNamed('Ctrl C')})`, act: () => void copy() },
    { value: 'off', words: effect.isOff ? 'Turn on (O)' : 'Turn off (O)', act: () => toggleOff(studio, [effect]) },
    { value: 'up', words: 'Move up (Alt Up)', act: () => moveEffect(studio, effect, -1) },
    { value: 'down', words: 'Move down (Alt Down)', act: () => moveEffect(studio, effect, 1) },
    { value: 'preset', words: 'Save as a preset', act: () => void keepAsPresets(studio, [effect]) },
    { value: 'remove', words: 'Remove (Delete)', act: () => removeEffects(studio, [effect]) },
  ]
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(textOfEffects([effect]))
      notify(studio, `Copied ${effect.name}. Point at something and paste, here or on another site.`)
    } catch {
      notify(studio, `The browser did not let it be copied; ${keyNamed('Ctrl C')} does.`)
    }
  }
  const close = () => {
    studio.view.update({ effectMenu: null })
    from.current?.focus()
  }
  return (
    <Menu.Root
      key={`${effect.id} ${x} ${y}`}
      open
      onOpenChange={({ open }) => open || close()}
      onSelect={({ value }) => {
        close()
        entries.find((each) => each.value === value)?.act()
      }}
      positioning={{ placement: 'bottom-start', getAnchorRect: () => ({ x, y, width: 0, height: 0 }) }}
    >
      <Portal>
        <Menu.Positioner>
          <Menu.Content aria-label={`Effect ${effects.indexOf(effect) + 1}: ${effect.name}`}>
            {entries.map(({ value, words }) => (
              <Menu.Item key={value} value={value}>
                {words}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}
