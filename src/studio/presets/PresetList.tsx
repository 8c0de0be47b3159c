// The designer's own presets, while something is chosen: put on it, or placed beside it with their markup.
import { Box, Flex } from '@chakra-ui/react'
import { Trash2 } from 'lucide-react'
import { useEffect, useState } from 'react'
import { tellEffect } from '../../core/export/plan'
import { notify } from '../commands'
import { useStudio, useView } from '../context'
import { Button } from '../theme/controls'
import { listPresets, placePresetAt, putPreset, removePreset, type KeptPreset } from './commands'

export function PresetList() {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const [presets, setPresets] = useState<readonly KeptPreset[] | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const rung = pointing.rungs[pointing.pick]
  useEffect(() => {
    let isCurrent = true
    listPresets()
      .then((all) => isCurrent && setPresets(all))
      .catch((error: unknown) => isCurrent && setRefusal(error instanceof Error ? error.message : 'Your presets could not be had.'))
    return () => {
      isCurrent = false
    }
  }, [])
  const small = { minHeight: '26px', fontSize: '13px', px: '8px' } as const
  return (
    <Box as="section" aria-label="Presets" px="14px" py="8px" fontSize="14px" overflowY="auto" minHeight="0" flex="1">
      {refusal && (
        <Box role="alert" fontWeight="600">
          ⚠ {refusal}
        </Box>
      )}
      {presets?.length === 0 && (
        <Box color="soft">None yet. Under More, an effect is saved as a preset, together with the markup it needs.</Box>
      )}
      {presets?.map(({ id, preset }) => (
        <Flex
          key={id}
          align="center"
          gap="6px"
          py="7px"
          wrap="wrap"
          borderBottom="1px solid"
          borderColor="hairline"
          role="group"
          aria-label={preset.name}
        >
          <Box minWidth="0" flex="1 1 100%">
            <Box fontWeight="600" truncate title={preset.name}>
              {preset.name}
            </Box>
            <Box color="soft" fontSize="13px" lineHeight="1.3" lineClamp="2">
              {tellEffect(preset.effect)}
            </Box>
          </Box>
          <Button {...small} variant="act" onClick={() => putPreset(studio, preset)}>
            Put it on this
          </Button>
          <Button
            {...small}
            disabled={!rung || preset.markup === ''}
            onClick={() => rung && void placePresetAt(studio, preset, rung.number, 'after')}
            title="With its own markup, behind what is chosen"
          >
            Place it after
          </Button>
          <Button
            {...small}
            disabled={!rung || preset.markup === ''}
            onClick={() => rung && void placePresetAt(studio, preset, rung.number, 'inside')}
          >
            Place it inside
          </Button>
          <Button
            {...small}
            variant="quiet"
            ml="auto"
            aria-label={`Remove the preset ${preset.name}`}
            onClick={() =>
              void removePreset(id)
                .then(() => setPresets(presets.filter((each) => each.id !== id)))
                .catch((error: unknown) => notify(studio, error instanceof Error ? error.message : 'It could not be removed.'))
            }
          >
            <Trash2 size={14} aria-hidden="true" />
          </Button>
        </Flex>
      ))}
    </Box>
  )
}
