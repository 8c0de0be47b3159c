// What the studio asks of its workers, and what it is answered.
import type { Finding, Known } from '../core/check/checks'
import type { Shape } from '../core/compile/plan'
import type { HeldBack } from '../core/page/studio-copy'
import type { Rung } from '../core/page/candidates'
import type { Boxes } from '../core/rig/evaluate'
import type { Rig } from '../core/rig/rig'
import type { Site } from '../core/site/site'
import type { Sample } from '../core/signal/sample'
import type { TraceAnswer } from '../core/trace/compare'

export type Question =
  | { readonly ask: 'rungs'; readonly page: string; readonly numbers: readonly number[] }
  /** How many elements each selector matches on each page; null where it cannot be read. */
  | { readonly ask: 'count'; readonly selects: readonly string[] }
  /** The rung of the first match of a selector on a page. */
  | { readonly ask: 'first'; readonly page: string; readonly select: string }
  /** The number of a neighbour in the tree; null where there is none. */
  | { readonly ask: 'way'; readonly page: string; readonly number: number; readonly to: 'parent' | 'child' | 'next' | 'previous' }
  /** What a selector that means the element of this number means within the matches of another one; null where it does not. */
  | { readonly ask: 'inside'; readonly page: string; readonly own: string; readonly number: number; readonly select: string }
  | { readonly ask: 'overlaps'; readonly selects: readonly string[] }
  /** Each match of a selector, with a selector for it alone. */
  | { readonly ask: 'matches'; readonly page: string; readonly select: string }
  /** Elements of a page that are like what a selector matched in an earlier version of it. */
  | { readonly ask: 'alike'; readonly page: string; readonly select: string; readonly before: string }
  /** What is amiss with the effects of a page, by what is known of each. */
  | { readonly ask: 'check'; readonly site: Site; readonly page: string; readonly known: Readonly<Record<string, Known>> }
  /** What a rig does under a trace over boxes. */
  | { readonly ask: 'trace'; readonly rig: Rig; readonly trace: readonly Sample[]; readonly boxes: Boxes }

export interface Match {
  readonly number: number
  readonly select: string
  readonly words: string
  /** The address of the picture that it is or holds, as the source has it; empty where there is none. */
  readonly picture: string
  readonly attributes: Readonly<Record<string, string>>
}

export interface Answers {
  readonly rungs: readonly Rung[]
  readonly count: Readonly<Record<string, Readonly<Record<string, number>> | null>>
  readonly first: Rung | null
  readonly way: number | null
  readonly inside: string | null
  readonly overlaps: readonly (readonly string[])[]
  readonly matches: readonly Match[]
  readonly alike: readonly { readonly select: string; readonly count: number }[]
  readonly trace: TraceAnswer
  readonly check: readonly Finding[]
}

export type Answer<Ask extends Question['ask']> = Answers[Ask]

/** Pages are told to the worker; questions are answered in the order in which they came. */
export type ToWorker =
  | { readonly tell: 'page'; readonly page: string; readonly html: string }
  | { readonly tell: 'gone'; readonly page: string }
  | { readonly id: number; readonly question: Question }

export interface FromWorker {
  readonly id: number
  readonly answer: Answers[keyof Answers]
}

export type { HeldBack, Rung }

/** A script that is to be written, and how it reads: one after another. */
export interface ToCompiler {
  readonly shape: Shape
}
export type FromCompiler = { readonly text: string } | { readonly failure: string }
