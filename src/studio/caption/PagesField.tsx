// The pages that an effect is for: all, or some by name.
import { Box, Flex, chakra } from '@chakra-ui/react'
import type { Effect } from '../../core/site/site'
import { useSite, useStudio, useView } from '../context'

export function PagesField({ effect }: { readonly effect: Effect }) {
  const { store } = useStudio()
  const { pages } = useSite()
  const { counts } = useView('counts')
  if (pages.length < 2) return null
  const chosen = effect.pages ?? pages.map(({ id }) => id)
  const toggle = (id: string, isOn: boolean) => {
    const next = pages.map((page) => page.id).filter((each) => (each === id ? isOn : chosen.includes(each)))
    store.edit({ do: 'change', id: effect.id, to: { pages: next.length === pages.length ? undefined : next } }, 'Choosing the pages')
  }
  return (
    <Flex align="center" gap="0 10px" minHeight="34px" fontSize="14px" wrap="wrap" py="2px" role="group" aria-label="Pages that it is for">
      <Box width="76px" color="soft" flex="none">
        Pages
      </Box>
      {pages.map(({ id, name }) => (
        <chakra.label key={id} display="flex" gap="5px" alignItems="center">
          <input type="checkbox" checked={chosen.includes(id)} onChange={({ target }) => toggle(id, target.checked)} />
          <Box as="span" truncate maxWidth="160px">
            {name}
          </Box>{' '}
          <Box as="span" color="soft">
            {counts.get(effect.select)?.[id] ?? 0}
          </Box>
        </chakra.label>
      ))}
    </Flex>
  )
}
