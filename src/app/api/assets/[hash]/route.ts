import { readAsset } from '@/server/assets'
import { checkHash } from '@/server/identifiers'
import { answer } from '@/server/problem'

interface Context {
  readonly params: Promise<{ hash: string }>
}

/** A kept file, for the studio alone: it never opens as a page and is never read as another type. */
export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { type, bytes } = await readAsset(checkHash((await params).hash))
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': type,
        'content-disposition': 'attachment',
        'x-content-type-options': 'nosniff',
        'content-security-policy': "sandbox; default-src 'none'",
        'cross-origin-resource-policy': 'same-origin',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    })
  })
}
