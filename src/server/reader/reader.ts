// Has the reading done in threads of its own, each with a budget of time and memory: whatever a page holds, the server answers.
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { log } from '../log'
import { Problem } from '../problem'
import type { FromThread, TaskName } from './protocol'
import type { tasks } from './tasks'

type Given<Task extends TaskName> = Parameters<(typeof tasks)[Task]>[0]
type Value<Task extends TaskName> = ReturnType<(typeof tasks)[Task]>

/**
 * How long a task may take, ms of the clock, which goes on while the machine is busy with something else. What is too much is told by counts:
 * bytes, elements, comments, attributes, depth, selectors, looks at an element. This is ten times what the most of it takes, and ends a runaway.
 */
const budgetMs: Readonly<Record<TaskName, number>> = {
  import: 200_000,
  check: 150_000,
  counts: 80_000,
  copy: 150_000,
  script: 300_000,
  shape: 150_000,
  costs: 400_000,
  export: 300_000,
  pack: 600_000,
}
/** How much memory a thread may have beside the bytes of files, MB. */
const budgetMb = 200

export interface ReadOptions {
  /** What is handed over with the task, and is not here any more. */
  readonly transfer?: readonly ArrayBuffer[]
  /** Says that nobody waits for the task any more; its promise is rejected with the signal's reason. */
  readonly signal?: AbortSignal | undefined
}

interface Job {
  readonly task: TaskName
  readonly given: unknown
  readonly transfer: readonly ArrayBuffer[]
  readonly resolve: (value: never) => void
  readonly reject: (error: unknown) => void
}

/** A thread with what waits for it; one task at a time. */
interface Lane {
  worker: Worker | undefined
  current: { readonly id: number; readonly job: Job; readonly timer: NodeJS.Timeout } | undefined
  readonly waiting: Job[]
}

// Next bundles each route for itself, so the threads hang on the process. What moves many bytes does not keep pages waiting.
const shared = globalThis as typeof globalThis & { glassMothReaders?: { readonly bytes: Lane; readonly page: Lane } }
const lanes = () =>
  (shared.glassMothReaders ??= {
    bytes: { worker: undefined, current: undefined, waiting: [] },
    page: { worker: undefined, current: undefined, waiting: [] },
  })

let ids = 0

/** Has a task done. Throws the Problem that it met: 413 or 422 for what it refuses, and 422 where it takes more time or memory than it may. */
export function read<Task extends TaskName>(
  task: Task,
  given: Given<Task>,
  { transfer = [], signal }: ReadOptions = {},
): Promise<Value<Task>> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(signal.reason as Error)
    const lane = lanes()[task === 'import' || task === 'pack' ? 'bytes' : 'page']
    const job: Job = { task, given, transfer, resolve, reject }
    lane.waiting.push(job)
    signal?.addEventListener('abort', () => drop(lane, job, signal.reason), { once: true })
    next(lane)
  })
}

/** Lets go of a job that nobody waits for any more, with the thread that is at it. */
function drop(lane: Lane, job: Job, reason: unknown): void {
  job.reject(reason)
  const at = lane.waiting.indexOf(job)
  if (at >= 0) lane.waiting.splice(at, 1)
  else if (lane.current?.job === job && lane.worker) replaceThread(lane, lane.worker)
}

/** Starts the thread that reads pages before anybody waits for it. */
export const warmReader = (): void => void (lanes().page.worker ??= startThread(lanes().page))

function next(lane: Lane): void {
  if (lane.current) return
  const job = lane.waiting.shift()
  if (!job) return lane.worker?.unref()
  const worker = (lane.worker ??= startThread(lane))
  worker.ref()
  const id = ++ids
  const timer = setTimeout(
    () => giveUp(lane, worker, `It takes longer than ${budgetMs[job.task] / 1000} seconds to read.`),
    budgetMs[job.task],
  )
  lane.current = { id, job, timer }
  worker.postMessage({ id, task: job.task, given: job.given }, [...job.transfer])
}

function finish(lane: Lane): Job | undefined {
  const job = lane.current?.job
  clearTimeout(lane.current?.timer)
  lane.current = undefined
  return job
}

/** Ends a thread that does not come to an end, or came to one. */
function giveUp(lane: Lane, worker: Worker, why: string): void {
  if (lane.worker !== worker) return
  lane.current?.job.reject(new Problem(422, 'This cannot be read', `${why} Nothing of it was kept.`))
  replaceThread(lane, worker)
}

/** Ends a thread with what it is at; another takes its place. */
function replaceThread(lane: Lane, worker: Worker): void {
  lane.worker = undefined
  void worker.terminate()
  finish(lane)
  next(lane)
}

function startThread(lane: Lane): Worker {
  const worker = new Worker(join(process.cwd(), 'build', 'reader.mjs'), {
    resourceLimits: { maxOldGenerationSizeMb: budgetMb, maxYoungGenerationSizeMb: 32 },
  })
  worker.unref()
  worker.on('message', (message: FromThread) => {
    if (lane.worker !== worker || lane.current?.id !== message.id) return
    const job = finish(lane)
    if ('value' in message) job?.resolve(message.value as never)
    else if ('problem' in message) job?.reject(new Problem(message.problem.status, message.problem.title, message.problem.detail))
    else job?.reject(new Error(message.error))
    next(lane)
  })
  worker.on('error', (error) => {
    log.error({ err: error }, 'the thread that reads ended')
    const isFull = 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'
    giveUp(lane, worker, isFull ? 'It needs more memory to read than a page may.' : 'The studio met an error while it read this.')
  })
  return worker
}
