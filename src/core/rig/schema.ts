// The checks that a rig passes at the border, with messages that name the place.
import * as z from 'zod'
import { parseEasing } from '../curve/easing'
import { transformFunctions } from './rig'

const number = (least: number, greatest: number) => z.number().min(least).max(greatest)

export const springSchema = z.object({ kind: z.literal('spring'), frequencyHz: number(0.05, 60), dampingRatio: number(0.05, 20) })

export const timedSchema = z.object({
  kind: z.literal('timed'),
  durationMs: number(0, 60_000),
  easing: z.string().refine((text) => parseEasing(text) !== undefined, { error: 'is not an easing: use linear, ease, ease-in, ease-out, ease-in-out or cubic-bezier(x1, y1, x2, y2)' }),
  delayMs: number(0, 60_000),
})

export const feelSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('direct') }),
  z.object({ kind: z.literal('glide'), halfLifeMs: number(0.1, 60_000) }),
  springSchema,
  timedSchema,
])

export const curveSchema = z
  .object({ stops: z.array(z.object({ at: z.number(), value: z.number(), easing: timedSchema.shape.easing.optional() })).min(2, 'a curve needs two stops at least').readonly() })
  .refine(({ stops }) => stops.every((stop, i) => i === 0 || stop.at > (stops[i - 1]?.at ?? -Infinity)), { error: 'the stops of a curve rise from each to the next' })

export const rigSchema = z
  .object({
    area: z.object({ select: z.string().min(1), pointer: z.enum(['fine', 'any']) }),
    channels: z.array(
      z.object({
        id: z.string().min(1),
        signal: z.enum(['centredX', 'centredY', 'inside']),
        away: z.object({ kind: z.enum(['settle', 'hold']), pose: number(-1, 1) }),
        curve: curveSchema.optional(),
        feel: feelSchema,
        going: feelSchema.optional(),
        group: z.enum(['turn', 'travel', 'scale', 'light']),
      }),
    ),
    knobs: z.array(z.object({ id: z.string().min(1), value: z.number(), unit: z.enum(['deg', 'px', '']), note: z.string() })),
    outputs: z.array(z.object({ fn: z.enum(transformFunctions), base: z.number(), factor: z.number(), knob: z.string(), channel: z.string().optional() })),
  })
  .superRefine((rig, context) => {
    const knobs = new Set(rig.knobs.map(({ id }) => id))
    const channels = new Set(rig.channels.map(({ id }) => id))
    rig.outputs.forEach((output, index) => {
      if (!knobs.has(output.knob)) context.addIssue({ code: 'custom', path: ['outputs', index, 'knob'], message: `there is no knob "${output.knob}"` })
      if (output.channel !== undefined && !channels.has(output.channel)) {
        context.addIssue({ code: 'custom', path: ['outputs', index, 'channel'], message: `there is no channel "${output.channel}"` })
      }
    })
  })
