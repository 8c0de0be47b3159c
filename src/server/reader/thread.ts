// The thread that reads: it is told a task, and answers with what came of it or with the Problem that it met.
import { parentPort } from 'node:worker_threads'
import { Problem } from '../problem'
import type { FromThread, ToThread } from './protocol'
import { tasks, type ReadImport } from './tasks'

const isImport = (value: unknown): value is ReadImport =>
  typeof value === 'object' && value !== null && 'pages' in value && 'files' in value

/** The memory of the bytes in an answer. */
function buffersOf(value: unknown): readonly ArrayBuffer[] {
  const all = value instanceof Uint8Array ? [value] : isImport(value) ? value.files.map(({ bytes }) => bytes) : []
  return [...new Set(all.map(({ buffer }) => buffer))].filter((buffer) => buffer instanceof ArrayBuffer)
}

parentPort?.on('message', ({ id, task, given }: ToThread) => {
  const answer = (message: FromThread) => parentPort?.postMessage(message)
  try {
    const value = (tasks[task] as (given: unknown) => unknown)(given)
    // Bytes of files are handed over, not copied.
    parentPort?.postMessage({ id, value } satisfies FromThread, buffersOf(value))
  } catch (error) {
    if (error instanceof Problem) answer({ id, problem: { status: error.status, title: error.title, detail: error.detail } })
    else answer({ id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) })
  }
})
