import type { Connection } from './database.mjs'

export function backupName(why: string): string
export function newestBackup(folder: string): string | undefined
export function backUpOnce(folder: string, connection: Connection, signal?: AbortSignal): Promise<boolean>
export function backUpDaily(folder: string, connection: () => Connection): () => Promise<void>
