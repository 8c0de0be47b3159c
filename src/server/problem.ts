// Problems that a request can meet, as application/problem+json (RFC 9457), with a sentence that says what to do.
import { log } from './log'

/** A refusal with its HTTP status. `detail` is shown to the designer as it stands. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly extra: Readonly<Record<string, unknown>> = {},
  ) {
    super(detail)
  }
}

export const databaseDown = () =>
  new Problem(503, 'The database does not answer', 'The database does not answer. Your edits stay in this browser and are saved when it comes back.')

/** The response for a Problem; anything else that was thrown is logged and told without its inside. */
export function problemResponse(error: unknown): Response {
  const problem = error instanceof Problem ? error : new Problem(500, 'Something went wrong', 'The studio met an error that it did not expect. Its log says more; trying again may help.')
  if (!(error instanceof Problem)) log.error({ err: error }, 'unexpected error')
  else if (problem.status >= 500) log.warn(problem.title)
  const body = { type: 'about:blank', title: problem.title, status: problem.status, detail: problem.detail, ...problem.extra }
  return new Response(JSON.stringify(body), { status: problem.status, headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' } })
}

/** Runs a route's work; what it throws becomes a problem. */
export async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    return problemResponse(error)
  }
}

/** The result of some work, or the Problem that it met; anything else is thrown on. For screens, which show a problem. */
export async function orProblem<T>(work: Promise<T>): Promise<T | Problem> {
  return work.catch((error: unknown) => {
    if (error instanceof Problem) return error
    throw error
  })
}
