// The entries of menus.
import { capitalised } from '../../core/site/text'

/** An entry, in the words that it has in a sentence; `isName` where they are a name that somebody gave. */
export interface MenuEntry {
  readonly value: string
  readonly words: string
  readonly isName?: boolean
}

/** What an entry says in its menu: it begins with a capital, unless it is a name. */
export const entryText = ({ words, isName }: MenuEntry): string => (isName ? words : capitalised(words))
