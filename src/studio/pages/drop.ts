// What was dropped, folders opened.
import type { Brought } from './send'

const most = 4000

/** The files of a drop with their paths. */
export async function readDrop(transfer: DataTransfer): Promise<readonly Brought[]> {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null)
  if (entries.length === 0) return [...transfer.files].map((file) => ({ path: file.name, file }))
  const found: Brought[] = []
  for (const entry of entries) await collect(entry, found)
  return found
}

async function collect(entry: FileSystemEntry, found: Brought[]): Promise<void> {
  if (found.length >= most) return
  if (entry.isFile) {
    const file = await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject))
    found.push({ path: entry.fullPath.replace(/^\//, ''), file })
    return
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  // A reader gives a part at a time, and nothing when it is done.
  for (;;) {
    const part = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject))
    if (part.length === 0) return
    for (const each of part) await collect(each, found)
  }
}
