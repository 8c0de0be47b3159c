'use client'
import { Message } from '@/studio/Message'

export default function Failure({ reset }: { readonly reset: () => void }) {
  return (
    <Message
      title="Something went wrong"
      detail="The studio met an error that it did not expect. Your edits are kept in this browser; trying again may help."
      onRetry={reset}
    />
  )
}
