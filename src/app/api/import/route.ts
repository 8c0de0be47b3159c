import { importFiles } from '@/server/import'
import { importLimits } from '@/server/import-limits'
import { log } from '@/server/log'
import { answer, Problem } from '@/server/problem'
import { readUpload } from '@/server/upload'

/** Takes pages in: files with their paths, as form data. */
export function POST(request: Request) {
  return answer(async () => {
    const files = await readUpload(request, importLimits.totalBytes)
    if (files.length === 0) throw new Problem(422, 'Nothing was brought', 'There was nothing in what you brought.')
    const imported = await importFiles(files)
    log.info({ pages: imported.pages.length, files: imported.bundle?.files.length ?? 0 }, 'brought in')
    return Response.json(imported)
  })
}
