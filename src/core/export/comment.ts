// Comments of a stylesheet.

export const lineLength = 76

/** A comment over as many lines as it needs. */
export function writeComment(text: string): string {
  const lines = ['/*']
  for (const word of commentText(text).split(' ')) {
    const line = `${lines.at(-1)} ${word}`
    if (line.length <= lineLength) lines[lines.length - 1] = line
    else lines.push(`   ${word}`)
  }
  return `${lines.join('\n')} */`
}

/** Text that cannot end the comment it stands in. */
export function commentText(text: string): string {
  return text.replaceAll('*/', '* /').replaceAll('</', '< /')
}

/** Words as they are told in a sentence. */
export function spoken(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? 'nothing') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
}
