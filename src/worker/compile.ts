// The worker that writes scripts, so that the studio goes on while it does.
import type { Fragment } from '../core/compile/join'
import { writeShape } from '../core/compile/compile'
import type { FromCompiler, ToCompiler } from './protocol'

let fragments: Promise<readonly Fragment[]> | undefined

/** What scripts are compiled from; asked for again where it could not be had. */
const load = () =>
  (fragments ??= fetch(`${location.origin}/api/fragments`)
    .then((response) => {
      if (!response.ok) throw new Error()
      return response.json() as Promise<readonly Fragment[]>
    })
    .catch(() => {
      fragments = undefined
      throw new Error(
        'The studio’s server cannot be reached, so no new script can be written. What played before goes on; change something to try again.',
      )
    }))

addEventListener('message', ({ data: { shape } }: MessageEvent<ToCompiler>) => {
  load()
    .then((made) => ({ text: writeShape(shape, made) }))
    .catch((error: unknown) => ({ failure: error instanceof Error ? error.message : String(error) }))
    .then((answer: FromCompiler) => postMessage(answer), console.error)
})
