// Programs that the commands start and end again.

/** Asks a program to end, and resolves when it has; at once when it already did. */
export function endProgram(child) {
  return new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve()
    child.once('exit', () => resolve())
    child.kill('SIGTERM')
  })
}
