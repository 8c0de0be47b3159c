// What the start and test commands say on the terminal, and how they stop when they cannot go on.

/** Prints one step of the work, in a line. */
export function say(sentence) {
  console.log(`  ${sentence}`)
}

/** An obstacle that the person at the terminal can remove; the message says how. */
export class Obstacle extends Error {}

/** Runs `main`; an Obstacle becomes its one clear sentence and exit code 1, anything else keeps its stack. */
export async function runCommand(main) {
  try {
    await main()
  } catch (error) {
    console.error(error instanceof Obstacle ? `\n  ${error.message}\n` : error)
    process.exitCode = 1
  }
}
