// What each thing that the script allows for weighs in it, worked out by the server when it is asked.
import { useEffect, useState } from 'react'
import * as z from 'zod'
import { factNames } from '../../core/compile/facts'
import { askForScript, type AskedScript } from './script-text'

const costsSchema = z.array(z.object({ what: z.enum([...factNames, 'takesOff']), isIn: z.enum(['page', 'wish', 'no']), bytes: z.number() }))
export type ScriptCost = z.infer<typeof costsSchema>[number]

/** The costs once they came, those before until then; nothing while nobody looks. */
export function useCosts({ siteId, page, only, effects, values, script }: AskedScript, isOpen: boolean): readonly ScriptCost[] | undefined {
  const [costs, setCosts] = useState<readonly ScriptCost[]>()
  useEffect(() => (isOpen ? askForScript({ siteId, page, only, effects, values, script }, 'costs', (answer) => setCosts(costsSchema.parse(answer)), () => setCosts(undefined)) : undefined), [siteId, page, only, effects, values, script, isOpen])
  return costs
}
