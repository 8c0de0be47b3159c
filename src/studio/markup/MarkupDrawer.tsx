// The markup beside the page: its HTML and the stylesheets that came with it, in an editor that shows errors in place.
import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { filesOf, type SiteFile } from '../../core/site/site'
import { notify } from '../commands'
import { usePage, useSite, useStudio, type Studio } from '../context'
import { Drawer } from '../Drawer'
import { Button } from '../theme/controls'
import { addFile, changeSource, keepFile } from './commands'
import type { Editor } from './editor'

export function MarkupDrawer() {
  const site = useSite()
  const page = usePage()
  const sheets = filesOf(site, page).filter(({ type }) => type === 'text/css')
  const [tab, setTab] = useState('')
  const sheet = sheets.find(({ path }) => path === tab)
  return (
    <Drawer label="Markup" title="Markup of this page">
      {sheets.length > 0 && (
        <Flex gap="4px" px="14px" py="6px" wrap="wrap" role="group" aria-label="Files">
          <Button variant="quiet" minHeight="25px" fontSize="13px" aria-pressed={!sheet} onClick={() => setTab('')}>
            HTML
          </Button>
          {sheets.map(({ path }) => (
            <Button
              key={path}
              variant="quiet"
              minHeight="25px"
              fontSize="13px"
              aria-pressed={sheet?.path === path}
              onClick={() => setTab(path)}
            >
              <Box as="span" truncate maxWidth="220px">
                {path}
              </Box>
            </Button>
          ))}
        </Flex>
      )}
      <EditedFile key={sheet ? sheet.path : page.id} sheet={sheet} />
    </Drawer>
  )
}

/** The text of the page or of a sheet; undefined, and said, where it cannot be had. */
async function readText(studio: Studio, source: string, sheet: SiteFile | undefined): Promise<string | undefined> {
  try {
    if (!sheet) return await studio.search.source(source)
    const response = await fetch(`/api/assets/${sheet.hash}`)
    if (!response.ok) throw new Error('This stylesheet could not be had from the studio’s server.')
    return await response.text()
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'This file could not be read.')
    return undefined
  }
}

function EditedFile({ sheet }: { readonly sheet: SiteFile | undefined }) {
  const studio = useStudio()
  const page = usePage()
  const room = useRef<HTMLDivElement>(null)
  const editor = useRef<Editor | null>(null)
  const [problems, setProblems] = useState(0)
  const [isDirty, setIsDirty] = useState(false)
  const hash = sheet ? sheet.hash : page.source
  const kept = useRef('')

  useEffect(() => {
    let isCurrent = true
    const open = async () => {
      const [text, { makeEditor }] = await Promise.all([readText(studio, page.source, sheet), import('./editor')])
      if (!isCurrent || !room.current || text === undefined) return
      kept.current = text
      setIsDirty(false)
      if (editor.current) return editor.current.setText(text)
      editor.current = makeEditor(room.current, sheet ? 'css' : 'html', text, {
        onChange: (now) => setIsDirty(now !== kept.current),
        onProblems: setProblems,
        onTake: () => void take(),
      })
    }
    void open()
    return () => {
      isCurrent = false
    }
    // The hash stands for the text.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [studio, hash])
  useEffect(() => () => editor.current?.end(), [])

  const take = async () => {
    const text = editor.current?.text()
    if (text === undefined || text === kept.current) return
    if (!sheet) return void (await changeSource(studio, 'Editing the markup', () => text))
    const file = await keepFile(studio, new File([text], sheet.path.split('/').at(-1) ?? 'style.css'))
    if (file) addFile(studio, { ...file, path: sheet.path }, 'Editing a stylesheet')
  }
  return (
    <>
      <Box
        ref={room}
        flex="1"
        minHeight="0"
        overflow="hidden"
        borderTop="1px solid"
        borderColor="hairline"
        css={{ '& .cm-editor': { height: '100%' } }}
      />
      <Flex align="center" gap="10px" px="14px" py="8px" borderTop="1px solid" borderColor="hairline" fontSize="13px">
        <Box flex="1" role="status" color="soft">
          {problems === 0 ? '' : `${problems} ${problems === 1 ? 'place' : 'places'} a browser has to guess at, marked at the left.`}
        </Box>
        <Button onClick={() => editor.current?.setText(kept.current)} disabled={!isDirty}>
          Discard
        </Button>
        <Button variant="act" onClick={() => void take()} disabled={!isDirty} title="Ctrl S">
          Apply
        </Button>
      </Flex>
    </>
  )
}
