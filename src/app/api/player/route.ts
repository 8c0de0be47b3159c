import { answer } from '@/server/problem'
import { read } from '@/server/reader/reader'

export function GET(request: Request) {
  return answer(async () => {
    const needs = (new URL(request.url).searchParams.get('needs') ?? '').split(',').filter((need) => /^[a-zA-Z]{1,20}$/.test(need))
    return Response.json(await read('player', needs))
  })
}
