// The script of an export: the player's source with the figures that it plays.
import { answerOf } from '../feel/spring-answer'
import type { Feel } from '../feel/feel'
import type { PlayedFigure } from '../rig/played'
import { playedFigure, type Figure } from './plan'

/**
 * A readable classic script for the end of the page; it defines nothing global. `player` is the player's text,
 * which defines `attach`.
 */
export function writeScript(player: string, figures: readonly Figure[]): string {
  const body = [
    '// What plays on this page. How it looks is in the stylesheet; here is where',
    '// the pointer is read, and how it is followed.',
    'const figures = [',
    ...figures.map((figure) => `${indent(writeFigureLiteral(playedFigure(figure)))},`),
    ']',
    '',
    player.trim(),
    '',
    'attach(document, figures)',
  ].join('\n')
  return `(() => {\n'use strict'\n\n${body}\n})()\n`
}

function writeFigureLiteral({ title, select, pointer, channels }: PlayedFigure): string {
  const lines = ['{', `  title: ${quote(title)},`, `  select: ${quote(select)},`, `  pointer: ${quote(pointer)},`, '  channels: [']
  for (const { property, signal, away, curve, feel, going, group } of channels) {
    lines.push('    {')
    lines.push(`      property: ${quote(property)},`)
    lines.push(`      signal: ${quote(signal)},`)
    lines.push(`      group: ${quote(group)},`)
    lines.push(`      away: { kind: ${quote(away.kind)}, pose: ${away.pose} },`)
    if (curve) lines.push(`      curve: ${JSON.stringify(curve)},`)
    lines.push(`      feel: ${writeFeel(feel)}`)
    if (going) lines.push(`      going: ${writeFeel(going)}`)
    lines.push('    },')
  }
  lines.push('  ],', '}')
  return lines.join('\n')
}

function writeFeel(feel: Feel): string {
  switch (feel.kind) {
    case 'direct':
      return `{ kind: 'direct' },`
    case 'glide':
      return `{ kind: 'glide', halfLifeMs: ${feel.halfLifeMs} },`
    case 'spring': {
      const { settleMs, overshoot } = answerOf(feel)
      const past = overshoot > 0 ? `, ${Math.round(overshoot * 100)} % past the mark` : ''
      const exact = (value: number) => Number(value.toFixed(5))
      return `{ kind: 'spring', frequencyHz: ${exact(feel.frequencyHz)}, dampingRatio: ${exact(feel.dampingRatio)} }, // settles in ${Math.round(settleMs)} ms${past}`
    }
    case 'timed':
      return `{ kind: 'timed', durationMs: ${feel.durationMs}, easing: ${quote(feel.easing)}, delayMs: ${feel.delayMs} },`
  }
}

/** A JavaScript string that can also stand inside a script element. */
function quote(text: string): string {
  const inner = JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'").replaceAll('</', '<\\/').replaceAll('<!--', '<\\!--')
  return `'${inner}'`
}

function indent(text: string): string {
  return text.split('\n').map((line) => `  ${line}`).join('\n')
}
