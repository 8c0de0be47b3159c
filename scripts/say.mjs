// What the start and test commands say on the terminal, and how they stop when they cannot go on.

/** Prints one step of the work, in a line. */
export function say(sentence) {
  console.log(`  ${sentence}`)
}

/** An obstacle that the person at the terminal can remove; the message says how. */
export class Obstacle extends Error {}

/** What the system said no to, as a sentence; undefined for any other error. */
export function sentenceOf(error) {
  const place = error.path === undefined ? '' : `: ${error.path}`
  if (error.code === 'ENOSPC' || error.code === 'EDQUOT')
    return `The disk is full${place}. Make some room on it; nothing that was saved is lost.`
  // A folder that cannot be made on a disk that is read-only is told as one that is missing.
  const isUnmade = error.code === 'ENOENT' && error.syscall === 'mkdir'
  if (isUnmade || error.code === 'EROFS' || error.code === 'EACCES' || error.code === 'EPERM')
    return `This cannot be written${place}. Check the rights of the folder.`
  return undefined
}

/** Runs `main`; an Obstacle, and what the system says no to, becomes one clear sentence and exit code 1, anything else keeps its stack. */
export async function runCommand(main) {
  try {
    await main()
  } catch (given) {
    const sentence = given instanceof Error ? sentenceOf(given) : undefined
    const error = sentence === undefined ? given : new Obstacle(sentence)
    console.error(error instanceof Obstacle ? `\n  ${error.message}\n` : error)
    process.exitCode = 1
  }
}
