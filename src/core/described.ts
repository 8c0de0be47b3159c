// Types of what Zod describes.
import type * as z from 'zod'

/** The same, and nobody may change it. */
export type Immutable<T> = T extends object ? { readonly [K in keyof T]: Immutable<T[K]> } : T

/** What a schema lets through, as everybody reads it. */
export type Described<Schema extends z.ZodType> = Immutable<z.infer<Schema>>
