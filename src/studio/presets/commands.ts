// Presets: an effect kept with its markup, and used again on another element, page or site.
import { nanoid } from 'nanoid'
import * as z from 'zod'
import type { Where } from '../../core/page/markup'
import { folderOf } from '../../core/site/path'
import { findKind } from '../../core/effect/kinds'
import { makePreset, placePreset, presetEffect, presetSchema, settlePreset, type Preset } from '../../core/site/preset'
import { filesOf, type Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { notify } from '../commands'
import { stopPointing } from '../point/commands'
import { chosenTarget, holderOf } from '../point/target'
import { pageOf, type Studio } from '../context'
import { addFile, changeSource } from '../markup/commands'
import { reach } from '../store/reach'
import { newGesture } from '../store/site-store'

const keptSchema = z.object({ id: z.string(), preset: presetSchema })
export type KeptPreset = z.infer<typeof keptSchema>

/** All presets there are. Throws an Error with a sentence when they cannot be had. */
export async function listPresets(): Promise<readonly KeptPreset[]> {
  return z.array(keptSchema).parse(await (await reach('/api/presets')).json())
}

export async function removePreset(id: string): Promise<void> {
  await reach(`/api/presets/${id}`, { method: 'DELETE' })
}

/** Keeps an effect as a preset, with the first element that it means on this page. */
export async function savePreset(studio: Studio, effect: Effect): Promise<void> {
  try {
    const page = pageOf(studio)
    const [first] = await studio.search.ask({ ask: 'matches', page: page.id, select: effect.select })
    if (!first) throw new Error('Nothing on this page is meant by this effect; go to a page that has its element, and save it there.')
    const source = await studio.search.source(page.source)
    const now = withBindings(studio.store.history.get().site).effects.find(({ id }) => id === effect.id) ?? effect
    const css = await studio.link.ask({ type: 'lift', number: first.number })
    const preset = makePreset(source, first.number, now, css, filesOf(studio.store.history.get().site, page), folderOf(page))
    await reach('/api/presets', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(preset) })
    notify(studio, `${effect.name} is kept as a preset: point at something on any site, and it is among your presets.`)
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'This could not be kept as a preset.')
  }
}

function addEffect({ store, view }: Studio, effect: Effect, gesture?: string): void {
  store.edit({ do: 'add', effect, at: store.history.get().site.effects.length }, `Using the preset ${effect.name}`, gesture)
  view.update({ selected: effect.id, touched: null })
}

/** Puts the effect of a preset on what is chosen. */
export function putPreset(studio: Studio, preset: Preset): void {
  const kind = findKind(preset.effect.kind)
  const target = chosenTarget(studio, kind?.wantsHolder === undefined ? undefined : holderOf(studio, kind.wantsHolder), kind?.wantsSeveral)
  if (!target) return
  addEffect(studio, presetEffect(preset, nanoid(10), target))
  stopPointing(studio)
}

/** Places the markup of a preset beside or in an element, with its effect; an effect that is there for it already does for both. */
export async function placePresetAt(studio: Studio, preset: Preset, at: number, where: Where): Promise<void> {
  const gesture = newGesture()
  const words = `Placing ${preset.name}`
  const page = pageOf(studio)
  const { preset: settled, files } = settlePreset(preset, filesOf(studio.store.history.get().site, page), folderOf(page))
  for (const file of files) addFile(studio, file, words, gesture)
  const done = await changeSource(studio, words, (source) => placePreset(source, settled, at, where), gesture)
  if (!done) return
  const { effects } = studio.store.history.get().site
  const there = effects.find(({ select, kind }) => select === preset.effect.select && kind === preset.effect.kind)
  if (there) studio.view.update({ selected: there.id, touched: null })
  else addEffect(studio, presetEffect(preset, nanoid(10), preset.effect), gesture)
  stopPointing(studio)
}
