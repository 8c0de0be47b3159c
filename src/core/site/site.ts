// The site: pages and the effects that they share. Format glass-moth/2; older ones are read as it.
import { factNames } from '../compile/facts'
import * as z from 'zod'
import { findKind } from '../effect/kinds'
import { relativeToMatches } from '../effect/roles'
import { unitsBesideCss } from '../effect/unit'
import { selectorText, valueText } from '../rig/css-text'
import { units } from '../rig/names'
import { upgradeSite } from './formats'
import { staysInside } from './path'

export const siteFormat = 'glass-moth/2'

const identifier = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'is not an identifier')
const title = z
  .string()
  .overwrite((text) => text.toWellFormed())
  .trim()
  .min(1, 'needs a name')
  .max(120, 'is longer than 120 characters')

const hash = z.string().regex(/^[0-9a-f]{64}$/, 'is not a SHA-256 in hex')
const select = selectorText()
const noun = z.string().trim().min(1).max(60)

/** A path that leads nowhere but down, or an address elsewhere. */
const path = z.string().min(1).max(2000).refine(staysInside, 'would lie outside of the site')

/** A file that came with a page: its path from the top of what was brought, or the address elsewhere that it stands for. */
export const fileSchema = z.object({ path, hash, type: z.string().max(100), size: z.number().int().min(0) })

/** Files that were brought together, shared by the pages among them. */
export const bundleSchema = z.object({ id: identifier, files: z.array(fileSchema).max(4000) })

