// The checks of settings that several kinds have: places, and texts that end up in a stylesheet.
import { valueText } from '../rig/css-text'
import * as z from 'zod'

/** A place from -1 (left, top) to 1 (right, bottom). */
const centred = z.number().min(-1).max(1)
export const poseSchema = z.object({ x: centred, y: centred })

/** A colour, or a gradient, as CSS writes it: one value that can end nothing it stands in. */
export const cssValueSchema = valueText(500).trim()
