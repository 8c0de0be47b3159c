// The site: pages and the effects that they share. Format glass-moth/1.
import * as z from 'zod'
import { findKind } from '../effect/kinds'

export const siteFormat = 'glass-moth/1'

const identifier = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'is not an identifier')
const title = z.string().trim().min(1, 'needs a name').max(120, 'is longer than 120 characters')

export const pageSchema = z.object({
  id: identifier,
  name: title,
  /** SHA-256 of the page's HTML as the designer brought it, in hex. */
  source: z.string().regex(/^[0-9a-f]{64}$/, 'is not a SHA-256 in hex'),
})

export const effectSchema = z
  .object({
    id: identifier,
    kind: z.string(),
    name: title,
    /** Which elements, as a CSS selector, and the designer's noun for one of them. */
    select: z.string().trim().min(1).max(500),
    noun: z.string().trim().min(1).max(60),
    settings: z.unknown(),
  })
  .superRefine((effect, context) => {
    const kind = findKind(effect.kind)
    if (!kind) {
      context.addIssue({ code: 'custom', path: ['kind'], message: `there is no kind of effect called "${effect.kind}"` })
      return
    }
    const checked = kind.settings.safeParse(effect.settings)
    if (!checked.success) for (const issue of checked.error.issues) context.addIssue({ ...issue, path: ['settings', ...issue.path] })
  })

export const siteSchema = z.object({
  format: z.literal(siteFormat),
  name: title,
  pages: z.array(pageSchema).min(1).max(200),
  effects: z.array(effectSchema).max(400),
})

export type Page = z.infer<typeof pageSchema>
export type Effect = z.infer<typeof effectSchema>
export type Site = z.infer<typeof siteSchema>

/** What is wrong with a document, in one sentence that names the place. */
export function describeIssues(error: z.ZodError): string {
  const [first, ...rest] = error.issues
  if (!first) return 'The document is not valid.'
  const place = first.path.length > 0 ? `At ${first.path.join('.')}: ` : ''
  return `${place}${first.message}${rest.length > 0 ? ` (and ${rest.length} more)` : ''}.`
}
