// What an element is to a designer.
import { describe, expect, it } from 'vitest'
import { kinds } from './kinds'
import { thingOf, things } from './thing'

describe('what sort of thing an element is', () => {
  it.each([
    ['h2.title', { words: 'Specimens' }, 'heading'],
    ['img', {}, 'picture'],
    ['div.photo', {}, 'picture'],
    ['figure.plate', { holds: 2 }, 'picture'],
    ['ul.cards', { holds: 8, alike: 8 }, 'group'],
    ['section.cards', { holds: 8, alike: 8 }, 'group'],
    ['a.more', { words: 'Read on' }, 'link'],
    ['a.ticket-button', { words: 'Book' }, 'button'],
    ['button', { words: 'Book' }, 'button'],
    ['p.lead', { words: 'Come at dusk' }, 'text'],
    ['span', {}, 'box'],
    ['article.card', { holds: 3, alike: 1 }, 'box'],
    ['a.card', { holds: 3, alike: 1 }, 'box'],
    ['body', { holds: 3 }, 'page'],
  ] as const)('%s is a %s', (element, seen, thing) => {
    expect(thingOf({ element, holds: 0, alike: 0, words: '', ...seen })).toBe(thing)
  })

  it('has effects that suit it, whatever it is', () => {
    for (const thing of things) expect(kinds.filter(({ suits }) => suits.includes(thing)).length, thing).toBeGreaterThan(1)
  })
})
