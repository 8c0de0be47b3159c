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

export const databaseDown = () => new Problem(503, 'The database does not answer', 'The database does not answer.')
export const databaseLocked = () => new Problem(503, 'The database is busy', 'The database is busy with something else.')
export const diskFull = () => new Problem(507, 'The disk is full', 'The disk that holds the studio’s data is full. Make some room on it.')
export const diskReadOnly = () =>
  new Problem(507, 'The data folder cannot be written', 'The folder that holds the studio’s data cannot be written to. Check its rights.')

/** The Problem of an error; one that nobody expected is logged and told without its inside. */
export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) {
    if (error.status >= 500) log.warn(error.title)
    return error
  }
  log.error({ err: error }, 'unexpected error')
  return new Problem(
    500,
    'Something went wrong',
    'The studio’s server met an error that it did not expect. Its log says more; trying again may help.',
  )
}

/** The response for a Problem. */
export function problemResponse(error: unknown): Response {
  const { title, status, detail, extra } = problemOf(error)
  const body = { type: 'about:blank', title, status, detail, ...extra }
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  })
}

/** Runs a route's work; what it throws becomes a problem. */
export async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    return problemResponse(error)
  }
}

const escape = (text: string) => text.replace(/[&<>"]/g, (character) => `&#${character.charCodeAt(0)};`)

/** Runs the work of a route that is seen as a page; what it throws becomes a page that says so, on which nothing runs. */
export async function answerPage(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    const { title, status, detail } = problemOf(error)
    const html = `<!doctype html><html lang="en"><meta charset="utf-8"><title>${escape(title)}</title><style>body{font:17px/1.5 system-ui,sans-serif;margin:22vh auto 0;max-width:34em;padding:0 24px;color:#23262b;background:#fafbf9}@media (prefers-color-scheme:dark){body{color:#e6e9e4;background:#1b1e22}}h1{font-size:24px}</style><h1>${escape(title)}</h1><p>${escape(detail)}</p></html>`
    return new Response(html, {
      status,
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': "sandbox; default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'self'",
        'x-content-type-options': 'nosniff',
        'cache-control': 'no-store',
      },
    })
  }
}

/** What of a problem a screen shows. */
export const plainly = ({ status, title, detail }: Problem) => ({ status, title, detail })

/** The result of some work, or the Problem that it met; anything else is thrown on. For screens, which show a problem. */
export async function orProblem<T>(work: Promise<T>): Promise<T | Problem> {
  return work.catch((error: unknown) => {
    if (error instanceof Problem) return error
    throw error
  })
}
