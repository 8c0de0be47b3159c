// Whether single letters act as keys: whoever speaks to the computer, or uses letters for something else, turns them off.
import { observable, type Observable } from './observable'

const place = 'glass-moth-letters'

/** The choice of this browser; one that cannot be kept is for this visit. */
export function makeLetters(storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>): Observable<boolean> {
  const read = () => {
    try {
      return storage.getItem(place) !== 'off'
    } catch {
      return true
    }
  }
  const letters = observable(read())
  return {
    ...letters,
    set: (act) => {
      letters.set(act)
      try {
        if (act) storage.removeItem(place)
        else storage.setItem(place, 'off')
      } catch {
        // It holds until the page is left.
      }
    },
  }
}
