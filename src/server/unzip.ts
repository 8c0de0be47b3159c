// ZIP archives, read with limits: an archive says how much it holds, but is not believed.
import { Unzip, UnzipInflate } from 'fflate'
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

const megabytes = (bytes: number) => Math.round(bytes / 1024 / 1024)

/**
 * The files of an archive. Throws a Problem: 422 when it cannot be read or has names that lead out of it, 413 when it
 * holds more files or bytes than the limits; nothing past a limit is unpacked.
 */
export function unzip(archive: Uint8Array, limits: Limits): readonly Unpacked[] {
  const found: Unpacked[] = []
  let total = 0
  let names = 0
  // What is thrown while a piece is taken comes back as a failure to read, so it is kept.
  let refusal: Problem | undefined
  const refuse = (problem: Problem) => {
    refusal = problem
    throw problem
  }
  const unpack = new Unzip((file) => {
    if (++names > limits.files) throw new Problem(413, 'Too many files', `The ZIP holds more than ${limits.files} files.`)
    if (leadsOut(file.name)) throw new Problem(422, 'The ZIP is not safe', `The ZIP has a file named "${file.name.slice(0, 80)}", which would lie outside of it.`)
    if (file.name.endsWith('/') || isClutter(file.name)) return
    if ((file.originalSize ?? 0) > limits.fileBytes) throw tooLarge(file.name, limits)
    const parts: Uint8Array[] = []
    let size = 0
    file.ondata = (error, part, final) => {
      if (error) throw refusal ?? new Problem(422, 'The ZIP cannot be read', `The ZIP cannot be read at "${file.name.slice(0, 80)}".`)
      size += part.length
      total += part.length
      if (size > limits.fileBytes) refuse(tooLarge(file.name, limits))
      if (total > limits.totalBytes) refuse(new Problem(413, 'The ZIP is too large', `The ZIP unpacks to more than ${megabytes(limits.totalBytes)} MB.`))
      parts.push(part)
      if (final) found.push({ path: file.name.replaceAll('\\', '/'), bytes: Buffer.concat(parts) })
    }
    file.start()
  })
  unpack.register(UnzipInflate)
  try {
    // In pieces, so that a limit is met before all is unpacked.
    for (let at = 0; at < archive.length; at += chunk) unpack.push(archive.subarray(at, at + chunk), at + chunk >= archive.length)
  } catch (error) {
    throw error instanceof Problem ? error : new Problem(422, 'The ZIP cannot be read', 'The ZIP is broken or packed in a way that is not known here. Pack it again, or bring the folder.')
  }
  if (names === 0) throw new Problem(422, 'The ZIP cannot be read', 'The ZIP is broken or holds nothing.')
  return found
}

const chunk = 64 * 1024

const tooLarge = (name: string, limits: Limits) => new Problem(413, 'A file is too large', `"${name.slice(0, 80)}" in the ZIP has more than ${megabytes(limits.fileBytes)} MB.`)

const leadsOut = (name: string) => /^[/\\]|^[a-z]:|(^|[/\\])\.\.([/\\]|$)|\0/i.test(name)

/** What systems put into archives beside the files. */
const isClutter = (name: string) => /(^|\/)(__MACOSX|\.DS_Store|Thumbs\.db|\.git)(\/|$)/.test(name)
