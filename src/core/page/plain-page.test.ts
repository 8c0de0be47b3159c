import { expect, it } from 'vitest'
import { plainPage } from './plain-page'
import { blankTitle, starters } from './starters'
import { elementsOf, readTree } from './tree'

it('is blank, with its title', () => {
  const html = plainPage()
  expect(html).toContain(`<title>${blankTitle}</title>`)
  expect(elementsOf(readTree(html)).at(-1)?.name).toBe('body')
})

it.each(starters.map((starter) => [starter.id, starter] as const))('has the starter %s with its CSS', (_, starter) => {
  const html = plainPage(starter)
  for (const line of starter.html.trim().split('\n')) expect(html).toContain(line.trim())
  expect(html.match(/<style>/g)).toHaveLength(1)
  expect(html).toContain(starter.css.trim().split('\n')[0]?.trim() ?? '')
})
