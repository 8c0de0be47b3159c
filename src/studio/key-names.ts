// Keys as the visitor's system names them.

const isApple = () => typeof navigator !== 'undefined' && /Mac|iPhone|iPad/.test(navigator.platform)

/** A key as the visitor's system names it. */
export const keyNamed = (key: string): string => (isApple() ? key.replaceAll('Ctrl', '⌘') : key)
