// npm run bench -- import: a site of 2,901 files on its way in, beside reading and hashing the same files.
import { createHash, randomBytes } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { House } from '../e2e/support/at-house'
import { median } from './browser'
import type { Report } from './comparisons'

/** The files of a site: a page, sheets, scripts and pictures of usual sizes, each its own. */
function makeFiles(): readonly { readonly path: string; readonly bytes: Buffer }[] {
  const text = (count: number, name: (i: number) => string, bytes: number) =>
    Array.from({ length: count }, (_, i) => ({
      path: name(i),
      bytes: Buffer.from(`/* ${randomBytes(8).toString('hex')} */ .c${i} { color: red }\n`.repeat(bytes / 45)),
    }))
  return [
    {
      path: 'index.html',
      bytes: Buffer.from('<!doctype html><title>Many files</title><link rel="stylesheet" href="css/0.css"><p>One page.</p>'),
    },
    ...text(900, (i) => `css/${i}.css`, 3000),
    ...text(500, (i) => `js/${i}.js`, 6000),
    ...Array.from({ length: 1500 }, (_, i) => ({
      path: `img/${i}.png`,
      bytes: Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), randomBytes(15_000)]),
    })),
  ]
}

/** A request with these files, as a browser sends it. */
async function formOf(files: ReturnType<typeof makeFiles>): Promise<{ readonly type: string; readonly body: Buffer }> {
  const form = new FormData()
  for (const { bytes } of files) form.append('file', new Blob([new Uint8Array(bytes)]))
  form.append('paths', JSON.stringify(files.map(({ path }) => path)))
  const sent = new Request('http://127.0.0.1/', { method: 'POST', body: form })
  return { type: sent.headers.get('content-type') ?? '', body: Buffer.from(await sent.arrayBuffer()) }
}

/** How long the studio takes for a request, ms; its answer is read to the end. */
async function sendMs(address: string, { type, body }: Awaited<ReturnType<typeof formOf>>): Promise<number> {
  const began = performance.now()
  const answer = await new Promise<string>((resolve, reject) => {
    const headers = { 'content-type': type, 'content-length': body.length, accept: 'application/jsonl', connection: 'close' }
    const sending = request(`${address}/api/import`, { method: 'POST', headers }, (response) => {
      let text = ''
      response.on('data', (part: Buffer) => (text += part.toString()))
      response.on('end', () => resolve(text))
    })
    sending.on('error', reject)
    sending.end(body)
  })
  const took = performance.now() - began
  if (!answer.includes('"result"')) throw new Error(answer.slice(-300))
  return took
}

export async function compareImport(house: House): Promise<Report> {
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-import-'))
  const rounds: { readonly read: number; readonly sent: number }[] = []
  try {
    for (let round = 0; round < 5; round++) {
      const files = makeFiles()
      const places = files.map(({ bytes }, i) => {
        writeFileSync(join(folder, `${i}`), bytes)
        return join(folder, `${i}`)
      })
      const form = await formOf(files)
      const began = performance.now()
      for (const place of places) createHash('sha256').update(readFileSync(place)).digest('hex')
      rounds.push({ read: performance.now() - began, sent: await sendMs(house.address, form) })
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
  const [read, sent] = [median(rounds.map((round) => round.read)), median(rounds.map((round) => round.sent))]
  return {
    title: 'A site of 2,901 files, 29 MB, brought in',
    lines: [
      '| | ms |',
      '|---|---:|',
      `| read from the disk, and hashed | ${Math.round(read)} |`,
      `| sent to the studio, read, and kept in the database | ${Math.round(sent)} |`,
    ],
    aims: [
      {
        words: 'times as long as reading and hashing the same files',
        measured: median(rounds.map((round) => round.sent / round.read)),
        most: 5,
      },
    ],
  }
}
