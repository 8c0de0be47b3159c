// Kept states: what to go back to when a sample comes late.

/** A record of the state with two copies of it. */
export interface Kept {
  readonly live: object
  readonly newer: object
  readonly older: object
}

/** A record that is kept from now on. */
export function keep(live: object): Kept {
  return { live, newer: copyOf(live), older: copyOf(live) }
}

const copyOf = (live: object): object => (Array.isArray(live) ? [...(live as unknown[])] : { ...live })

/** Makes the newer copies the older ones, and the live state the newer ones. */
export function keepStates(records: readonly Kept[]): void {
  for (const { live, newer, older } of records) {
    Object.assign(older, newer)
    Object.assign(newer, live)
  }
}

/** Takes the live state back to the newer or the older copies; older ones become both. */
export function restoreStates(records: readonly Kept[], isNewer: boolean): void {
  for (const { live, newer, older } of records) {
    if (!isNewer) Object.assign(newer, older)
    Object.assign(live, newer)
  }
}
