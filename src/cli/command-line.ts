// The command line: the same core as the studio, without a database and without a browser.
import { Misuse } from './arguments'
import { check, checkUsage } from './check'
import { simulate, simulateUsage } from './simulate'

/** What a command says, and whether it has found something amiss. */
export interface Outcome {
  readonly text: string
  readonly hasFindings?: boolean
}

const commands: Readonly<Record<string, (words: readonly string[]) => Outcome>> = {
  simulate: (words) => ({ text: simulate(words) }),
  check,
}

/** Runs a command line; gives its exit code: 0 done, 1 findings or a failed conversion, 2 wrong use. */
export function runCommandLine(
  [name = '', ...words]: readonly string[],
  say: (line: string) => void,
  complain: (line: string) => void,
): number {
  const usage = `Usage: ${simulateUsage}; or ${checkUsage}`
  try {
    if ([name, ...words].includes('--help')) {
      say(usage)
      return 0
    }
    const command = commands[name]
    if (!command) throw new Misuse(usage)
    const { text, hasFindings } = command(words)
    say(text)
    return hasFindings ? 1 : 0
  } catch (error) {
    complain(error instanceof Error ? error.message : String(error))
    return error instanceof Misuse ? 2 : 1
  }
}
