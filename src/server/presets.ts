// Presets in the database: effects with their markup, shared by all sites.
import { nanoid } from 'nanoid'
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { presetSchema, type Preset } from '../core/site/preset'
import { describeIssues } from '../core/site/issues'
import { withDatabase } from './database'
import { Problem } from './problem'

const selectPresets = 'SELECT id, document FROM presets ORDER BY name, id LIMIT 400'
const insertPreset = 'INSERT INTO presets (id, name, document) VALUES (?, ?, ?)'
const deletePreset = 'DELETE FROM presets WHERE id = ?'

export interface StoredPreset {
  readonly id: string
  readonly preset: Preset
}

/** All presets by name; one that can be read no more is left out. */
export async function listPresets(): Promise<readonly StoredPreset[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectPresets))
  return rows.flatMap(({ id, document }) => {
    const read = presetSchema.safeParse(typeof document === 'string' ? JSON.parse(document) : document)
    return read.success ? [{ id: String(id), preset: read.data }] : []
  })
}

/** Keeps a preset. Throws a 422 Problem that says what is wrong with it. */
export async function keepPreset(document: unknown): Promise<StoredPreset> {
  const read = presetSchema.safeParse(document)
  if (!read.success) throw new Problem(422, 'No preset', `This cannot be kept as a preset. ${describeIssues(read.error)}`)
  const id = nanoid(12)
  await withDatabase((db) => db.query(insertPreset, [id, read.data.name, JSON.stringify(read.data)]))
  return { id, preset: read.data }
}

/** Removes a preset. Throws a 404 Problem when there is none with this id. */
export async function removePreset(id: string): Promise<void> {
  const [{ affectedRows }] = await withDatabase((db) => db.query<ResultSetHeader>(deletePreset, [id]))
  if (affectedRows === 0) throw new Problem(404, 'No such preset', 'This preset does not exist any more.')
}
