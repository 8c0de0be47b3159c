// Text edited in place: a double click opens it, Enter or a click elsewhere takes it, Escape gives it up.
import type { Numbers } from './numbers'

/** Lets texts be edited. `onText` hears the new text of an element that held nothing else. */
export function editWords(page: Document, numbers: Numbers, onText: (number: number, text: string) => void): void {
  let undo: (() => void) | undefined
  page.addEventListener('dblclick', (event) => {
    const target = event.target
    if (!(target instanceof HTMLElement)) return
    const number = numbers.of(target)
    const isText = target.childElementCount === 0 && target.textContent.trim() !== ''
    if (number === undefined || !isText || /^(textarea|select|option|script|style|title)$/.test(target.localName)) return
    undo?.()
    const before = target.textContent
    const had = target.getAttribute('contenteditable')
    target.setAttribute('contenteditable', 'plaintext-only')
    target.focus()
    const end = (keeps: boolean) => {
      undo = undefined
      target.removeEventListener('blur', take)
      target.removeEventListener('keydown', keys)
      if (had === null) target.removeAttribute('contenteditable')
      else target.setAttribute('contenteditable', had)
      const after = target.textContent.replace(/\s+/g, ' ').trim()
      if (keeps && after !== before.replace(/\s+/g, ' ').trim()) onText(number, after)
      else target.textContent = before
    }
    const take = () => end(true)
    const keys = (key: KeyboardEvent) => {
      key.stopPropagation()
      if (key.key !== 'Enter' && key.key !== 'Escape') return
      key.preventDefault()
      end(key.key === 'Enter')
    }
    undo = () => end(false)
    target.addEventListener('blur', take)
    target.addEventListener('keydown', keys)
  })
}
