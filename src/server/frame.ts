// The page as it stands in the studio's frame: under a policy that lets only our agent run and nothing reach a network.
import { mediaAttribute, placeholderPattern } from '../core/page/studio-copy-marks'
import type { StudioCopy } from '../core/page/studio-copy'
import type { Asset } from './assets'

/** The policy of the frame's response; the frame gets an opaque origin by it, whoever embeds it. */
export function framePolicy(nonce: string): string {
  return [
    'sandbox allow-scripts',
    "default-src 'none'",
    `script-src 'nonce-${nonce}'`,
    "style-src 'unsafe-inline'",
    'img-src data: blob:',
    'media-src blob:',
    'font-src data: blob:',
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'self'",
  ].join('; ')
}

/** The policy of a page as a visitor without script has it. */
export const scriptlessPolicy =
  "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:; media-src data:; font-src data:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'"

/** The studio's copy of a page with the agent where it left the place for it; the agent is told what sorts of things were held back, and how many of each. */
export function withAgent({ html, heldBack }: StudioCopy, agent: string, nonce: string): string {
  const sorts = [...new Set(heldBack.map(({ what }) => what))]
  const held = sorts.map((sort) => `${sort}=${heldBack.reduce((sum, { what, count }) => sum + (what === sort ? count : 0), 0)}`).join(' ')
  return html.replace(`<script nonce="${nonce}">`, () => `<script nonce="${nonce}" data-held="${held}">${agent.replaceAll('</', '<\\/')}`)
}

/** The studio's copy with its files put in as `data:`, for a frame where no agent is. */
export async function withFiles(copy: string, read: (hash: string) => Promise<Asset>): Promise<string> {
  const hashes = [...new Set([...copy.matchAll(placeholderPattern)].map(([, hash = '']) => hash))]
  const texts = new Map(
    await Promise.all(
      hashes.map(
        async (hash) =>
          [
            hash,
            await read(hash)
              .then(({ type, bytes }) => `data:${type};base64,${bytes.toString('base64')}`)
              .catch(() => 'data:,'),
          ] as const,
      ),
    ),
  )
  return copy
    .replaceAll(new RegExp(`${mediaAttribute}=`, 'g'), 'src=')
    .replace(placeholderPattern, (_, hash: string) => texts.get(hash) ?? 'data:,')
}
