// What the server and the thread that reads say to each other.
import type { tasks } from './tasks'

export type TaskName = keyof typeof tasks

export interface ToThread {
  readonly id: number
  readonly task: TaskName
  readonly given: unknown
}

export type FromThread = { readonly id: number } & (
  | { readonly value: unknown }
  | { readonly problem: { readonly status: number; readonly title: string; readonly detail: string } }
  | { readonly error: string }
)
