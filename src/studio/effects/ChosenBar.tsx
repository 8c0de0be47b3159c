// What can be done with several effects at once, at the foot of the list.
import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useSite, useStudio, useView } from '../context'
import { Button } from '../theme/controls'
import { chosenEffects, duplicateEffects, keepAsPresets, removeEffects, tieEffects, toggleOff } from './commands'

export function ChosenBar() {
  const studio = useStudio()
  useSite()
  useView('chosen', 'selected')
  const effects = chosenEffects(studio)
  const small = { minHeight: '26px', fontSize: '13px', px: '8px' } as const
  return (
    <Box role="group" aria-label="The chosen effects" borderTop="1px solid" borderColor="edge" px="10px" py="7px" fontSize="13px">
      <Flex align="center" mb="5px">
        <Box flex="1" fontWeight="600">
          {effects.length} effects chosen
        </Box>
        <Button variant="quiet" px="4px" aria-label="Choose only one" onClick={() => studio.view.update({ chosen: [] })}>
          <X size={15} aria-hidden="true" />
        </Button>
      </Flex>
      <Flex wrap="wrap" gap="5px">
        <Button {...small} onClick={() => toggleOff(studio, effects)}>
          {effects.every(({ isOff }) => isOff) ? 'Turn on' : 'Turn off'}
        </Button>
        <Button {...small} onClick={() => duplicateEffects(studio, effects)}>
          Duplicate
        </Button>
        <Button {...small} onClick={() => tieEffects(studio, effects)} title="What they have in common follows the first of them">
          Link values
        </Button>
        <Button {...small} onClick={() => void keepAsPresets(studio, effects)}>
          Save as presets
        </Button>
        <Button {...small} onClick={() => removeEffects(studio, effects)}>
          Remove
        </Button>
      </Flex>
    </Box>
  )
}
