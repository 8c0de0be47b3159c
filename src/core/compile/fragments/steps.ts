/** steps(): `count` equal intervals with so many jumps, the first of them at once where it is early. */
export const steps =
  (count: number, jumps: number, early: number) =>
  (share: number): number =>
    Math.min(Math.floor(share * count) + early, jumps) / jumps
