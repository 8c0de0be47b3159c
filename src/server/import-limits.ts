// What may be brought at once. Stated in docs/bring-your-page.md.
import { pageLimits } from '../core/page/tree'

/** The largest file that is kept, bytes. */
export const largestFile = 12 * 1024 * 1024

export const importLimits = {
  files: 3000,
  totalBytes: 60 * 1024 * 1024,
  fileBytes: largestFile,
  htmlBytes: 4 * 1024 * 1024,
  pages: 50,
  elements: pageLimits.elements,
} as const
