// The worker that writes scripts, so that the studio goes on while it does.
import type { Fragment } from '../core/compile/join'
import { writeShape } from '../core/compile/compile'
import type { FromCompiler, ToCompiler } from './protocol'

const fragments = fetch(`${location.origin}/api/fragments`).then((response) => response.json() as Promise<readonly Fragment[]>)

addEventListener('message', ({ data: { shape } }: MessageEvent<ToCompiler>) => {
  fragments.then((made) => ({ text: writeShape(shape, made) })).catch((error: unknown) => ({ failure: error instanceof Error ? error.message : String(error) })).then((answer: FromCompiler) => postMessage(answer), console.error)
})
