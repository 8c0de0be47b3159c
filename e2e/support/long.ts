// What `npm run test:long` tries whole, `npm test` tries by a choice that has each member of each side in it.

/** Whether products are tried whole. */
export const isLong = process.env.GLASS_MOTH_LONG !== undefined

/** Of a test that `npm test` leaves out: what it tries beyond whether a thing works at all is in the part `depth` of the long tests. */
export const long = { tag: '@long' } as const

/** The seed of this run's chance. */
export const seedOr = (usual: number): number => Number(process.env.GLASS_MOTH_FUZZ ?? usual)

/** Of a list as many as there are in a round, another set for each number: over all numbers each of them comes, equally often. */
export const inTurn = <T>(all: readonly T[], round: number, count: number): readonly T[] =>
  isLong ? all : Array.from({ length: Math.min(count, all.length) }, (_, i) => all[(round * count + i) % all.length] as T)
