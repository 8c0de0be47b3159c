// A studio of the torment's own, started by the start command itself, with a data folder that may be destroyed.
import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../../scripts/database.mjs'
import { processesWith } from '../../scripts/programs.mjs'

const root = new URL('../..', import.meta.url).pathname

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Asks over a connection of its own: one that was kept open may have been closed while we were busy. */
export const ask = (address: string, init: RequestInit = {}): Promise<Response> =>
  fetch(address, { ...init, headers: { ...(init.headers as Record<string, string> | undefined), connection: 'close' } })

/** One of a list, by chance. */
export const pick = <T>(random: () => number, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T

/** Resolves once a process has ended; at once where there is none. */
export const hasEnded = (child: ChildProcess | undefined): Promise<void> =>
  !child || child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve()
    : new Promise((resolve) => child.once('exit', () => resolve()))

/** What can be killed. */
export type Part = 'server' | 'database' | 'start'

export interface TormentHouse {
  readonly address: string
  readonly data: string
  /** Starts the start command; resolves when the studio answers, or false when it does not. */
  readonly start: () => Promise<boolean>
  readonly answers: (mostMs: number) => Promise<boolean>
  readonly kill: (what: Part, signal?: NodeJS.Signals) => boolean
  readonly stop: () => Promise<void>
  readonly close: () => Promise<void>
  readonly beginWatch: () => void
  readonly watched: () => { readonly longestBlockMs: number; readonly baseMb: number; readonly greatestMb: number }
  /** What the server holds after a collection, MB, and its process. Throws an Error where it does not say so in half a minute. */
  readonly liveHeap: () => Promise<{ readonly pid: number; readonly liveMb: number }>
  /** Processes and files that are left. */
  readonly leftovers: () => readonly string[]
}

/** A house whose start command has these variables besides. */
export async function openTormentHouse(besides: Readonly<Record<string, string>> = {}): Promise<TormentHouse> {
  const folder = mkdtempSync(join(tmpdir(), 'gm-torment-'))
  const data = join(folder, 'data')
  const watch = join(folder, 'watch')
  mkdirSync(watch)
  const port = await freePort()
  const address = `http://127.0.0.1:${port}`
  const studioRecord = join(root, '.glass-moth', `studio-${port}.json`)
  let command: ChildProcess | undefined
  const record = (file: string, key: string): number | undefined => {
    try {
      return (JSON.parse(readFileSync(file, 'utf8')) as Record<string, { pid?: number }>)[key]?.pid
    } catch {
      return undefined
    }
  }
  const answers = async (mostMs: number) => {
    for (const end = Date.now() + mostMs; Date.now() < end; await pause(50)) {
      try {
        if ((await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(2000) })).ok) return true
      } catch {
        // Not yet.
      }
    }
    return false
  }
  const start = async () => {
    await hasEnded(command)
    const env = {
      ...process.env,
      PORT: String(port),
      GLASS_MOTH_DATA: data,
      GLASS_MOTH_WATCH: watch,
      GLASS_MOTH_LOG: 'warn',
      NODE_OPTIONS: `--import ${join(root, 'bench/torment/watch.mjs')}`,
      ...besides,
    }
    command = spawn(process.execPath, [join(root, 'scripts/start.mjs')], { cwd: root, env, stdio: 'ignore' })
    const child = command
    // One that was left behind may still answer; ours has written itself down.
    const isOurs = async () => {
      for (const end = Date.now() + 90_000; Date.now() < end; await pause(50))
        if (record(studioRecord, 'supervisor') === child.pid) return answers(90_000)
      return false
    }
    return Promise.race([isOurs(), hasEnded(child).then(() => false)])
  }
  const kill: TormentHouse['kill'] = (what, signal = 'SIGKILL') => {
    const pid =
      what === 'start' ? command?.pid : what === 'server' ? record(studioRecord, 'studio') : record(join(data, 'running.json'), 'database')
    try {
      if (pid === undefined) return false
      process.kill(pid, signal)
      return true
    } catch {
      return false
    }
  }
  const stop = async () => {
    command?.kill('SIGTERM')
    await hasEnded(command)
  }
  return {
    address,
    data,
    start,
    answers,
    kill,
    stop,
    beginWatch: () => writeFileSync(join(watch, 'begin'), ''),
    watched: () => {
      const all = readdirSync(watch)
        .filter((file) => file.endsWith('.json'))
        .map((file) => JSON.parse(readFileSync(join(watch, file), 'utf8')) as ReturnType<TormentHouse['watched']>)
      return {
        longestBlockMs: Math.max(0, ...all.map((each) => each.longestBlockMs)),
        baseMb: Math.min(...all.map((each) => each.baseMb)),
        greatestMb: Math.max(0, ...all.map((each) => each.greatestMb)),
      }
    },
    liveHeap: async () => {
      const told = join(watch, 'heap')
      rmSync(told, { force: true })
      writeFileSync(join(watch, 'collect'), '')
      for (let waited = 0; waited < 30_000 && !existsSync(told); waited += 50) await pause(50)
      return JSON.parse(readFileSync(told, 'utf8')) as { pid: number; liveMb: number }
    },
    leftovers: () => [
      ...processesWith(`--datadir=${data}`).map(({ pid }) => `database process ${pid}`),
      ...(existsSync(data) ? readdirSync(data).filter((name) => name.startsWith('data.making-') || name.endsWith('.new')) : []),
      ...(existsSync(studioRecord) ? ['the record of a studio'] : []),
    ],
    close: async () => {
      await stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
