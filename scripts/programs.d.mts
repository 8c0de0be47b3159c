import type { ChildProcess } from 'node:child_process'

export interface ProcessRecord {
  pid: number
  began?: string | undefined
}

export function endProgram(child: ChildProcess): Promise<void>
export function recordOf(pid: number): ProcessRecord
export function isRunning(record: ProcessRecord | undefined): boolean
export function processesWith(argument: string): ProcessRecord[]
export function endOrphan(record: ProcessRecord): Promise<void>
