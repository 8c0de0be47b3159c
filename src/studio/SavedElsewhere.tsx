// Says what stands in the way of saving, and what to do; it lies at the page's upper edge and blocks nothing.
import { Box, Flex } from '@chakra-ui/react'
import { useStudio } from './context'
import { useObservable } from './store/observable'
import { Button } from './theme/controls'

export function SavedElsewhere() {
  const { store } = useStudio()
  const keeping = useObservable(store.keeper.keeping)
  if (keeping.state === 'saved' || keeping.state === 'saving') return null
  return (
    <Flex role="alert" position="absolute" top="8px" left="56px" right="16px" zIndex="6" align="center" gap="12px" px="14px" py="9px" background="sheet" border="1px solid" borderColor="ink" borderRadius="4px" boxShadow="0 12px 28px -18px #000">
      <Box fontWeight="700" aria-hidden="true">⚠</Box>
      <Box flex="1" fontSize="14px">{keeping.detail}</Box>
      {keeping.state === 'conflict' && (
        <>
          <Button onClick={store.takeTheirs} title="Undo brings yours back">Take the stored one</Button>
          <Button look="act" onClick={store.keepOurs} title="The stored one stays as an earlier revision">Keep mine</Button>
        </>
      )}
    </Flex>
  )
}
