import type { IncomingMessage, Server, ServerResponse } from 'node:http'

export const longestHeaders: number

export function askedFor(url: string, token: string): string | undefined

export interface DoorOptions {
  port: number
  studioPort: number
  token: string
  isLan: boolean
  handle: (request: IncomingMessage, response: ServerResponse) => Promise<void>
}

export function openPreviewDoor(options: DoorOptions): Promise<Server>
