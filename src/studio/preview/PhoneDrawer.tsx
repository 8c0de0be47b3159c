// The preview on a phone: its address, to be read by a camera, where the server was started for that; else how it is.
import { Box, chakra } from '@chakra-ui/react'
import qrcode from 'qrcode-generator'
import { useEffect, useState } from 'react'
import { usePage, useStudio } from '../context'
import { Drawer } from '../Drawer'
import { Button } from '../theme/controls'
import { openPreview, previewAddress, previewPlaces, type PreviewPlaces } from './commands'

export function PhoneDrawer() {
  const studio = useStudio()
  usePage()
  const [places, setPlaces] = useState<PreviewPlaces | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  useEffect(() => {
    let isCurrent = true
    previewPlaces().then(
      (found) => isCurrent && setPlaces(found),
      (error: unknown) => isCurrent && setFailure(error instanceof Error ? error.message : 'The studio’s server does not answer.'),
    )
    return () => {
      isCurrent = false
    }
  }, [])
  const [lan] = places?.lan ?? []
  return (
    <Drawer label="Preview" title="Preview on a phone">
      <Box px="14px" py="12px" fontSize="14px" display="flex" flexDirection="column" gap="12px">
        {failure && <Box role="alert">{failure}</Box>}
        {places && lan === undefined && (
          <>
            <Box>
              Other devices cannot open previews now: the studio answers this machine alone. To let them, stop it and start it again with
            </Box>
            <Box as="pre" m="0" p="10px" background="ground" border="1px solid" borderColor="hairline" borderRadius="4px" fontFamily="mono">
              npm start -- --lan
            </Box>
            <Box color="soft">
              Then whoever is in your network and has the address of a preview sees the pages of your sites, and can change nothing. The
              address is another one after each start.
            </Box>
          </>
        )}
        {lan !== undefined && (
          <>
            <Code text={previewAddress(studio, lan)} />
            {places?.lan.map((place) => (
              <Box key={place} fontFamily="mono" fontSize="12.5px" overflowWrap="anywhere" userSelect="all">
                {previewAddress(studio, place)}
              </Box>
            ))}
            <Box>
              <strong>Whoever is in your network and has this address sees the pages of your sites.</strong> They can change nothing. Stop
              the studio, and it is closed; the next start has another address.
            </Box>
          </>
        )}
        <Box>
          <Button onClick={() => void openPreview(studio)}>Open it in another window here</Button>
        </Box>
      </Box>
    </Drawer>
  )
}

/** A text as a code that cameras read (ISO/IEC 18004). */
function Code({ text }: { readonly text: string }) {
  const code = qrcode(0, 'M')
  code.addData(text)
  code.make()
  const count = code.getModuleCount()
  const squares = Array.from({ length: count * count }, (_, i) => [i % count, Math.floor(i / count)] as const)
  const path = squares.flatMap(([x, y]) => (code.isDark(y, x) ? [`M${x} ${y}h1v1h-1z`] : [])).join('')
  return (
    <chakra.svg
      role="img"
      aria-label="The address as a code for a camera"
      viewBox={`-3 -3 ${count + 6} ${count + 6}`}
      width="240px"
      height="240px"
      background="#fff"
      shapeRendering="crispEdges"
    >
      <path d={path} fill="#000" />
    </chakra.svg>
  )
}
