import type { Connection } from './database.mjs'

export interface StudioOptions {
  port: number
  connection: Connection
  isLan?: boolean
  onExit?: (code: number | null) => void
  onSpawn?: (stop: () => Promise<void>) => void
}

export const portIsTaken: number
export function takePort(port: number): Promise<() => Promise<void>>
export function endLeftStudios(): Promise<void>
export function runWithDatabase(script: string, args: readonly string[], connection: Connection): { status: number | null; output: string }
export function runBeside(
  script: string,
  args: readonly string[],
  connection: Connection,
  signal?: AbortSignal,
): Promise<{ status: number | null; output: string }>
export function loadDemo(connection: Connection, backups?: string): void
export function startStudio(options: StudioOptions): Promise<{ address: string; stop: () => Promise<void> }>
