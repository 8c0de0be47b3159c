import { readText } from '@/server/body'
import { importLimits } from '@/server/import-limits'
import { answer, Problem } from '@/server/problem'
import { read } from '@/server/reader/reader'
import { keepSource } from '@/server/sites'

/** Keeps a page's HTML and answers with its hash. */
export function POST(request: Request) {
  return answer(async () => {
    const html = (
      await readText(
        request,
        importLimits.htmlBytes,
        () =>
          new Problem(
            413,
            'The page is too large',
            `A page may have ${importLimits.htmlBytes / 1024 / 1024} MB of HTML; this one has more, so the change was not taken.`,
          ),
      )
    ).toWellFormed()
    await read('check', html)
    return Response.json({ hash: await keepSource(html) })
  })
}
