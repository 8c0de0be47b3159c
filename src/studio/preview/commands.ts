// Opening a page as it is exported, outside the studio.
import * as z from 'zod'
import { notify } from '../commands'
import { pageOf, type Studio } from '../context'
import { reach } from '../store/reach'

const placesSchema = z.object({ here: z.string(), lan: z.array(z.string()) })
export type PreviewPlaces = z.infer<typeof placesSchema>

/** Where previews are had. Throws an Error with a sentence when the server does not say. */
export async function previewPlaces(): Promise<PreviewPlaces> {
  return placesSchema.parse(await (await reach('/api/preview')).json())
}

/** The address of a page's preview, at one of these places. */
export const previewAddress = ({ store, ...studio }: Pick<Studio, 'store' | 'view'>, place: string): string =>
  `${place}/${store.id}/${pageOf({ store, ...studio }).id}`

/** Opens the page that is seen, as it is exported, in another window, once the last change is saved. */
export async function openPreview(studio: Studio): Promise<void> {
  try {
    // Opened by the click itself, before anything is waited for: a browser refuses it later.
    const window = globalThis.open('', '_blank')
    const [{ here }, isSaved] = await Promise.all([previewPlaces(), studio.store.saver.settle()])
    if (!isSaved) notify(studio, 'The preview shows the page as it was saved last; your change comes when it is saved.')
    if (window) {
      window.opener = null
      window.location.replace(previewAddress(studio, here))
    } else notify(studio, `The browser opened no window. The preview is at ${previewAddress(studio, here)}`)
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'The preview cannot be had from the studio’s server.')
  }
}
