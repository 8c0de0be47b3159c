// What is wrong with a document, in a sentence that a designer can read.
import { capitalised } from './text'
import type * as z from 'zod'

const names: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
  null: 'nothing',
}

/** One issue in words. What a schema says in its own words is told as it stands; a validator's own words are not. */
function wordsOf(issue: z.core.$ZodIssue): string {
  const { message } = issue
  if (!/^(Invalid|Too (big|small)|Unrecognized|Expected)/.test(message)) return message
  switch (issue.code) {
    case 'invalid_type':
      return /received undefined/.test(message) ? 'is missing' : `should be ${names[issue.expected] ?? issue.expected}`
    case 'too_big':
      return issue.origin === 'string'
        ? `is longer than ${issue.maximum} characters`
        : issue.origin === 'array'
          ? `has more than ${issue.maximum} items`
          : `is more than ${issue.maximum}`
    case 'too_small':
      return issue.origin === 'string'
        ? issue.minimum === 1
          ? 'is empty'
          : `is shorter than ${issue.minimum} characters`
        : issue.origin === 'array'
          ? issue.minimum === 1
            ? 'has nothing in it'
            : `has fewer than ${issue.minimum} items`
          : `is less than ${issue.minimum}`
    case 'not_multiple_of':
      return `should be a multiple of ${issue.divisor}`
    case 'unrecognized_keys':
      return `has a field that is not known here: "${issue.keys.join('", "')}"`
    case 'invalid_value':
      return issue.values.length === 1
        ? `should be ${JSON.stringify(issue.values[0])}`
        : `should be one of ${issue.values.map((value) => JSON.stringify(value)).join(', ')}`
    case 'invalid_union':
      return 'is none of what can stand here'
    default:
      return 'is not as it should be'
  }
}

/** What is wrong with a document, in one sentence that names the place. */
export function describeIssues(error: z.ZodError): string {
  const [first, ...rest] = error.issues
  if (!first) return 'The document is not valid.'
  const place = first.path.length > 0 ? `At ${first.path.join('.')}: ` : ''
  const words = wordsOf(first)
  return `${place === '' ? capitalised(words) : place + words}${rest.length > 0 ? ` (and ${rest.length} more)` : ''}.`
}
