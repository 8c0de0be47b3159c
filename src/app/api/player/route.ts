import { answer } from '@/server/problem'
import { playerFor } from '@/server/scripts'

export function GET(request: Request) {
  return answer(async () => {
    const needs = (new URL(request.url).searchParams.get('needs') ?? '').split(',').filter((need) => /^[a-zA-Z]{1,20}$/.test(need))
    return Response.json(playerFor(needs))
  })
}
