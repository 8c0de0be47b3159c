import { Message } from '@/studio/Message'

export default function NotFound() {
  return (
    <Message
      title="There is no such page"
      detail="It was removed, or the address is not quite right. Home lists the sites and pages that exist."
    />
  )
}
