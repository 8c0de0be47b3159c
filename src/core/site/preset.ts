// Presets: an effect with the markup that it needs, free of the selectors of one page.
import * as z from 'zod'
import { addCssOnce, applyMarkup, outerOf, sliceOf, type Where } from '../page/markup'
import { elementsOf, readTree } from '../page/tree'
import { upgradePreset } from './formats'
import { effectSchema, fileSchema, type Effect, type SiteFile } from './site'

export const presetFormat = 'glass-moth-preset/2'

const presentPresetSchema = z.object({
  format: z.literal(presetFormat),
  name: z.string().trim().min(1, 'needs a name').max(120, 'is longer than 120 characters'),
  effect: effectSchema,
  /** One element with all that is in it, and the rules that it needs. */
  markup: z.string().max(200_000, 'has more markup than 200,000 characters'),
  css: z
    .string()
    .max(200_000, 'has more CSS than 200,000 characters')
    .regex(/^(?!.*<\/)/s, 'is no CSS'),
  /** Pictures and other files that markup or rules ask for, by the addresses that stand there. */
  files: z.array(fileSchema).max(200, 'has more than 200 files').optional(),
})

/** A preset in any format that there has been. */
export const presetSchema = z.preprocess((document) => upgradePreset(document, presetFormat), presentPresetSchema)

export type Preset = z.infer<typeof presetSchema>

/** The class by which an element that came from a preset is found. */
export function classOfPreset(name: string): string {
  return `preset-${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'element'
  }`
}

/** Every address of a file of this folder that stands in a text by itself. */
const asks = (text: string, address: string) =>
  new RegExp(`(^|[\\s"'(,=])(\\./)?${address.replace(/[^\w]/g, '\\$&')}(?=$|[\\s"'),?#])`).test(text)

/** The files of a page in this folder that a text asks for, by their addresses from there. */
function filesIn(text: string, files: readonly SiteFile[], folder: string): readonly SiteFile[] {
  return files.flatMap((file) => {
    const address = file.path.startsWith(folder) ? file.path.slice(folder.length) : ''
    return address !== '' && asks(text, address) ? [{ ...file, path: address }] : []
  })
}

/**
 * A preset as it is placed on a page in `folder`, where these files are: what it brings along, each at an address of its own, and its markup and
 * rules, which ask for it there.
 */
export function settlePreset(
  preset: Preset,
  there: readonly SiteFile[],
  folder: string,
): { readonly preset: Preset; readonly files: readonly SiteFile[] } {
  let { markup, css } = preset
  const files = (preset.files ?? []).flatMap((file) => {
    const known = there.find(({ path }) => path === folder + file.path)
    if (known?.hash === file.hash) return []
    if (!known) return [{ ...file, path: folder + file.path }]
    // The page has another file at that address.
    const address = file.path.replace(/([^/]*)$/, `${file.hash.slice(0, 8)}-$1`)
    markup = markup.replaceAll(file.path, address)
    css = css.replaceAll(file.path, address)
    return there.some(({ path }) => path === folder + address) ? [] : [{ ...file, path: folder + address }]
  })
  return { preset: { ...preset, markup, css }, files }
}

/**
 * An effect as a preset, with the element of this number in the source as its markup, and what that asks for of the files of its page, which
 * stands in `folder`. Throws a MarkupError where there is no such element.
 */
export function makePreset(
  source: string,
  number: number,
  effect: Effect,
  css: string,
  files: readonly SiteFile[] = [],
  folder = '',
): Preset {
  const element = elementsOf(readTree(source))[number]
  const markup = element ? withClass(sliceOf(source, outerOf(element), element), classOfPreset(effect.name)) : ''
  const { kind, name, noun, roles, narrow, settings } = effect
  const needed = filesIn(`${markup}\n${css}`, files, folder)
  return {
    format: presetFormat,
    name,
    effect: {
      id: 'preset',
      kind,
      name,
      noun,
      settings,
      select: `.${classOfPreset(name)}`,
      ...(roles ? { roles } : {}),
      ...(narrow ? { narrow } : {}),
    },
    markup,
    css,
    ...(needed.length > 0 ? { files: [...needed] } : {}),
  }
}

function withClass(markup: string, className: string): string {
  const all = elementsOf(readTree(markup))
  const at = all.findIndex(({ sourceCodeLocation }) => sourceCodeLocation)
  const element = all[at]
  const classes = (element?.attribs.class ?? '').split(/\s+/).filter(Boolean)
  return !element || classes.includes(className)
    ? markup
    : applyMarkup(markup, { do: 'attribute', at, name: 'class', value: [...classes, className].join(' ') })
}

/** The source with a preset's markup beside or in an element, and its rules once. */
export function placePreset(source: string, { markup, css }: Preset, at: number, where: Where): string {
  return addCssOnce(applyMarkup(source, { do: 'insert', at, where, html: markup }), `${css.trimEnd()}\n`)
}

/** The effect of a preset for what a selector matches. */
export function presetEffect({ effect }: Preset, id: string, target: { readonly select: string; readonly noun: string }): Effect {
  return { ...effect, id, ...target }
}
