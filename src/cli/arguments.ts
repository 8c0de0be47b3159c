// Words of a command line: files, and options with a value each.

/** Wrong use of a command: what it should have been, in one line. */
export class Misuse extends Error {}

export interface Arguments {
  readonly files: readonly string[]
  readonly options: Readonly<Record<string, string | undefined>>
}

/** Reads `FILE... --name VALUE`. Throws `Misuse` for an option that is not in `names`, has no value or comes twice. */
export function readArguments(words: readonly string[], names: readonly string[]): Arguments {
  const files: string[] = []
  const options: Record<string, string> = {}
  for (let i = 0; i < words.length; i++) {
    const word = words[i] ?? ''
    const [, name, joined] = /^--([a-z]+)(?:=(.*))?$/.exec(word) ?? []
    if (name === undefined) {
      if (word.startsWith('-')) throw new Misuse(`There is no option ${word}.`)
      files.push(word)
      continue
    }
    const value = joined ?? words[++i]
    if (!names.includes(name)) throw new Misuse(`There is no option --${name}; there are ${names.map((each) => `--${each}`).join(', ')}.`)
    if (value === undefined || options[name] !== undefined) throw new Misuse(`--${name} takes one value.`)
    options[name] = value
  }
  return { files, options }
}