const shownBySchema = z.object({ select, class: z.string().regex(/^[^\s"'<>&]{1,100}$/, 'is not a class') })

export const pageSchema = z.object({
  id: identifier,
  name: title,
  /** SHA-256 of the page's HTML, in hex. */
  source: hash,
  /** The bundle that the page came in, and where in it the page stood. */
  bundle: identifier.optional(),
  path: path.optional(),
  /** Selectors of what is hidden until a script of the page's own shows it, and is shown in the studio. */
  shown: z.array(select).max(50).optional(),
  /** Classes that such a script would set, and on what: in the studio they are set from the start. */
  shownBy: z.array(shownBySchema).max(50).optional(),
})

/** A page in the bin, from where it comes back within 30 days. */
export const binnedSchema = z.object({ page: pageSchema, removedAt: z.iso.datetime() })

/** Which elements fill a role beside the effect's own, and the designer's noun for one of them. */
export const roleSchema = z.object({ select, noun })

/** What single matches have otherwise: by the selector of that one, or read from it. */
export const overrideSchema = z.object({
  /** What to read it from where none is set: the match's background, text, picture, or an attribute. */
  from: z
    .union([z.enum(['background', 'text', 'picture']), z.object({ attribute: z.string().regex(/^[a-z][a-z0-9-]{0,60}$/i) })])
    .optional(),
  /** Values by the selector of one match. */
  values: z.record(select, valueText(2000)),
})

/** What some numbers and colours of an effect are in narrow windows, by knob or token; up to so wide ones, px. */
export const narrowSchema = z.object({ upToPx: z.number().int().min(200).max(4000), values: z.record(identifier, valueText(500)) })

/** A number, length or colour that effects of a site share: a custom property in the export. */
export const namedValueSchema = z.object({
  id: identifier,
  name: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/, 'is small letters, digits and hyphens, and begins with a letter'),
  value: z.union([z.number().min(-1e6).max(1e6), valueText(500)]),
  unit: z.enum([...units, ...unitsBesideCss]),
})

/** What a number or a colour of an effect follows: a named value, or a word of an effect; a number by so many times. */
export const bindingSchema = z.object({
  to: z.union([z.object({ value: identifier }).strict(), z.object({ effect: identifier, control: z.string().min(1).max(80) }).strict()]),
  times: z.number().min(-100).max(100),
})

/** A kept state of an effect's settings. */
export const trySchema = z.object({ id: identifier, name: title, settings: z.unknown() })

/** A kept stretch of the pointer's way, as CSV. */
export const keptTraceSchema = z.object({ id: identifier, name: title, csv: z.string().max(100_000) })

export const effectSchema = z
  .object({
    id: identifier,
    kind: z.string(),
    name: title,
    /** Which elements, as a CSS selector, and the designer's noun for one of them. */
    select,
    noun,
    /** The other roles of its kind, by id. */
    roles: z.record(identifier, roleSchema).optional(),
    /** What each match has of its own, by knob. */
    overrides: z.record(identifier, overrideSchema).optional(),
    narrow: narrowSchema.optional(),
    /** Off: it stays with the site, but plays nowhere and is not exported. */
    isOff: z.literal(true).optional(),
    /** The pages that it is for; all when left out. */
    pages: z.array(identifier).max(200).optional(),
    /** What its numbers and colours are bound to, by control. */
    bindings: z.record(z.string().max(80), bindingSchema).optional(),
    tries: z.array(trySchema).max(40).optional(),
    settings: z.unknown(),
  })
  // Settings that their kind has learned since an effect was written are as they are from the start.
  .transform((effect, context) => {
    const kind = findKind(effect.kind)
    if (!kind) {
      context.addIssue({ code: 'custom', path: ['kind'], message: `there is no kind of effect called "${effect.kind}"` })
      return z.NEVER
    }
    const whole = (settings: unknown, path: (string | number)[]): unknown => {
      const checked = kind.settings.safeParse(settings)
      if (!checked.success) for (const issue of checked.error.issues) context.addIssue({ ...issue, path: [...path, ...issue.path] })
      return checked.data
    }
    const tries = effect.tries?.map((each, i) => ({ ...each, settings: whole(each.settings, ['tries', i, 'settings']) }))
    // Before they were kept relative to the matches, roles were written with the selector of these.
    const roles =
      effect.roles &&
      Object.fromEntries(
        Object.entries(effect.roles).map(([id, role]) => [id, { ...role, select: relativeToMatches(effect.select, role.select) }]),
      )
    return { ...effect, settings: whole(effect.settings, ['settings']), ...(tries ? { tries } : {}), ...(roles ? { roles } : {}) }
  })

/** What is asked of the script that leaves: what it allows for without need, whether it can be taken off again, and whether it is a module. */
export const leavingSchema = z.object({
  allows: z.array(z.enum(factNames)).max(factNames.length).optional(),
  takesOff: z.literal(true).optional(),
  isModule: z.literal(true).optional(),
})

/** A site in the present format. */
export const presentSiteSchema = z.object({
  format: z.literal(siteFormat),
  name: title,
  pages: z.array(pageSchema).min(1).max(200),
  effects: z.array(effectSchema).max(400),
  bundles: z.array(bundleSchema).max(400).optional(),
  bin: z.array(binnedSchema).max(400).optional(),
  values: z.array(namedValueSchema).max(100).optional(),
  traces: z.array(keptTraceSchema).max(30).optional(),
  script: leavingSchema.optional(),
})

/** A site in any format that there has been. */
export const siteSchema = z.preprocess((document) => upgradeSite(document, siteFormat), presentSiteSchema)

export type SiteFile = z.infer<typeof fileSchema>
export type Bundle = z.infer<typeof bundleSchema>
export type NamedValue = z.infer<typeof namedValueSchema>
export type Binding = z.infer<typeof bindingSchema>
export type Try = z.infer<typeof trySchema>
export type KeptTrace = z.infer<typeof keptTraceSchema>
export type Override = z.infer<typeof overrideSchema>
export type Narrow = z.infer<typeof narrowSchema>
export type Page = z.infer<typeof pageSchema>
export type Effect = z.infer<typeof effectSchema>
export type Site = z.infer<typeof siteSchema>

const emptied = ['bundles', 'bin', 'values', 'traces'] as const

/** A site without what means nothing: lists that are empty, and pages in the bin that are back among the others. */
export function tidySite(site: Site): Site {
  const bin = site.bin?.filter(({ page }) => !site.pages.some(({ id }) => id === page.id))
  const tidy = bin && bin.length !== site.bin?.length ? { ...site, bin } : site
  if (emptied.every((key) => tidy[key]?.length !== 0)) return tidy
  return Object.fromEntries(
    Object.entries(tidy).filter(([key, value]) => !(emptied.some((each) => each === key) && Array.isArray(value) && value.length === 0)),
  ) as Site
}

/** How long a removed page can be brought back, days. */
export const binDays = 30

/** The files that came with a page. */
export function filesOf(site: Site, page: Page): readonly SiteFile[] {
  return site.bundles?.find(({ id }) => id === page.bundle)?.files ?? []
}

/** Whether an effect plays on a page, or anywhere when no page is named. */
export function playsOn({ pages, isOff }: Effect, pageId?: string): boolean {
  return !isOff && (pageId === undefined || !pages || pages.includes(pageId))
}

/** Whether an effect was put on one element alone: its noun says so. */
export const isOneAlone = ({ noun }: Pick<Effect, 'noun'>): boolean => noun.startsWith('this ')
