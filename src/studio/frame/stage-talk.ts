// Keeps the page in step with the stores, and takes what the page tells into them.
import { useEffect, useLayoutEffect, useMemo } from 'react'
import { expandEffect, filledIn, findKind, kinds } from '../../core/effect/kinds'
import { planEffects } from '../../core/export/plan'
import { targetsOf } from '../../core/export/stylesheet'
import { isZone } from '../../core/signal/signal'
import { playsOn, type Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { changeControl, notify, placePin, selectedEffect } from '../commands'
import { changeMode, poseSelected, takeEdge, tellMode } from './holding'
import { climb, recipeEffect } from '../point/commands'
import { chosenTarget, triedSelect } from '../point/target'
import { pageOf, usePage, useSelected, useSite, useStudio, useView, type Studio } from '../context'
import { selectHere } from '../effects/commands'
import { pasteEffect, tellCopied, textOfEffects } from '../effects/effect-text'
import { keyOf } from '../registry'
import { editMarkup } from '../markup/commands'
import { giveFiles } from './give-files'
import { onPlate } from './zooming'
import { shownHandles } from './shown-handles'
import type { FromStage, FromStageOf, ShownEffect, ThreadSample } from '../../stage/protocol'
import { whenIdle } from '../store/idle'
import { makeScriptPlay } from '../store/scripts'
import { pageMode } from '../store/pointer-mode'
import type { StageLink } from '../store/stage-link'
import { newGesture } from '../store/site-store'

/** Keeps one frame in step: what plays in it, as whom it is visited, and the files it asks for. */
export function useStagePlay(link: StageLink, tried?: { readonly effect: string; readonly settings: unknown }): void {
  const studio = useStudio()
  const { store } = studio
  const site = useSite()
  const page = usePage()
  const { trial, pointing, overlaps, visitor, onlyThis, selected } = useView(
    'trial',
    'pointing',
    'overlaps',
    'visitor',
    'onlyThis',
    'selected',
  )
  const [triedEffect, triedSettings] = [tried?.effect, tried?.settings]
  const only = onlyThis && trial === null ? (selected ?? undefined) : undefined
  const scripts = useMemo(
    () =>
      makeScriptPlay(link, (error) =>
        notify(studio, error instanceof Error ? error.message : 'The effects of this page cannot be played.'),
      ),
    [studio, link],
  )
  useEffect(() => scripts.end, [scripts])
  // As soon as the screen stands: a number that is dragged is on the page a frame earlier than after painting.
  useLayoutEffect(() => {
    const [kind = '', recipe = ''] = trial?.split('/') ?? []
    const recipeTried = trial === null ? undefined : recipeEffect(studio, kind, recipe, 'trial')
    const effects =
      triedEffect === undefined
        ? site.effects
        : site.effects.map((effect) => (effect.id === triedEffect ? { ...effect, settings: triedSettings, bindings: undefined } : effect))
    const played = recipeTried || effects !== site.effects ? { ...site, effects: recipeTried ? [...effects, recipeTried] : effects } : site
    const planned = planEffects(played, page.id, only)
    scripts.play(planned, overlaps, site.script?.allows)
  }, [
    studio,
    link,
    scripts,
    store.id,
    site,
    page.id,
    trial,
    pointing.pick,
    pointing.choice,
    pointing.typed,
    overlaps,
    only,
    triedEffect,
    triedSettings,
  ])
  // What may be touched next is written before it is, one after another, so that it plays at once.
  const isChoosing = pointing.stage === 'choosing'
  useEffect(() => {
    if (!isChoosing) return
    let isCurrent = true
    const prepare = async () => {
      await whenIdle(1000)
      for (const kind of kinds)
        for (const recipe of kind.recipes) {
          const effect = isCurrent ? recipeEffect(studio, kind.id, recipe.id, 'trial') : undefined
          // Those that are written already come at once: the page goes on between them.
          await whenIdle(200)
          if (effect && isCurrent)
            await scripts.prepare(planEffects({ ...site, effects: [...site.effects, effect] }, page.id), site.script?.allows)
        }
    }
    void prepare()
    return () => {
      isCurrent = false
    }
  }, [studio, scripts, site, page.id, isChoosing, pointing.pick, pointing.choice, pointing.typed])
  useEffect(() => link.say({ type: 'visit', visitor: visitor === 'noscript' ? 'mouse' : visitor }), [link, visitor])
  useEffect(
    () =>
      link.listen(
        (message) =>
          void (
            message.type === 'needs' &&
            giveFiles(link, message.hashes).then(
              (missing) =>
                missing > 0 &&
                notify(studio, `${missing} ${missing === 1 ? 'file' : 'files'} of this page could not be had from the studio’s server.`),
            )
          ),
      ),
    [link, studio],
  )
}

export function useStageTalk(): void {
  const studio = useStudio()
  const { link, store, search, view } = studio
  const site = useSite()
  const page = usePage()
  const {
    selected,
    chosen,
    pointing,
    touched,
    mode: { is: mode },
    comparison,
  } = useView('selected', 'chosen', 'pointing', 'trial', 'touched', 'mode', 'comparison')
  useStagePlay(link, useTry(comparison?.one))

  // Whose the pointer is hangs on what a recipe is tried on, and on what is selected.
  const tried = triedSelect(studio)
  const select = site.effects.find(({ id }) => id === selected)?.select
  useEffect(() => tellMode(studio), [studio, tried, select])

  // What is drawn on the page.
  useEffect(() => {
    const effects: ShownEffect[] = site.effects.flatMap((effect, index) => {
      if (!playsOn(effect, page.id)) return []
      const isSelected = effect.id === selected && pointing.stage === 'no'
      const shown = { number: index + 1, select: effect.select, selected: isSelected, ...(isSelected ? readBy(effect) : {}) }
      return [
        isSelected && mode !== 'posing' && mode !== 'measuring' && !comparison
          ? { ...shown, ...drawnFor(withBindings(site).effects[index] ?? effect, touched) }
          : shown,
      ]
    })
    if (tried !== undefined) effects.push({ select: tried, selected: true })
    link.say({ type: 'show', effects })
  }, [link, site, page.id, selected, tried, pointing.stage, touched, mode, comparison])

  // Asked when a selector or a page changes, not at every step of a number that is dragged.
  const sources = site.pages.map(({ source }) => source).join()
  const selects = JSON.stringify([...new Set(site.effects.flatMap((effect) => [effect.select, ...Object.values(filledIn(effect))]))])
  const targets = JSON.stringify(targetsOf(planEffects(site)))
  useEffect(() => {
    let isCurrent = true
    const ask = async () => {
      // The page comes first, then what is to be known of all pages.
      await link.whenReady(1500)
      await whenIdle(1000)
      const [counts, overlaps] = await Promise.all([
        search.ask({ ask: 'count', selects: JSON.parse(selects) as string[] }),
        search.ask({ ask: 'overlaps', selects: JSON.parse(targets) as string[] }),
      ])
      if (!isCurrent) return
      const isSame = JSON.stringify(overlaps) === JSON.stringify(view.get().overlaps)
      const known = [...view.get().counts.values()].some((each) => each !== null && page.id in each)
      view.update({ counts: new Map(Object.entries(counts)), ...(isSame ? {} : { overlaps }) })
      // Of a page that has just come it is known only now what is on it.
      if (!known) selectHere(studio)
    }
    ask().catch(
      (error: unknown) => isCurrent && notify(studio, error instanceof Error ? error.message : 'The pages of this site could not be read.'),
    )
    return () => {
      isCurrent = false
    }
  }, [studio, link, search, store, view, page.id, sources, selects, targets])
  useEffect(() => {
    let isCurrent = true
    const ask = async () => {
      if (select === undefined) return
      await link.whenReady(1500)
      await whenIdle(1000)
      const [rung, all] = await Promise.all([
        search.ask({ ask: 'first', page: page.id, select }),
        search.ask({ ask: 'matches', page: page.id, select }),
      ])
      if (!isCurrent) return
      view.update({ described: rung && { select, rung }, matches: { select, all, grounds: [] } })
      const grounds = await link.ask({ type: 'grounds', select })
      const { matches } = view.get()
      if (isCurrent && matches?.select === select) view.update({ matches: { ...matches, grounds } })
    }
    void ask().catch(() => undefined)
    return () => {
      isCurrent = false
    }
  }, [search, store, view, link, select, page.id, page.source])

  // What would be copied, for when the focus is in the page.
  const copied = textOfEffects(site.effects.filter(({ id }) => id === selected || chosen.includes(id)))
  useEffect(() => link.say({ type: 'copyable', text: copied }), [link, copied])

  useEffect(() => link.say({ type: 'point', on: pointing.stage === 'looking' }), [link, pointing.stage])
  useEffect(() => {
    if (pointing.stage === 'choosing') link.say({ type: 'outline', select: chosenTarget(studio)?.select ?? null })
    else if (pointing.stage === 'looking') link.say({ type: 'outline', select: pointing.rungs[pointing.pick]?.number ?? null })
  }, [studio, link, pointing])

  useEffect(() => listenToStage(studio), [studio])
}

/** The state of the selected effect that a name among its tries stands for; undefined for the present one. */
export function useTry(name: string | undefined): { readonly effect: string; readonly settings: unknown } | undefined {
  const selected = useSelected()
  const found = selected?.effect.tries?.find(({ id }) => id === name)
  return useMemo(() => found && selected && { effect: selected.effect.id, settings: found.settings }, [found, selected])
}

/** Measures the distance that is being looked at in another window too. */
export function useMeasuringIn(link: StageLink): void {
  const studio = useStudio()
  const { mode } = useView('mode')
  const edges = mode.is === 'measuring' ? mode.edges : undefined
  useEffect(() => {
    if (edges?.length !== 2) return
    link.say({ type: 'mode', mode: pageMode({ is: 'measuring', edges, measures: [] }, selectedEffect(studio)?.select) })
    const stop = link.listen((message) => {
      if (message.type === 'distances') changeMode(studio, { type: 'measured', measure: message })
    })
    return () => {
      stop()
      link.say({ type: 'mode', mode: { is: 'real' } })
    }
  }, [studio, link, edges])
}

/** What of an effect is drawn on the page for the word in hand: its pin, or its handles. */
function drawnFor(effect: Effect, touched: string | null): Pick<ShownEffect, 'pin' | 'handles' | 'ground'> {
  const kind = findKind(effect.kind)
  if (!kind) return {}
  const controls = kind.controls(effect.settings)
  const control = controls.find(({ id }) => id === touched)
  const isPin = !control || ('handle' in control && control.handle === 'pin')
  const [area] = expandEffect(effect).areas
  const around = area?.of === 'window' ? ':root' : area?.select
  const ground = around !== undefined && around !== effect.select ? { ground: around } : {}
  if (!control || isPin) return { ...ground, pin: isPin ? kind.awayPlace(effect.settings) : undefined }
  return { ...ground, handles: shownHandles(controls, effect.settings, control.id) }
}

/** Where the pointer is read for an effect that is not about its own elements alone, and whether it tells a zone there. */
function readBy(effect: Effect): Pick<ShownEffect, 'reads' | 'zones'> {
  const { areas, channels } = expandEffect(effect)
  const [area] = areas
  if (channels.some(({ signal }) => isZone(signal))) return { reads: area?.of === 'window' ? ':root' : area?.select, zones: true }
  return area?.joined === undefined ? {} : { reads: `${effect.select}, ${area.joined}` }
}

/** Whether the real pointer came while the stand-in played a path. */
function tookOver(before: ThreadSample | undefined, samples: readonly ThreadSample[]): boolean {
  return samples.at(-1)?.by === 'real' && (before?.by === 'path' || samples.some(({ by }) => by === 'path'))
}

function listenToStage(studio: Studio): () => void {
  const { link, thread, view } = studio
  let clockOffset = 0
  let pinGesture: string | undefined
  /** What each handle was dragged to last. */
  const handled = new Map<string, number>()
  const hear = (message: FromStage) => {
    switch (message.type) {
      case 'ready':
        clockOffset = performance.now() - message.now
        return
      case 'samples':
        if (view.get().mode.is === 'playing' && tookOver(thread.samples.at(-1), message.samples))
          changeMode(studio, { type: 'stop playing' })
        view.hand.areaSize = message.samples.findLast(({ size }) => size)?.size ?? view.hand.areaSize
        view.hand.isOnPage = message.samples.some(({ by, phase }) => by === 'real' && phase === 'here')
        // The index is not always told that the pointer went from it into the page.
        if (view.get().indexOpen && view.hand.isOnPage) view.update({ indexOpen: false })
        return thread.add(message.samples, clockOffset)
      case 'zone':
        return thread.tellZone(message.zone)
      case 'under':
        if (view.get().pointing.stage === 'looking') void climb(studio, message.elements, message.chosen)
        return
      case 'unseen':
        return view.update({ unseen: message })
      case 'words':
        return void editMarkup(studio, { do: 'text', at: message.number, text: message.text }, 'Editing a text')
      case 'pin':
        pinGesture ??= newGesture()
        placePin(studio, message.place, pinGesture)
        if (message.last) pinGesture = undefined
        return
      case 'handle': {
        const effect = selectedEffect(studio)
        const control =
          effect &&
          findKind(effect.kind)
            ?.controls(effect.settings)
            .find(({ id }) => id === message.id)
        pinGesture ??= newGesture()
        // The end of a drag says again what was said last; what came of it meanwhile, such as an undo, stays.
        if (effect && control && !(message.last && handled.get(message.id) === message.value))
          changeControl(studio, effect, control, message.value, pinGesture)
        if (!message.last) return void handled.set(message.id, message.value)
        handled.delete(message.id)
        queueMicrotask(() => (pinGesture = undefined))
        return
      }
      case 'posed':
        return poseSelected(studio, message.place, message, message.last)
      case 'edge':
        return takeEdge(studio, message.edge)
      case 'distances':
        return changeMode(studio, { type: 'measured', measure: message })
      case 'key':
        window.dispatchEvent(new KeyboardEvent('keydown', { ...message, bubbles: true, cancelable: true }))
        return
      case 'keyup':
        window.dispatchEvent(new KeyboardEvent('keyup', { code: message.code, bubbles: true }))
        return
      case 'clipboard':
        if (message.what === 'paste') pasteEffect(studio, message.text)
        else tellCopied(studio, message.what === 'cut')
        return
      case 'number':
        return onNumber(studio, message)
      case 'plain':
        return notify(studio, `To give this an effect, point first: press ${keyOf('point')}, then click it.`)
      case 'link': {
        const target = linkedPage(studio, message.href)
        return notify(
          studio,
          target
            ? `This link goes to your page ${target}; the menu of pages opens it.`
            : `On your site this link goes to ${message.href || 'nowhere'}.`,
        )
      }
    }
  }
  return link.listen(hear)
}

/** The number of an effect on the page selects it, or opens its menu. */
function onNumber({ store, view }: Studio, { number, isMenu, x, y }: FromStageOf<'number'>): void {
  const effect = store.history.get().site.effects[number - 1]
  if (!effect) return
  const room = document.querySelector('[data-plate]')?.getBoundingClientRect()
  const { left, top } = onPlate({ view }, { x, y })
  const at = { x: (room?.left ?? 0) + left, y: (room?.top ?? 0) + top }
  view.update({ selected: effect.id, chosen: [], touched: null, effectMenu: isMenu ? { id: effect.id, ...at } : null })
}

/** The name of the site's own page that a link leads to. */
function linkedPage({ store, view }: Studio, href: string): string | undefined {
  const { site } = store.history.get()
  const page = pageOf({ store, view })
  const name = href.split(/[?#]/)[0]?.split('/').at(-1) ?? ''
  return name === '' ? undefined : site.pages.find((each) => each !== page && each.path?.split('/').at(-1) === name)?.name
}
