// Templates: sites as they are handed out, from which a new one can begin.
import type { RowDataPacket } from 'mysql2/promise'
import { siteSchema, type Site } from '../core/site/site'
import { withDatabase } from './database'
import { Problem } from './problem'

const replaceTemplate = 'REPLACE INTO templates (id, name, document) VALUES (?, ?, ?)'
const selectTemplates = 'SELECT id, name FROM templates ORDER BY name, id'
const selectTemplate = 'SELECT document FROM templates WHERE id = ?'

/** Keeps a site as a template, in the place of the one of this id. */
export async function keepTemplate(id: string, site: Site): Promise<void> {
  await withDatabase((db) => db.query(replaceTemplate, [id, site.name, JSON.stringify(siteSchema.parse(site))]))
}

export async function listTemplates(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectTemplates))
  return rows.map(({ id, name }) => ({ id: String(id), name: String(name) }))
}

/** The site of a template. Throws a 422 Problem when there is none of this id. */
export async function readTemplate(id: string): Promise<Site> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectTemplate, [id]))
  const document: unknown = rows[0]?.document
  if (document === undefined) throw new Problem(422, 'No such template', 'There is no site of this name to begin from.')
  return siteSchema.parse(typeof document === 'string' ? JSON.parse(document) : document)
}
