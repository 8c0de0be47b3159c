// What the build made as text: the player's modules and the stage's agent.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { PlayerModule } from '../bundle/join-player'

function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}

const built = (file: string) => readFileSync(join(process.cwd(), 'build', file), 'utf8')

/** The player's modules, as `scripts/build-scripts.ts` wrote them. */
export const playerModules = once(() => JSON.parse(built('player.json')) as readonly PlayerModule[])

/** The agent's script for the page's frame. */
export const stageScript = once(() => built('stage.js'))

/** The snippet that saves a page as it is rendered. */
export const snippetScript = once(() => built('snippet.js'))
