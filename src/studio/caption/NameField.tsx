// The name of an effect, as the index of figures shows it.
import { Flex, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Effect } from '../../core/site/site'
import { duplicateEffect } from '../commands'
import { useStudio } from '../context'
import { Button, Field } from '../theme/controls'

export function NameField({ effect }: { readonly effect: Effect }) {
  const studio = useStudio()
  const [name, setName] = useState(effect.name)
  const take = () => {
    const trimmed = name.trim()
    if (trimmed === '') return setName(effect.name)
    if (trimmed !== effect.name) studio.store.edit({ do: 'change', id: effect.id, to: { name: trimmed } }, 'Renaming a figure')
  }
  return (
    <Flex align="center" gap="10px" minHeight="34px" fontSize="14px">
      <chakra.label htmlFor={`name-${effect.id}`} width="150px" color="soft">Name</chakra.label>
      <Field id={`name-${effect.id}`} value={name} maxLength={120} width="300px" onChange={(event) => setName(event.target.value)} onBlur={take} onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') event.currentTarget.blur()
      }} />
      <Button minHeight="26px" fontSize="13px" onClick={() => duplicateEffect(studio, effect)}>Duplicate it</Button>
    </Flex>
  )
}
