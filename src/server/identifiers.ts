// The names that addresses may hold.
import * as z from 'zod'
import { Problem } from './problem'

const identifier = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/)

/** Checks the parts of an address; throws a 404 Problem for one that no site or page can have. */
export function checkIdentifiers<T extends Readonly<Record<string, string>>>(params: T): T {
  for (const value of Object.values(params)) {
    if (!identifier.safeParse(value).success)
      throw new Problem(404, 'No such address', 'There is nothing at this address. Home lists the sites that exist.')
  }
  return params
}

/** Checks a hash in an address. Throws a 404 Problem for what is none. */
export function checkHash(text: string): string {
  if (!/^[0-9a-f]{64}$/.test(text)) throw new Problem(404, 'No such address', 'There is nothing at this address.')
  return text
}
