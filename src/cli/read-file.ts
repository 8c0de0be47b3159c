// Files that a command is given, read and checked; what is wrong with one is said in a sentence.
import { readFileSync } from 'node:fs'
import * as z from 'zod'
import { describeIssues } from '../core/site/issues'

/** What `read` makes of a file's text. `what` names it in a sentence. Throws an Error with one where it is not there, or not what it should be. */
export function readFile<Value>(what: string, path: string, read: (text: string) => Value): Value {
  let text: string
  try {
    text = readFileSync(path, 'utf8')
  } catch {
    throw new Error(`The ${what} cannot be read: there is no file ${path}.`)
  }
  try {
    return read(text)
  } catch (error) {
    if (error instanceof SyntaxError) throw new Error(`The ${what} ${path} is not JSON: ${error.message}.`)
    throw new Error(
      error instanceof z.ZodError
        ? `The ${what} ${path} is not valid. ${describeIssues(error)}`
        : error instanceof Error
          ? error.message
          : String(error),
    )
  }
}
