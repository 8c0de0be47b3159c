// What happens to every request before its route: foreign callers are refused, studio pages get their policy,
// and a first visit is led to the page of plain starters.
import { NextResponse, type NextRequest } from 'next/server'
import { callerOf, portOf, refuseCaller, studioPolicy } from './server/door'
import { firstPage, visitedCookie } from './server/first-visit'

export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host')
  const refusal = refuseCaller(callerOf(request), portOf(request))
  if (refusal !== undefined) {
    const body = JSON.stringify({ type: 'about:blank', title: 'Refused', status: 403, detail: refusal })
    return new NextResponse(body, { status: 403, headers: { 'content-type': 'application/problem+json' } })
  }
  const { pathname } = request.nextUrl
  if (/^\/(api|frame|export|preview|_next)\//.test(pathname)) return NextResponse.next()
  const isFirstVisit = !request.cookies.has(visitedCookie)
  if (isFirstVisit && pathname === '/') return rememberVisit(NextResponse.redirect(`http://${host ?? ''}${firstPage}`, 307))
  const nonce = btoa(crypto.randomUUID())
  const policy = studioPolicy(nonce, host ?? '')
  const headers = new Headers(request.headers)
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  response.headers.set('referrer-policy', 'no-referrer')
  return isFirstVisit ? rememberVisit(response) : response
}

/** From now on the studio opens with home. */
function rememberVisit(response: NextResponse): NextResponse {
  response.cookies.set(visitedCookie, '1', { path: '/', maxAge: 400 * 24 * 3600, sameSite: 'lax', httpOnly: true })
  return response
}

/** Every address but those that take files, which look at their caller themselves (`src/server/upload.ts`): a copy of the body is kept for what goes by here. */
export const config = { matcher: ['/((?!api/import$|api/assets$).*)'] }
