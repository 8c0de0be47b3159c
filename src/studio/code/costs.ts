// What each thing that the script allows for weighs in it, worked out by the server when it is asked.
import { useEffect, useState } from 'react'
import * as z from 'zod'
import { factNames } from '../../core/compile/facts'
import { askForScript, type AskedScript } from './script-text'

const costsSchema = z.array(z.object({ what: z.enum([...factNames, 'takesOff']), isIn: z.enum(['page', 'wish', 'no']), bytes: z.number() }))
export type ScriptCost = z.infer<typeof costsSchema>[number]

/** The costs once they came, those before until then, or why they did not come; nothing while nobody looks. */
export function useCosts(
  { siteId, page, only, effects, values, script }: AskedScript,
  isOpen: boolean,
): { readonly costs?: readonly ScriptCost[]; readonly failure?: string } {
  const [weighed, setWeighed] = useState<{ readonly costs?: readonly ScriptCost[]; readonly failure?: string }>({})
  useEffect(
    () =>
      isOpen
        ? askForScript(
            { siteId, page, only, effects, values, script },
            'costs',
            (answer) => {
              const read = costsSchema.safeParse(answer)
              if (read.success) setWeighed({ costs: read.data })
              return read.success
            },
            (why) => setWeighed({ failure: `${why} So nothing can be weighed now. Close this list and open it again.` }),
          )
        : undefined,
    [siteId, page, only, effects, values, script, isOpen],
  )
  return weighed
}
