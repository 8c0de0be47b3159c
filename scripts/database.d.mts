export interface Connection {
  host: string
  port: number
  user: string
  password: string
  database: string
}

export interface Database {
  connection: Connection
  stop: () => Promise<void>
}

export function freePort(): Promise<number>
export function startDatabase(options: { program: string; folder: string; port?: number; onExit?: (code: number | null) => void }): Promise<Database>
export function databaseEnvironment(connection: Connection): { GLASS_MOTH_DB: string }
