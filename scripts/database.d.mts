export interface Connection {
  /** By socket, or by address and port. */
  socketPath?: string
  host?: string
  port?: number
  user: string
  password: string
  database: string
}

export interface Database {
  connection: Connection
  /** Where a damaged data folder was moved to. */
  movedTo: string | undefined
  stop: () => Promise<void>
}

export interface DatabaseOptions {
  program: string
  folder: string
  port?: number | undefined
  onExit?: (code: number | null) => void
  onSpawn?: (stop: () => Promise<void>) => void
}

export function freePort(): Promise<number>
export function startDatabase(options: DatabaseOptions): Promise<Database>
export function runningDatabase(folder: string): Promise<Connection | undefined>
export function restoringFolder(folder: string): string
export function markRestored(folder: string): void
export function restoreIsDone(folder: string): void
export function settleRestore(folder: string): { isWhole: boolean; aside: string | undefined } | undefined
export function moveDataAside(folder: string): string | undefined
export function databaseEnvironment(connection: Connection): { GLASS_MOTH_DB: string }
