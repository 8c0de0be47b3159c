import type { Connection } from './database.mjs'

export function checkPort(port: number): Promise<void>
export function loadDemo(connection: Connection): void
export function startStudio(options: { port: number; connection: Connection; onExit?: (code: number | null) => void }): Promise<{ address: string; stop: () => Promise<void> }>
