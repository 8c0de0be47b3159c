// ZIP archives (APPNOTE.TXT), read with limits: an archive says how much it holds, but is not believed, and every file is checked
// by its sum.
import { crc32, inflateRawSync } from 'node:zlib'
import { staysInside } from '../core/site/path'
import { Problem } from './problem'

export interface Limits {
  readonly files: number
  readonly totalBytes: number
  readonly fileBytes: number
}

export interface Unpacked {
  readonly path: string
  readonly bytes: Uint8Array
}

interface Entry {
  readonly name: string
  readonly method: number
  readonly isLocked: boolean
  readonly sum: number
  readonly packedSize: number
  readonly at: number
}

const megabytes = (bytes: number) => Math.round(bytes / 1024 / 1024)
const broken = (at?: string) =>
  new Problem(
    422,
    'The ZIP cannot be read',
    at === undefined
      ? 'The ZIP is broken or packed in a way that is not known here. Pack it again, or bring the folder.'
      : `The ZIP is broken at "${at.slice(0, 80).toWellFormed()}". Pack it again, or bring the folder.`,
  )

/** Lengths and signatures of the parts of an archive. */
const endSize = 22
const endSignature = 0x06054b50
const entrySize = 46
const entrySignature = 0x02014b50
const localSize = 30
const localSignature = 0x04034b50
/** The longest remark at the end of an archive, bytes. */
const longestRemark = 0xffff

/**
 * The files of an archive. Throws a Problem: 422 when it cannot be read, a sum does not match, or it has names that lead out of
 * it; 413 when it holds more files or bytes than the limits, as soon as that many are unpacked.
 */
export function unzip(archive: Uint8Array, limits: Limits): readonly Unpacked[] {
  const bytes = Buffer.from(archive.buffer, archive.byteOffset, archive.length)
  const entries = readEntries(bytes, limits)
  if (entries.length === 0) throw new Problem(422, 'The ZIP cannot be read', 'The ZIP is broken or holds nothing.')
  let total = 0
  return entries.flatMap((entry) => {
    if (!staysInside(entry.name))
      throw new Problem(
        422,
        'The ZIP is not safe',
        `The ZIP has a file named "${entry.name.slice(0, 80).toWellFormed()}", which would lie outside of it.`,
      )
    if (entry.name.endsWith('/') || isClutter(entry.name)) return []
    const unpacked = unpack(bytes, entry, limits)
    total += unpacked.length
    if (total > limits.totalBytes)
      throw new Problem(413, 'The ZIP is too large', `The ZIP unpacks to more than ${megabytes(limits.totalBytes)} MB.`)
    return [{ path: entry.name.replaceAll('\\', '/'), bytes: unpacked }]
  })
}

/** The entries of the directory at an archive's end. */
function readEntries(bytes: Buffer, limits: Limits): readonly Entry[] {
  const end =
    bytes.subarray(Math.max(0, bytes.length - endSize - longestRemark)).lastIndexOf(Buffer.from([0x50, 0x4b, 5, 6])) +
    Math.max(0, bytes.length - endSize - longestRemark)
  if (end + endSize > bytes.length || end < 0 || bytes.readUInt32LE(end) !== endSignature) throw broken()
  const count = bytes.readUInt16LE(end + 10)
  if (count > limits.files) throw new Problem(413, 'Too many files', `The ZIP holds more than ${limits.files} files.`)
  const entries: Entry[] = []
  for (let at = bytes.readUInt32LE(end + 16); entries.length < count;) {
    if (at + entrySize > end || bytes.readUInt32LE(at) !== entrySignature) throw broken()
    const [nameLength, extraLength, remarkLength] = [28, 30, 32].map((offset) => bytes.readUInt16LE(at + offset)) as [
      number,
      number,
      number,
    ]
    const flags = bytes.readUInt16LE(at + 8)
    const name = bytes.subarray(at + entrySize, at + entrySize + nameLength)
    entries.push({
      name: name.toString((flags & 0x800) === 0 && !isUtf8(name) ? 'latin1' : 'utf8'),
      method: bytes.readUInt16LE(at + 10),
      isLocked: (flags & 1) !== 0,
      sum: bytes.readUInt32LE(at + 16),
      packedSize: bytes.readUInt32LE(at + 20),
      at: bytes.readUInt32LE(at + 42),
    })
    at += entrySize + nameLength + extraLength + remarkLength
  }
  return entries
}

const isUtf8 = (bytes: Buffer) => Buffer.from(bytes.toString('utf8')).equals(bytes)

/** The bytes of one file, checked by their sum. */
function unpack(bytes: Buffer, { name, method, isLocked, sum, packedSize, at }: Entry, limits: Limits): Uint8Array {
  if (isLocked) throw new Problem(422, 'The ZIP is locked', 'The ZIP is locked with a password. Pack it without one and bring it again.')
  if (at + localSize > bytes.length || bytes.readUInt32LE(at) !== localSignature) throw broken(name)
  const from = at + localSize + bytes.readUInt16LE(at + 26) + bytes.readUInt16LE(at + 28)
  const packed = bytes.subarray(from, from + packedSize)
  if (packed.length < packedSize || (method !== 0 && method !== 8)) throw broken(name)
  if (method === 0 && packed.length > limits.fileBytes) throw tooLarge(name, limits)
  const unpacked = method === 0 ? new Uint8Array(packed) : inflate(packed, name, limits)
  if (crc32(unpacked) !== sum) throw broken(name)
  return unpacked
}

function inflate(packed: Uint8Array, name: string, limits: Limits): Uint8Array {
  try {
    return new Uint8Array(inflateRawSync(packed, { maxOutputLength: limits.fileBytes }))
  } catch (error) {
    throw error instanceof Error && 'code' in error && error.code === 'ERR_BUFFER_TOO_LARGE' ? tooLarge(name, limits) : broken(name)
  }
}

const tooLarge = (name: string, limits: Limits) =>
  new Problem(
    413,
    'A file is too large',
    `"${name.slice(0, 80).toWellFormed()}" in the ZIP has more than ${megabytes(limits.fileBytes)} MB.`,
  )

/** What systems put into archives beside the files. */
const isClutter = (name: string) => /(^|\/)(__MACOSX|\.DS_Store|Thumbs\.db|\.git)(\/|$)/.test(name)
