// Edits of an element's own style.
import { generate, parse } from 'css-tree'
import type { MarkupEdit } from '../page/markup'

/** An edit that takes `!important` off some properties in a style attribute. */
export function withoutImportance(number: number, style: string, properties: readonly string[]): MarkupEdit {
  const list = parse(style, { context: 'declarationList', parseValue: false })
  if (list.type === 'DeclarationList')
    list.children.forEach((each) => {
      if (each.type === 'Declaration' && properties.includes(each.property.toLowerCase())) each.important = false
    })
  return { do: 'attribute', at: number, name: 'style', value: spaced(generate(list)) }
}

/** An edit that adds declarations to a style attribute. */
export function addDeclarations(number: number, style: string, declarations: readonly string[]): MarkupEdit {
  const before = style.trim().replace(/;$/, '')
  return { do: 'attribute', at: number, name: 'style', value: [...(before === '' ? [] : [before]), ...declarations].join('; ') }
}

const spaced = (css: string) =>
  css
    .replaceAll(';', '; ')
    .replace(/(^|; )([\w-]+):/g, '$1$2: ')
    .trim()
