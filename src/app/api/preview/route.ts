import { previewPlaces } from '@/server/preview'
import { answer } from '@/server/problem'

/** Where previews are had. */
export function GET() {
  return answer(() => Promise.resolve(Response.json(previewPlaces())))
}
