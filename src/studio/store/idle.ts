// For what is not needed at once: it begins when the browser has nothing better to do.

/** Resolves when the browser is idle, or after so many ms. */
export const whenIdle = (mostMs: number): Promise<void> =>
  new Promise((resolve) => {
    // Not every browser tells when it is idle.
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: mostMs })
    else setTimeout(resolve, 60)
  })
