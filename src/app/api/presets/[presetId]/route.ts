import { checkIdentifiers } from '@/server/identifiers'
import { removePreset } from '@/server/presets'
import { answer } from '@/server/problem'

export function DELETE(_: Request, { params }: { readonly params: Promise<{ readonly presetId: string }> }) {
  return answer(async () => {
    await removePreset(checkIdentifiers(await params).presetId)
    return new Response(null, { status: 204 })
  })
}
