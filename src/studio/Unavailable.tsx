'use client'
// Something that should answer does not, for now.
import { Message } from './Message'

interface UnavailableProps {
  readonly problem: { readonly status: number; readonly title: string; readonly detail: string }
  readonly isHome?: boolean
}

export function Unavailable({ problem: { status, title, detail }, isHome }: UnavailableProps) {
  const sentences = [
    detail === `${title}.` ? '' : detail,
    // The start command keeps the database running.
    status === 503 ? 'It comes back by itself; try again in a moment.' : '',
    'Nothing is lost: what was not saved yet is kept in this browser.',
  ]
  return (
    <Message title={title} detail={sentences.filter((each) => each !== '').join(' ')} isHome={isHome} onRetry={() => location.reload()} />
  )
}
