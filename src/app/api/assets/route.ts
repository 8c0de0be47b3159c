import { keepAsset } from '@/server/assets'
import { typeOf } from '@/server/file-types'
import { largestFile } from '@/server/import-limits'
import { answer, Problem } from '@/server/problem'
import { readUpload } from '@/server/upload'

/** Keeps one file, such as a picture that takes the place of another. */
export function POST(request: Request) {
  return answer(async () => {
    const [file] = await readUpload(request, largestFile)
    if (!file || file.bytes.length === 0) throw new Problem(422, 'Nothing was brought', 'The file is empty.')
    const type = typeOf(file.path, file.bytes)
    const hash = await keepAsset(file.bytes, type)
    return Response.json({ path: file.path, hash, type, size: file.bytes.length })
  })
}
