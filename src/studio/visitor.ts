// The visitor's window, as pages are shown in it, CSS px.

export interface WindowSize {
  readonly width: number
  readonly height: number
}

export const visitor: WindowSize = { width: 1280, height: 720 }

/** Windows that visitors often have. */
export const usualWindows: readonly (WindowSize & { readonly words: string })[] = [
  { words: 'laptop', ...visitor },
  { words: 'large screen', width: 1920, height: 1080 },
  { words: 'tablet', width: 820, height: 1180 },
  { words: 'phone', width: 390, height: 844 },
]

/** Three at once, to compare. */
export const threeWindows: readonly WindowSize[] = [
  { width: 1280, height: 844 },
  { width: 820, height: 844 },
  { width: 390, height: 844 },
]

export const narrowest = 240
export const widest = 3840
