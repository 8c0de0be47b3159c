// The name of an effect, as the list of effects shows it.
import { Flex, chakra } from '@chakra-ui/react'
import type { Effect } from '../../core/site/site'
import { duplicateEffects, keepAsPresets } from '../effects/commands'
import { useStudio } from '../context'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'

export function NameField({ effect }: { readonly effect: Effect }) {
  const studio = useStudio()
  return (
    <Flex align="center" gap="6px 10px" minHeight="34px" fontSize="14px" wrap="wrap" py="2px">
      <chakra.label htmlFor={`name-${effect.id}`} width="76px" color="soft">
        Name
      </chakra.label>
      <NamedField
        id={`name-${effect.id}`}
        value={effect.name}
        maxLength={120}
        flex="1 1 160px"
        minWidth="0"
        onTake={(name) => studio.store.edit({ do: 'change', id: effect.id, to: { name } }, 'Renaming an effect')}
      />
      <Button minHeight="26px" fontSize="13px" onClick={() => duplicateEffects(studio, [effect])}>
        Duplicate it
      </Button>
      <Button
        minHeight="26px"
        fontSize="13px"
        onClick={() => void keepAsPresets(studio, [effect])}
        title="Keep it with its markup, to be used again on any site"
      >
        Save as a preset
      </Button>
    </Flex>
  )
}
