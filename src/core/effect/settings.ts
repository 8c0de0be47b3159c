// Settings that several kinds have: ranges with units, and the checks of texts that end up in a stylesheet.
import { valueText } from '../rig/css-text'
import * as z from 'zod'

/** The least and greatest value of a setting, inclusive. */
export interface Range {
  readonly least: number
  readonly greatest: number
}

/** How long something takes to come or to go, ms. */
export const timeRange: Range = { least: 0, greatest: 5000 }
export const percentRange: Range = { least: 0, greatest: 100 }

export const within = ({ least, greatest }: Range) => z.number().min(least).max(greatest)

/** A place from -1 (left, top) to 1 (right, bottom). */
const centred = z.number().min(-1).max(1)
export const poseSchema = z.object({ x: centred, y: centred })

/** A colour, or a gradient, as CSS writes it: one value that can end nothing it stands in. */
export const cssValueSchema = valueText(500).trim()
