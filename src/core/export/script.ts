// The script of an export: the player's source with the figures that it plays.
import { answerOf } from '../feel/spring-answer'
import type { PlayedFigure } from '../rig/played'
import { springSchema } from '../rig/schema'
import { writeLiteral } from './literal'

/**
 * A readable classic script for the end of the page; it defines nothing global. `player` is the player's text,
 * which defines `attach`.
 */
export function writeScript(player: string, figures: readonly PlayedFigure[]): string {
  const body = [
    '// What plays on this page. How it looks is in the stylesheet; here is where',
    '// the pointer is read, and how it is followed.',
    `const figures = ${writeLiteral(figures, tellSpring)}`,
    '',
    player.trim(),
    '',
    'attach(document, figures)',
  ].join('\n')
  return `(() => {\n'use strict'\n\n${body}\n})()\n`
}

/** What a spring comes to, for the comment beside it. */
function tellSpring(value: unknown): string | undefined {
  const { success, data } = springSchema.safeParse(value)
  if (!success) return undefined
  const { settleMs, overshoot } = answerOf(data)
  return `settles in ${Math.round(settleMs)} ms${overshoot > 0 ? `, ${Math.round(overshoot * 100)} % past the mark` : ''}`
}
