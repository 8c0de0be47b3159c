// The code editor of the markup drawer; it is loaded when the drawer is opened.
import { css } from '@codemirror/lang-css'
import { html } from '@codemirror/lang-html'
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { linter, lintGutter, type Diagnostic } from '@codemirror/lint'
import { EditorView, keymap } from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { basicSetup } from 'codemirror'
import { cssProblems, htmlProblems } from '../../core/page/problems'

export interface Editor {
  readonly text: () => string
  readonly setText: (text: string) => void
  readonly end: () => void
}

interface EditorEvents {
  readonly onChange: (text: string) => void
  readonly onProblems: (count: number) => void
  /** Ctrl or Cmd with S. */
  readonly onTake: () => void
}

const look = EditorView.theme({
  '&': { fontSize: '12.5px', backgroundColor: 'var(--gm-sheet)', color: 'var(--gm-ink)' },
  '&.cm-focused': { outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' },
  '.cm-scroller': { fontFamily: "'Fragment Mono', monospace", lineHeight: '1.55', fontVariantLigatures: 'none' },
  '.cm-gutters': { backgroundColor: 'var(--gm-ground)', color: 'var(--gm-soft)', borderRight: '1px solid var(--gm-hairline)' },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'color-mix(in srgb, var(--gm-press) 55%, transparent)' },
  '.cm-cursor': { borderLeftColor: 'var(--gm-ink)' },
  '&.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground, .cm-selectionBackground': {
    backgroundColor: 'color-mix(in srgb, var(--gm-violet) 30%, transparent)',
  },
  '.cm-tooltip': { backgroundColor: 'var(--gm-sheet)', border: '1px solid var(--gm-edge)', color: 'var(--gm-ink)' },
  '.cm-diagnostic-warning': { borderLeft: '3px solid var(--gm-ink)' },
  '.cm-lintRange-warning': { backgroundImage: 'none', textDecoration: 'underline wavy var(--gm-ink)', textDecorationSkipInk: 'none' },
  '.cm-matchingBracket, &.cm-focused .cm-matchingBracket': { backgroundColor: 'transparent', outline: '1px solid var(--gm-edge)' },
  '.cm-panels': { backgroundColor: 'var(--gm-ground)', color: 'var(--gm-ink)' },
})

const colours = HighlightStyle.define([
  { tag: [tags.tagName, tags.keyword, tags.definitionKeyword], color: 'var(--gm-ink)', fontWeight: '700' },
  { tag: [tags.attributeName, tags.propertyName, tags.className, tags.labelName], color: 'var(--gm-violet)' },
  { tag: [tags.string, tags.attributeValue, tags.number, tags.color, tags.unit], color: 'var(--gm-lichen)' },
  { tag: [tags.comment, tags.meta, tags.angleBracket, tags.punctuation], color: 'var(--gm-soft)' },
])

/** Opens an editor in an element. */
export function makeEditor(
  parent: HTMLElement,
  language: 'html' | 'css',
  text: string,
  { onChange, onProblems, onTake }: EditorEvents,
): Editor {
  const check = (view: EditorView): readonly Diagnostic[] => {
    const source = view.state.doc.toString()
    const found = language === 'html' ? htmlProblems(source) : cssProblems(source)
    onProblems(found.length)
    return found.map(({ from, to, words }) => ({
      from: Math.min(from, source.length),
      to: Math.min(Math.max(to, from), source.length),
      severity: 'warning',
      message: words,
    }))
  }
  const view = new EditorView({
    doc: text,
    parent,
    extensions: [
      basicSetup,
      language === 'html' ? html() : css(),
      syntaxHighlighting(colours),
      look,
      EditorView.contentAttributes.of({ 'aria-label': language === 'html' ? 'HTML of the page' : 'CSS of the page', tabindex: '0' }),
      lintGutter(),
      linter(check, { delay: 400 }),
      keymap.of([
        {
          key: 'Mod-s',
          preventDefault: true,
          run: () => {
            onTake()
            return true
          },
        },
      ]),
      EditorView.updateListener.of(({ docChanged, state }) => docChanged && onChange(state.doc.toString())),
      // The studio's own keys stay out of what is typed.
      EditorView.domEventHandlers({ keydown: (event) => event.key !== 'Escape' && event.stopPropagation() }),
    ],
  })
  return {
    text: () => view.state.doc.toString(),
    setText: (next) => view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } }),
    end: () => view.destroy(),
  }
}
