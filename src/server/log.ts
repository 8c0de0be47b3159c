// The server's log: one JSON line an event, on standard error.
import pino from 'pino'

export const log = pino(
  { level: process.env.GLASS_MOTH_LOG ?? 'info', base: null, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination(2),
)
