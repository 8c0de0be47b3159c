// The code: stylesheet and script as they leave, live, with their sizes.
import { Box, Flex } from '@chakra-ui/react'
import { Check, Copy, Download } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { allowing } from '../../core/compile/facts'
import { takeFacts } from '../../core/compile/page-facts'
import { planEffects } from '../../core/export/plan'
import { writeStylesheet } from '../../core/export/stylesheet'
import { usePage, useSelected, useSite, useStudio, useView } from '../context'
import { Drawer } from '../Drawer'
import { Button } from '../theme/controls'
import { CountedOn } from './CountedOn'
import { gzippedBytes, useScript, type ScriptText } from './script-text'

/** What stands where code will, for the moment that the page is read. */
const coming = 'Written for this page in a moment …'

export function CodeDrawer() {
  const { store } = useStudio()
  const site = useSite()
  const page = usePage()
  const { overlaps } = useView('overlaps')
  const selected = useSelected()
  const [isOne, setOne] = useState(false)
  const [isListed, setListed] = useState(false)
  const only = isOne && selected ? selected.effect.id : undefined
  const planned = useMemo(() => planEffects(site, page.id, only), [site, page.id, only])
  const { effects, values, script: wished } = site
  const asked = useMemo(
    () => ({ siteId: store.id, page: page.id, only, effects, values, script: wished }),
    [store.id, page.id, only, effects, values, wished],
  )
  const script = useScript(asked)
  const facts = script.text?.facts
  const stylesheet = useMemo(
    () => (facts ? writeStylesheet(planned, overlaps, allowing(takeFacts(facts), { allows: wished?.allows })) : ''),
    [planned, overlaps, facts, wished?.allows],
  )
  const styleBytes = useGzipped(stylesheet)
  // What CSS does alone leaves nothing beside it.
  const isBare = script.text?.readable === ''
  return (
    <Drawer label="Code" title="Code" actions={<ExportButton />}>
      {selected && (
        <Flex px="14px" pt="8px" gap="4px" role="group" aria-label="The code of what">
          <Button variant="quiet" minHeight="26px" fontSize="13px" aria-pressed={!isOne} onClick={() => setOne(false)}>
            All effects of this page
          </Button>
          <Button variant="quiet" minHeight="26px" fontSize="13px" aria-pressed={isOne} onClick={() => setOne(true)}>
            Effect {selected.number} alone
          </Button>
        </Flex>
      )}
      {planned.length === 0 ? (
        <Box p="20px" color="soft">
          {only === undefined
            ? 'There is no code yet: nothing on this page responds to the pointer.'
            : 'This effect is off, or not for this page.'}
        </Box>
      ) : (
        <>
          <CopyRow stylesheet={stylesheet} script={script.text} isModule={wished?.isModule === true} />
          {/* While the list is read, the script is what it is about. */}
          {(isBare || !isListed) && (
            <CodeBlock
              title="Stylesheet"
              size={styleBytes === undefined || !facts ? '' : `${styleBytes} bytes gzipped`}
              text={facts ? stylesheet : coming}
              share="0 1 auto"
            />
          )}
          {facts && facts.sheets !== 'read' && <Unknown sheets={facts.sheets} />}
          {!isBare && <CountedOn asked={asked} isOpen={isListed} onOpen={setListed} />}
          {isBare ? (
            <Box px="14px" py="10px" fontSize="13px" color="soft" borderTop="1px solid" borderColor="hairline">
              No script is needed: the stylesheet does all of it.
            </Box>
          ) : script.failure ? (
            <Box px="14px" py="10px" fontSize="13px" color="soft" borderTop="1px solid" borderColor="hairline" aria-live="polite">
              {script.failure}
            </Box>
          ) : (
            <CodeBlock
              title="Script"
              size={script.text ? `${script.text.readable.split('\n').length - 1} lines` : ''}
              text={script.text?.readable ?? coming}
              share="1 1 0"
            />
          )}
        </>
      )}
    </Drawer>
  )
}

/** What is not known of the page because of its sheets. */
const unknown = {
  missing:
    'A stylesheet of this page could not be loaded, so the code allows for anything that it may say. Provide its file in “Pages of this site”, which the page’s name above opens.',
  unread:
    'A stylesheet of this page has too much in it to be read to its end, so the code allows for anything that it may say. It is exported as it is.',
} as const

function Unknown({ sheets }: { readonly sheets: keyof typeof unknown }) {
  return (
    <Box px="14px" py="6px" fontSize="13px" color="soft" borderTop="1px solid" borderColor="hairline" flex="none">
      {unknown[sheets]}
    </Box>
  )
}

