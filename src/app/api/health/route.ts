import { answer } from '@/server/problem'
import { withDatabase } from '@/server/database'

export const dynamic = 'force-dynamic'

export function GET() {
  return answer(async () => {
    await withDatabase((db) => db.query('SELECT 1'))
    return Response.json({ status: 'ok', database: 'answers' })
  })
}
