// What the build made as text: what scripts are compiled from, and the stage's agent.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Fragment } from '../core/compile/join'

function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}

const built = (file: string) => readFileSync(join(process.cwd(), 'build', file), 'utf8')

/** What scripts are compiled from. */
export const scriptFragments = once(() => JSON.parse(built('fragments.json')) as readonly Fragment[])

/** The agent's script for the page's frame. */
export const stageScript = once(() => built('stage.js'))

/** The snippet that saves a page as it is rendered. */
export const snippetScript = once(() => built('snippet.js'))
