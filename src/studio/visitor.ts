// The visitor's window, as pages are shown in it, CSS px.

export const visitor = { width: 1280, height: 720 } as const
