// Bringing a page: dropped, chosen, pasted, or saved from the designer's own browser by the page saver.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useRef, useState, type DragEvent } from 'react'
import { notify } from '../commands'
import { useStudio } from '../context'
import { Button } from '../theme/controls'
import { bringPages, replacePage, type Lost } from './commands'
import { readDrop } from './drop'
import type { Brought } from './send'
import { SendingLine, useSending } from './Sending'

export function ImportPage() {
  const studio = useStudio()
  const [refusal, setRefusal] = useState<string | null>(null)
  const { underWay, send } = useSending()
  const [isOver, setIsOver] = useState(false)
  const [replaces, setReplaces] = useState(false)
  const [lost, setLost] = useState<readonly Lost[]>([])
  const files = useRef<HTMLInputElement>(null)
  const folder = useRef<HTMLInputElement>(null)
  const bring = async (brought: readonly Brought[]) => {
    setRefusal(null)
    setLost([])
    if (replaces) {
      const result = await send(brought.length, (sending) => replacePage(studio, brought, sending))
      if (typeof result === 'string') setRefusal(result)
      else setLost(result)
    } else setRefusal((await send(brought.length, (sending) => bringPages(studio, brought, sending))) ?? null)
  }
  const chosen = (list: FileList | null) =>
    list && list.length > 0 && void bring([...list].map((file) => ({ path: file.webkitRelativePath || file.name, file })))
  const dropped = async (event: DragEvent) => {
    event.preventDefault()
    setIsOver(false)
    await bring(await readDrop(event.dataTransfer))
  }
  return (
    <Flex direction="column" gap="9px">
      <Flex
        direction="column"
        gap="8px"
        align="center"
        p="16px"
        border="1px dashed"
        borderColor={isOver ? 'madder' : 'edge'}
        borderRadius="4px"
        background={isOver ? 'press' : 'ground'}
        textAlign="center"
        onDragOver={(event) => {
          event.preventDefault()
          setIsOver(true)
        }}
        onDragLeave={() => setIsOver(false)}
        onDrop={(event) => void dropped(event)}
      >
        {underWay ? (
          <SendingLine underWay={underWay} />
        ) : (
          <Box>Drop an HTML file, a folder or a ZIP here, with its styles, pictures, fonts and videos.</Box>
        )}
        <Flex gap="8px">
          <Button onClick={() => files.current?.click()} disabled={underWay !== null}>
            Choose files …
          </Button>
          <Button onClick={() => folder.current?.click()} disabled={underWay !== null}>
            Choose a folder …
          </Button>
        </Flex>
        <input
          ref={files}
          type="file"
          multiple
          hidden
          aria-label="Files of a page"
          onChange={({ target }) => {
            chosen(target.files)
            target.value = ''
          }}
        />
        <input
          ref={folder}
          type="file"
          hidden
          aria-label="A folder with a page"
          {...{ webkitdirectory: '' }}
          onChange={({ target }) => {
            chosen(target.files)
            target.value = ''
          }}
        />
        <chakra.label fontSize="13px" display="flex" gap="6px" alignItems="center">
          <input type="checkbox" checked={replaces} onChange={({ target }) => setReplaces(target.checked)} /> It is a newer version of the
          page that is open now
        </chakra.label>
      </Flex>
      {refusal && (
        <Box role="alert" fontSize="14px" fontWeight="600">
          ⚠ {refusal}
        </Box>
      )}
      {lost.length > 0 && <LostEffects lost={lost} onFound={(id) => setLost(lost.filter(({ effect }) => effect !== id))} />}
      <Paste onBring={(brought) => void bring(brought)} />
      <Snippet />
    </Flex>
  )
}

