// A choice from many cases that has all that any of them has: what a product comes to is tried, and not each of its members.

/** The cases, in their order, that bring a feature which too few of those before them had: each feature is had by so many, where there are. */
export function covering<Case>(cases: readonly Case[], featuresOf: (each: Case) => readonly string[], times = 1): readonly Case[] {
  const had = new Map<string, number>()
  return cases.filter((each) => {
    const features = new Set(featuresOf(each))
    if (![...features].some((feature) => (had.get(feature) ?? 0) < times)) return false
    for (const feature of features) had.set(feature, (had.get(feature) ?? 0) + 1)
    return true
  })
}
