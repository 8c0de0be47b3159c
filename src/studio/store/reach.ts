// Asking the studio's server, with a sentence for whatever goes wrong.
import * as z from 'zod'

const problemSchema = z.object({ detail: z.string() })

/** What the server says is wrong, as a sentence. */
export async function refusalOf(response: Response): Promise<string> {
  const problem = problemSchema.safeParse(await response.json().catch(() => undefined))
  return problem.success ? problem.data.detail : 'The studio’s server refused this.'
}

/** An answer of the server. Throws an Error with a sentence when it cannot be reached or refuses. */
export async function reach(address: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(address, init).catch(() => {
    throw new Error('The studio’s server cannot be reached, so nothing was changed. Try again when it is back.')
  })
  if (!response.ok) throw new Error(await refusalOf(response))
  return response
}