/** Effects that do not find their elements in a newer version, with what those may have become. */
function LostEffects({ lost, onFound }: { readonly lost: readonly Lost[]; readonly onFound: (effect: string) => void }) {
  const { store } = useStudio()
  return (
    <Box role="alert" fontSize="14px">
      <Box fontWeight="600">⚠ {lost.length === 1 ? 'One effect does' : `${lost.length} effects do`} not find their elements here.</Box>
      {lost.map(({ effect, name, select, candidates }) => (
        <Box key={effect} mt="6px">
          {name}, on{' '}
          <Box as="span" fontFamily="mono" fontSize="12px">
            {select}
          </Box>
          : {candidates.length === 0 ? 'nothing here is like them. Point at the elements again.' : 'perhaps'}
          <Flex gap="6px" wrap="wrap" mt="4px">
            {candidates.map((candidate) => (
              <Button
                key={candidate.select}
                minHeight="26px"
                fontSize="13px"
                fontFamily="mono"
                onClick={() => {
                  store.edit({ do: 'change', id: effect, to: { select: candidate.select } }, 'Finding the elements again')
                  onFound(effect)
                }}
              >
                {candidate.select}, {candidate.count}
              </Button>
            ))}
          </Flex>
        </Box>
      ))}
    </Box>
  )
}

const areaLook = {
  width: '100%',
  minHeight: '70px',
  px: '8px',
  py: '6px',
  border: '1px solid',
  borderColor: 'edge',
  borderRadius: '4px',
  background: 'sheet',
  color: 'ink',
  fontFamily: 'mono',
  fontSize: '12px',
  resize: 'vertical',
} as const

/** HTML and CSS that are pasted. */
function Paste({ onBring }: { readonly onBring: (files: readonly Brought[]) => void }) {
  const [open, setOpen] = useState(false)
  const [html, setHtml] = useState('')
  const [css, setCss] = useState('')
  if (!open)
    return (
      <Button variant="quiet" alignSelf="flex-start" onClick={() => setOpen(true)}>
        Paste HTML and CSS …
      </Button>
    )
  const bring = () => {
    const text =
      css.trim() === ''
        ? html
        : /<\/head>/i.test(html)
          ? html.replace(/<\/head>/i, (end) => `<link rel="stylesheet" href="pasted.css">\n${end}`)
          : `<link rel="stylesheet" href="pasted.css">\n${html}`
    onBring([{ path: 'index.html', file: new Blob([text]) }, ...(css.trim() === '' ? [] : [{ path: 'pasted.css', file: new Blob([css]) }])])
  }
  return (
    <Flex direction="column" gap="6px">
      <chakra.textarea
        {...areaLook}
        aria-label="HTML of a page"
        placeholder="HTML"
        spellCheck={false}
        value={html}
        onChange={(event) => setHtml(event.target.value)}
      />
      <chakra.textarea
        {...areaLook}
        aria-label="CSS of the page"
        placeholder="CSS, if it is apart"
        spellCheck={false}
        value={css}
        onChange={(event) => setCss(event.target.value)}
      />
      <Button alignSelf="flex-start" disabled={html.trim() === ''} onClick={bring}>
        Import pasted HTML
      </Button>
    </Flex>
  )
}

/** The page saver, for the designer's own browser. */
function Snippet() {
  const studio = useStudio()
  const [copied, setCopied] = useState(false)
  const copy = async () => {
    try {
      const response = await fetch('/api/snippet')
      if (!response.ok) throw new Error()
      await navigator.clipboard.writeText(await response.text())
      setCopied(true)
      setTimeout(() => setCopied(false), 2500)
    } catch {
      notify(studio, 'The page saver could not be copied; the browser or the server refused.')
    }
  }
  return (
    <Flex gap="10px" align="center" fontSize="13px">
      <Button minHeight="27px" fontSize="13px" flex="none" aria-live="polite" onClick={() => void copy()}>
        {copied ? 'Copied' : 'Copy page saver'}
      </Button>
      <Box color="soft">
        For a page that is built while it loads: run it in your browser’s console on a page of yours. It saves the page as it stands, as one
        file, and sends nothing anywhere.
      </Box>
    </Flex>
  )
}
