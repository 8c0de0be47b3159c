import { scriptFragments } from '@/server/built'

/** What scripts are compiled from, for the studio's own compiler. */
export function GET() {
  return Response.json(scriptFragments(), { headers: { 'cache-control': 'private, max-age=600' } })
}
