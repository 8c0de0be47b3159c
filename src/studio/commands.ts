// What a designer can do in the studio, by button or by key: each is one function over the stores.
import { nanoid } from 'nanoid'
import type { Control } from '../core/effect/control'
import { findKind } from '../core/effect/kinds'
import type { Place } from '../core/geometry/place'
import type { Effect } from '../core/site/site'
import { withBinding, withBindings } from '../core/site/bindings'
import type { Studio } from './context'
import type { Drawer } from './store/view-store'

export function selectedEffect({ store, view }: Pick<Studio, 'store' | 'view'>): Effect | undefined {
  return store.history.get().site.effects.find(({ id }) => id === view.get().selected)
}

/** Changes the selected effect's settings. */
export function changeSettings({ store }: Studio, effect: Effect, settings: unknown, words: string, gesture?: string): void {
  store.edit({ do: 'change', id: effect.id, to: { settings } }, words, gesture)
}

/** Changes what one word says; a word that was bound to another is by itself again. */
export function changeControl({ store }: Studio, effect: Effect, control: Control<unknown>, value: unknown, gesture?: string): void {
  const now = store.history.get().site.effects.find(({ id }) => id === effect.id)
  if (!now) return
  const present =
    findKind(now.kind)
      ?.controls(now.settings)
      .find(({ id }) => id === control.id) ?? control
  const settings = (present.write as (settings: unknown, value: unknown) => unknown)(now.settings, value)
  store.edit(
    {
      do: 'change',
      id: effect.id,
      to: { settings, ...(now.bindings?.[control.id] ? { bindings: withBinding(now.bindings, control.id) } : {}) },
    },
    control.title,
    gesture,
  )
}

/** Turns the direction of the selected effect. */
export function turnDirection(studio: Studio): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (!effect || !kind) return
  const turned: unknown = kind.turned(effect.settings)
  if (turned === effect.settings) return notify(studio, 'This effect has no direction that could be turned.')
  changeSettings(studio, effect, turned, 'Turning the direction')
}

/** Puts the away pin of the selected effect. */
export function placePin(studio: Studio, place: Place, gesture: string): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (effect && kind) changeSettings(studio, effect, kind.withAwayPlace(effect.settings, place), 'Moving the away pin', gesture)
}

/** Opens a drawer, or closes it where it is open. */
export function toggleDrawer({ view }: Studio, drawer: Drawer): void {
  view.update({ drawer: view.get().drawer === drawer ? null : drawer })
}

let endNotice: () => void = () => undefined

/** Says a sentence at the foot of the page for some seconds, and until somebody who may have seen it does something. */
export function notify({ view }: Studio, notice: string): void {
  endNotice()
  const acts = ['pointerdown', 'keydown'] as const
  const gone = () => {
    endNotice()
    view.update({ notice: null })
  }
  const timer = setTimeout(() => {
    for (const act of acts) globalThis.addEventListener?.(act, gone, { capture: true })
  }, 6000)
  endNotice = () => {
    clearTimeout(timer)
    for (const act of acts) globalThis.removeEventListener?.(act, gone, { capture: true })
  }
  view.update({ notice })
}

/** Keeps the present settings of the selected effect as a try. */
export function keepTry(studio: Studio): void {
  const effect = selectedEffect(studio)
  if (!effect) return
  const tries = effect.tries ?? []
  if (tries.length >= 40) return notify(studio, 'Forty tries are kept of this effect; remove one first.')
  studio.store.edit(
    {
      do: 'change',
      id: effect.id,
      to: {
        tries: [
          ...tries,
          {
            id: nanoid(8),
            name: `Try ${tries.length + 1}`,
            settings: withBindings(studio.store.history.get().site).effects.find(({ id }) => id === effect.id)?.settings ?? effect.settings,
          },
        ],
      },
    },
    'Keeping a try',
  )
  studio.view.update({ drawer: 'tries' })
}
