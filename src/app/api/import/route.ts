import { importFiles, type ImportWatch } from '@/server/import'
import { importLimits } from '@/server/import-limits'
import { counted, wantsCount } from '@/server/counted'
import { log } from '@/server/log'
import { answer, Problem } from '@/server/problem'
import { readUpload } from '@/server/upload'

/** Takes pages in: files with their paths, as form data. Says how far it is where the request accepts JSON lines. */
export function POST(request: Request) {
  return answer(async () => {
    const files = await readUpload(request, importLimits.totalBytes)
    if (files.length === 0) throw new Problem(422, 'Nothing was brought', 'There was nothing in what you brought.')
    const work = async (watch: ImportWatch) => {
      const imported = await importFiles(files, watch)
      log.info({ pages: imported.pages.length, files: imported.bundle?.files.length ?? 0 }, 'brought in')
      return imported
    }
    return wantsCount(request) ? counted(request, work) : Response.json(await work({ signal: request.signal }))
  })
}
