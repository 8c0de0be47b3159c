'use client'
// Something that should answer does not, for now.
import { Message } from './Message'

export function Unavailable({ title, detail }: { readonly title: string; readonly detail: string }) {
  return <Message title={title} detail={detail} onRetry={() => location.reload()} />
}
