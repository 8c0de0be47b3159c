// Pictures of a page, compared by pixel.
import type { Page } from '@playwright/test'

/** The share of pixels, 0..1, by which two PNGs differ in some channel by more than so many levels, a tenth where nothing is said. */
export const shareApart = (page: Page, one: Buffer, other: Buffer, levels = 24): Promise<number> =>
  page.evaluate(
    async ([first, second, most]) => {
      const pixels = async (data: string) => {
        const image = new Image()
        image.src = `data:image/png;base64,${data}`
        await image.decode()
        const canvas = Object.assign(document.createElement('canvas'), { width: image.width, height: image.height })
        const context = canvas.getContext('2d')
        context?.drawImage(image, 0, 0)
        return context?.getImageData(0, 0, image.width, image.height).data ?? new Uint8ClampedArray()
      }
      const [a, b] = await Promise.all([pixels(first), pixels(second)])
      if (a.length !== b.length) return 1
      let apart = 0
      for (let i = 0; i < a.length; i += 4)
        if ([0, 1, 2].some((channel) => Math.abs((a[i + channel] ?? 0) - (b[i + channel] ?? 0)) > most)) apart++
      return (4 * apart) / a.length
    },
    [one.toString('base64'), other.toString('base64'), levels] as const,
  )

/** The colours that a page shows along a row of its window, from a point to the right: red, green and blue of each px. */
export async function coloursAlong(page: Page, x: number, y: number, width: number): Promise<readonly (readonly number[])[]> {
  const shot = await page.screenshot({ clip: { x: Math.round(x), y: Math.round(y), width, height: 1 } })
  return page.evaluate(
    async ([data, count]) => {
      const image = new Image()
      image.src = `data:image/png;base64,${data}`
      await image.decode()
      const context = Object.assign(document.createElement('canvas'), { width: count, height: 1 }).getContext('2d')
      context?.drawImage(image, 0, 0)
      const bytes = context?.getImageData(0, 0, count, 1).data ?? new Uint8ClampedArray()
      return Array.from({ length: count }, (_, i) => [...bytes.slice(4 * i, 4 * i + 3)])
    },
    [shot.toString('base64'), width] as const,
  )
}

/** The colour that a page shows at a point of its window. */
export const colourAt = async (page: Page, x: number, y: number): Promise<readonly number[]> => (await coloursAlong(page, x, y, 1))[0] ?? []
