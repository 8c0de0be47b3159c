// The command line: the same core as the studio, without a database and without a browser.
import { Misuse } from './arguments'
import { simulate, simulateUsage } from './simulate'

const commands: Readonly<Record<string, (words: readonly string[]) => string>> = { simulate }

/** Runs a command line; gives its exit code: 0 done, 1 a failed conversion, 2 wrong use. */
export function runCommandLine(
  [name = '', ...words]: readonly string[],
  say: (line: string) => void,
  complain: (line: string) => void,
): number {
  try {
    const command = commands[name]
    if (!command) throw new Misuse(`Usage: ${simulateUsage}`)
    say(command(words))
    return 0
  } catch (error) {
    complain(error instanceof Error ? error.message : String(error))
    return error instanceof Misuse ? 2 : 1
  }
}
