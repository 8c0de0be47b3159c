// Says on the page what of it is hidden until its scripts run, or not loaded, and by how much; with one act against it.
import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useState } from 'react'
import { toggleDrawer } from '../commands'
import { usePage, useStudio, useView } from '../context'
import { useOpenPanel } from '../open-panel'
import { showUnseen } from '../pages/commands'
import type { Unseen } from '../store/view-store'
import { Button } from '../theme/controls'

const sorts = { sheet: 'stylesheet', picture: 'picture', font: 'font', media: 'video or sound' } as const

/** What was not loaded, in words: "2 pictures and a font"; empty for nothing. */
export function lackedWords(held: Unseen['held']): string {
  const each = Object.entries(sorts).flatMap(([sort, word]) => {
    const count = held[sort] ?? 0
    return count === 0 ? [] : [count === 1 ? `a ${word}` : `${count} ${sort === 'media' ? 'videos or sounds' : `${word}s`}`]
  })
  return each.length < 2 ? (each[0] ?? '') : `${each.slice(0, -1).join(', ')} and ${each.at(-1) ?? ''}`
}

/** How much is hidden until scripts run, in words; empty for nothing. */
export function hiddenWords({ elements, share, held }: Unseen): string {
  if (elements.length === 0 || !('script' in held || 'handler' in held)) return ''
  const percent = Math.round(share * 100)
  const much = percent > 0 ? `, ${percent}% of the window,` : ''
  return elements.length === 1
    ? `One element of this page${much} is seen only once its scripts run; here they do not.`
    : `${elements.length} elements of this page${much} are seen only once its scripts run; here they do not.`
}

export function HiddenNotice() {
  const studio = useStudio()
  const page = usePage()
  const { unseen } = useView('unseen')
  const { width } = useOpenPanel()
  const [closed, setClosed] = useState('')
  const hidden = hiddenWords(unseen)
  const lacked = lackedWords(unseen.held)
  const about = `${page.id} ${page.source} ${hidden} ${lacked}`
  if ((hidden === '' && lacked === '') || closed === about) return null
  const missing =
    lacked === ''
      ? ''
      : `${lacked.charAt(0).toUpperCase()}${lacked.slice(1)} of this page ${/^an? [^,&]*$/.test(lacked) && !lacked.includes(' and ') ? 'is' : 'are'} not loaded.`
  return (
    <Flex
      role="status"
      aria-label="What of the page is not seen"
      position="absolute"
      top="8px"
      left="12px"
      right={`${width + 12}px`}
      mx="auto"
      width="fit-content"
      align="center"
      gap="10px"
      pl="12px"
      pr="4px"
      py="4px"
      fontSize="13.5px"
      background="sheet"
      border="1px solid"
      borderColor="edge"
      borderRadius="4px"
      zIndex="2"
    >
      <Box fontWeight="700" aria-hidden="true">
        ⚠
      </Box>
      <Box lineHeight="1.35">{[hidden, missing].filter((each) => each !== '').join(' ')}</Box>
      {hidden !== '' ? (
        <Button minHeight="26px" fontSize="13px" flex="none" onClick={() => void showUnseen(studio, page)}>
          {unseen.elements.length === 1 ? 'Show it here' : 'Show them here'}
        </Button>
      ) : (
        <Button minHeight="26px" fontSize="13px" flex="none" onClick={() => toggleDrawer(studio, 'pages')}>
          What is missing
        </Button>
      )}
      <Button variant="quiet" minHeight="26px" aria-label="Close this" onClick={() => setClosed(about)}>
        <X size={14} aria-hidden="true" />
      </Button>
    </Flex>
  )
}
