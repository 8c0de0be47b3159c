// One element that was chosen alone, whose selector matches several by now: which it is can be said in the markup.
import { Box } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { wordOf } from '../../core/export/names'
import type { Effect } from '../../core/site/site'
import { changeSource, type SourceChange } from '../markup/commands'
import { usePage, useStudio } from '../context'
import { newGesture } from '../store/site-store'
import { MarkupOffer } from './MarkupOffer'

/** An id that no element of a source has: the word with a number. */
function freeId(source: string, word: string): string {
  const taken = new Set([...source.matchAll(/\sid\s*=\s*["']?([^"'\s>]+)/gi)].map(([, id]) => id))
  for (let n = 1; ; n++) if (!taken.has(`${word}-${n}`)) return `${word}-${n}`
}

export function OneOfSeveral({ effect, count }: { readonly effect: Effect; readonly count: number }) {
  const studio = useStudio()
  const { search, store } = studio
  const page = usePage()
  const { select, noun, id } = effect
  const [first, setFirst] = useState<{ readonly number: number; readonly isNamed: boolean } | null>(null)
  useEffect(() => {
    let isCurrent = true
    const look = async () => {
      const rung = await search.ask({ ask: 'first', page: page.id, select })
      // One that has an id keeps it: links may lead there.
      if (isCurrent) setFirst(rung ? { number: rung.number, isNamed: rung.element.includes('#') } : null)
    }
    void look().catch(() => undefined)
    return () => {
      isCurrent = false
    }
  }, [search, store, page.id, page.source, select])
  if (first === null) return null
  const word = wordOf(select)
  const change: SourceChange = (source, { applyMarkup }) =>
    applyMarkup(source, { do: 'attribute', at: first.number, name: 'id', value: freeId(source, word) })
  const act = async () => {
    const gesture = newGesture()
    const named = freeId(await search.source(page.source), word)
    if (await changeSource(studio, 'Naming one element', change, gesture))
      store.edit({ do: 'change', id, to: { select: `#${named}` } }, 'Naming one element', gesture)
  }
  const said = `${noun.charAt(0).toUpperCase()}${noun.slice(1)} was one element; ${count} match ${select} by now. Point at it again`
  if (first.isNamed)
    return (
      <Box role="status" fontSize="13.5px" fontWeight="600" pl="30px" lineHeight="1.4">
        ⚠ {said}.
      </Box>
    )
  return <MarkupOffer words={`${said}, or give the first of them an id.`} change={change} act="Give it an id" onAct={() => void act()} />
}