function ExportButton() {
  const { store } = useStudio()
  const page = usePage()
  const [failure, setFailure] = useState(false)
  const save = async () => {
    const saved = await store.saver.settle()
    setFailure(!saved)
    if (saved) location.assign(`/export/${store.id}/${page.id}`)
  }
  return (
    <Button variant="act" onClick={() => void save()} title="The page with its files, ready to be opened by itself">
      <Download size={15} aria-hidden="true" /> {failure ? 'Not saved yet; try again' : 'Export page'}
    </Button>
  )
}

/** One box for hosts that take markup, two for those that split style and script. */
function CopyRow({
  stylesheet,
  script,
  isModule,
}: {
  readonly stylesheet: string
  readonly script: ScriptText | undefined
  readonly isModule: boolean
}) {
  const { readable = '', small = '', smallBytes = 0 } = script ?? {}
  const code = readable === '' ? '' : `<script${isModule ? ' type="module"' : ''}>\n${readable}</script>\n`
  const both = script ? `<style>\n${stylesheet}</style>\n${code}` : ''
  const readableBytes = useGzipped(readable)
  return (
    <Flex gap="8px" px="14px" py="8px" wrap="wrap" flex="none">
      <CopyButton variant="act" words="Copy code" text={both} />
      <CopyButton words="Copy CSS" text={stylesheet} />
      <CopyButton words="Copy script" text={readable} bytes={readableBytes} />
      <CopyButton words="Copy minified" text={small} bytes={smallBytes} />
    </Flex>
  )
}

/** A button that copies a text; `bytes` is what that weighs gzipped. */
function CopyButton({
  words,
  text,
  bytes,
  variant,
}: {
  readonly words: string
  readonly text: string
  readonly bytes?: number | undefined
  readonly variant?: 'act'
}) {
  const [state, setState] = useState<'no' | 'copied' | 'refused'>('no')
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text)
      setState('copied')
    } catch {
      setState('refused')
    }
    setTimeout(() => setState('no'), 2500)
  }
  return (
    <Button variant={variant ?? 'plain'} aria-live="polite" disabled={text === ''} onClick={() => void copy()}>
      {state === 'copied' ? <Check size={15} aria-hidden="true" /> : <Copy size={15} aria-hidden="true" />}
      <span>{state === 'copied' ? 'Copied' : state === 'refused' ? 'The browser refused; select it below' : words}</span>
      {bytes !== undefined && text !== '' && (
        <Box as="span" color="soft" fontSize="12px" fontVariantNumeric="tabular-nums">
          {(bytes / 1024).toFixed(1)} KB
        </Box>
      )}
    </Button>
  )
}

interface CodeBlockProps {
  readonly title: string
  readonly size: string
  readonly text: string
  readonly share: string
}

function CodeBlock({ title, size, text, share }: CodeBlockProps) {
  return (
    <Flex
      direction="column"
      flex={share}
      minHeight="130px"
      maxHeight={share.startsWith('0') ? '52%' : undefined}
      borderTop="1px solid"
      borderColor="hairline"
    >
      <Flex justify="space-between" px="14px" pt="6px" fontSize="13px">
        <Box as="h3" fontWeight="600">
          {title}
        </Box>
        <Box color="soft">{size}</Box>
      </Flex>
      <Box
        as="pre"
        tabIndex={0}
        aria-label={title}
        m="0"
        px="14px"
        py="6px"
        flex="1"
        minHeight="0"
        overflow="auto"
        fontFamily="mono"
        fontSize="12px"
        lineHeight="1.55"
        fontVariantLigatures="none"
      >
        {splitComments(text).map(({ isComment, part }, index) =>
          isComment ? (
            <Box as="span" key={index} color="soft">
              {part}
            </Box>
          ) : (
            part
          ),
        )}
      </Box>
    </Flex>
  )
}

function splitComments(text: string): readonly { readonly isComment: boolean; readonly part: string }[] {
  return text.split(/(\/\*[\s\S]*?\*\/|^\s*\/\/.*$)/m).map((part) => ({ part, isComment: /^\s*\/[*/]/.test(part) }))
}

function useGzipped(text: string): number | undefined {
  const [bytes, setBytes] = useState<number>()
  useEffect(() => {
    let isCurrent = true
    void gzippedBytes(text).then((count) => isCurrent && setBytes(count))
    return () => {
      isCurrent = false
    }
  }, [text])
  return bytes
}
