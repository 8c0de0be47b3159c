import { readBody } from '@/server/body'
import { keepPreset, listPresets } from '@/server/presets'
import { answer } from '@/server/problem'

export function GET() {
  return answer(async () => Response.json(await listPresets()))
}

/** Keeps a preset and answers with it and its id. */
export function POST(request: Request) {
  return answer(async () => Response.json(await keepPreset(await readBody(request)), { status: 201 }))
}
