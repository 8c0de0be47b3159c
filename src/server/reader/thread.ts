// The thread that reads: it is told a task, and answers with what came of it or with the Problem that it met.
import { parentPort } from 'node:worker_threads'
import { Problem } from '../problem'
import type { FromThread, ToThread } from './protocol'
import { tasks } from './tasks'

parentPort?.on('message', ({ id, task, given }: ToThread) => {
  const answer = (message: FromThread) => parentPort?.postMessage(message)
  try {
    answer({ id, value: (tasks[task] as (given: unknown) => unknown)(given) })
  } catch (error) {
    if (error instanceof Problem) answer({ id, problem: { status: error.status, title: error.title, detail: error.detail } })
    else answer({ id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) })
  }
})
