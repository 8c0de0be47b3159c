// Says what stands in the way of saving, or what came in from another window; it lies at the page's upper edge and blocks nothing.
import { Box, Flex } from '@chakra-ui/react'
import { toggleDrawer } from './commands'
import { useStudio } from './context'
import { useObservable } from './store/observable'
import { Button } from './theme/controls'

export function SavedElsewhere() {
  const studio = useStudio()
  const { store } = studio
  const keeping = useObservable(store.keeper.keeping)
  const merged = useObservable(store.merged)
  if (keeping.state === 'offline' || keeping.state === 'refused') return <Notice words={keeping.detail} />
  if (!merged) return null
  const close = () => store.merged.set(null)
  if (merged.clashes.length === 0) return <Notice words="Changes from another window came in beside yours."><Button onClick={close}>Good</Button></Notice>
  return (
    <Notice words={`Changes from another window came in. Both windows changed ${merged.clashes.join('; ')}: yours counts, and the other is among the earlier states.`}>
      <Button onClick={() => toggleDrawer(studio, 'revisions')}>Earlier states</Button>
      <Button look="act" onClick={close}>Good</Button>
    </Notice>
  )
}

function Notice({ words, children }: { readonly words: string; readonly children?: React.ReactNode }) {
  return (
    <Flex role="alert" position="absolute" top="8px" left="56px" right="16px" zIndex="6" align="center" gap="12px" px="14px" py="9px" background="sheet" border="1px solid" borderColor="ink" borderRadius="4px" boxShadow="0 12px 28px -18px #000">
      <Box fontWeight="700" aria-hidden="true">⚠</Box>
      <Box flex="1" fontSize="14px">{words}</Box>
      {children}
    </Flex>
  )
}
