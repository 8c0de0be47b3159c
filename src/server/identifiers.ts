// The names that addresses may hold.
import * as z from 'zod'
import { Problem } from './problem'

const identifier = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/)

/** Checks the parts of an address; throws a 404 Problem for one that no site or page can have. */
export function checkIdentifiers<T extends Readonly<Record<string, string>>>(params: T): T {
  for (const value of Object.values(params)) {
    if (!identifier.safeParse(value).success) throw new Problem(404, 'No such address', 'There is nothing at this address. Home lists the sites that exist.')
  }
  return params
}

/** The revision that an If-Match header names. Throws a 428 Problem when it is missing, 400 when it cannot be read. */
export function readIfMatch(header: string | null): number {
  if (header === null) throw new Problem(428, 'A revision is needed', 'Saving needs the revision that it builds on, in If-Match.')
  const digits = /^"(\d{1,9})"$/.exec(header.trim())?.[1]
  if (digits === undefined) throw new Problem(400, 'The revision cannot be read', 'If-Match holds a revision in quotes, such as "7".')
  return Number(digits)
}

/** Checks a hash in an address. Throws a 404 Problem for what is none. */
export function checkHash(text: string): string {
  if (!/^[0-9a-f]{64}$/.test(text)) throw new Problem(404, 'No such address', 'There is nothing at this address.')
  return text
}
