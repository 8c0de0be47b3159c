// Files that are on their way in: how far they are, and a button to cancel it.
import { Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { Button } from '../theme/controls'
import type { Sending } from './send'

/** An import that is under way. */
export interface UnderWay {
  readonly text: string
  readonly cancel: () => void
}

/** What is under way now, and how to begin it: with how many files, and the work that is told how to watch it. */
export function useSending() {
  const [underWay, setUnderWay] = useState<UnderWay | null>(null)
  const send = async <Result,>(files: number, work: (sending: Sending) => Promise<Result>): Promise<Result> => {
    const ending = new AbortController()
    const tell = (text: string) => setUnderWay({ text, cancel: () => ending.abort() })
    tell(files === 1 ? 'Reading the file …' : `Reading ${files.toLocaleString('en')} files …`)
    try {
      return await work({
        signal: ending.signal,
        onCount: (done, of) => tell(`Saving ${done.toLocaleString('en')} of ${of.toLocaleString('en')} files …`),
      })
    } finally {
      setUnderWay(null)
    }
  }
  return { underWay, send }
}

/** How far it is, beside a button to cancel it. */
export function SendingLine({ underWay }: { readonly underWay: UnderWay }) {
  return (
    <Flex role="status" gap="12px" align="center" fontVariantNumeric="tabular-nums">
      {underWay.text}
      <Button minHeight="27px" fontSize="13px" onClick={underWay.cancel}>
        Cancel
      </Button>
    </Flex>
  )
}
