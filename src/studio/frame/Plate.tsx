// The plate: the page alive in its frame, at the visitor's width, scaled to fit.
import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { leavePage } from '../commands'
import { useStudio, useView } from '../context'
import { visitor } from '../visitor'
import { useStageTalk } from './stage-talk'

const margin = 10

export function Plate() {
  const studio = useStudio()
  const { notice } = useView()
  const room = useRef<HTMLDivElement>(null)
  const frame = useRef<HTMLIFrameElement>(null)
  const [scale, setScale] = useState(0.78)
  useStageTalk()

  useEffect(() => {
    const element = room.current
    if (!element) return
    const fit = new ResizeObserver(([entry]) => {
      if (!entry) return
      const { width, height } = entry.contentRect
      setScale(Math.min(1, (width - 2 * margin) / visitor.width, (height - 2 * margin) / visitor.height))
    })
    fit.observe(element)
    return () => fit.disconnect()
  }, [])

  useEffect(() => {
    const element = frame.current
    if (!element) return
    const disconnect = studio.link.connect(element)
    // The page is asked for once somebody listens, so that its first word is heard.
    element.src = `/frame/${studio.store.id}/${studio.page.id}`
    const gone = () => leavePage(studio)
    // A sandboxed page is not told that the pointer left it; that the studio sees the pointer tells it.
    const overControls = () => {
      if (!studio.view.hand.isOnPage || studio.view.get().pointing.stage === 'looking') return
      studio.view.hand.isOnPage = false
      studio.link.say({ type: 'leave', to: 'controls' })
    }
    document.documentElement.addEventListener('mouseleave', gone)
    document.addEventListener('pointermove', overControls, { passive: true })
    return () => {
      document.documentElement.removeEventListener('mouseleave', gone)
      document.removeEventListener('pointermove', overControls)
      disconnect()
    }
  }, [studio])

  return (
    <Box ref={room} position="relative" minWidth="0" minHeight="0" overflow="hidden" background="ground">
      <Box position="absolute" left="50%" top="50%" width={`${visitor.width * scale}px`} height={`${visitor.height * scale}px`} transform="translate(-50%, -50%)" outline="1px solid" outlineColor="edge" background="white">
        <iframe ref={frame} title={`The page ${studio.page.name}`} sandbox="allow-scripts" style={{ width: visitor.width, height: visitor.height, border: 0, transformOrigin: '0 0', transform: `scale(${scale})`, display: 'block' }} />
      </Box>
      {notice && (
        <Box role="status" position="absolute" left="50%" bottom="18px" transform="translateX(-50%)" maxWidth="80%" truncate px="12px" py="6px" fontSize="13px" background="sheet" border="1px solid" borderColor="edge" borderRadius="4px">{notice}</Box>
      )}
    </Box>
  )
}
