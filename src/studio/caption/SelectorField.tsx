// The selector of an effect, to be read and typed; one that cannot be read is refused in place.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { wordOf } from '../../core/export/names'
import type { Effect } from '../../core/site/site'
import { usePage, useStudio, useView } from '../context'
import { Field } from '../theme/controls'

export function SelectorField({ effect }: { readonly effect: Effect }) {
  const { store } = useStudio()
  const { counts } = useView('counts')
  const page = usePage()
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? effect.select
  const isReadable = canRead(text)
  const count = counts.get(effect.select)?.[page.id]
  const commit = () => {
    setTyped(null)
    const select = text.trim()
    if (isReadable && select !== effect.select)
      store.edit({ do: 'change', id: effect.id, to: { select, noun: `each ${wordOf(select)}` } }, 'Changing the selector')
  }
  return (
    <Flex align="center" gap="0 10px" minHeight="34px" fontSize="14px" wrap="wrap" py="2px">
      <chakra.label htmlFor={`selector-${effect.id}`} width="76px" color="soft">
        Selector
      </chakra.label>
      <Field
        id={`selector-${effect.id}`}
        value={text}
        maxLength={500}
        spellCheck={false}
        fontFamily="mono"
        flex="1 1 160px"
        minWidth="0"
        aria-invalid={!isReadable}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Enter') event.currentTarget.blur()
          if (event.key === 'Escape') setTyped(null)
        }}
      />
      <Box color="soft" role="status" fontSize="13px">
        {!isReadable ? 'This is no CSS selector; the old one stays.' : typed === null && count !== undefined ? `${count} on this page` : ''}
      </Box>
    </Flex>
  )
}

export function canRead(select: string): boolean {
  if (select.trim() === '') return false
  try {
    document.createDocumentFragment().querySelector(select)
    return true
  } catch {
    return false
  }
}
