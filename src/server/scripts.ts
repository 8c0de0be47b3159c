// The scripts that leave the house: the player for a set of needs, and its sizes.
import { joinPlayer, gzippedSize } from '../bundle/join-player'
import { minifyScript } from '../bundle/minify'
import { writeScript } from '../core/export/script'
import { playerModules } from './built'

/** The player's text for these needs (see `needsOf`), and what it weighs without data, minified and gzipped, bytes. */
export interface PlayerText {
  readonly readable: string
  readonly smallBytes: number
}

const known = new Map<string, PlayerText>()

/** Reads the player for `needs`; remembered, for there are few sets of them. Needs that nobody knows are left out. */
export function playerFor(needs: readonly string[]): PlayerText {
  const key = [...new Set(needs)].sort().join(' ')
  let text = known.get(key)
  if (!text) {
    const readable = joinPlayer(playerModules(), needs)
    text = { readable, smallBytes: gzippedSize(minifyScript(writeScript(readable, []))) }
    if (known.size < 64) known.set(key, text)
  }
  return text
}
