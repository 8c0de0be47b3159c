// Keeps the page in step with the stores, and takes what the page tells into them.
import { useEffect } from 'react'
import { findKind } from '../../core/effect/kinds'
import { planFigures, playedFigures } from '../../core/export/plan'
import { writeStylesheet } from '../../core/export/stylesheet'
import { chosenTarget, placePin, recipeEffect } from '../commands'
import { useSite, useStudio, useView, type Studio } from '../context'
import type { ShownFigure, ThreadSample } from '../../stage/protocol'
import { newGesture } from '../store/site-store'
import { notPointing } from '../store/view-store'

export function useStageTalk(): void {
  const studio = useStudio()
  const { link, store } = studio
  const site = useSite()
  const { selected, pointing, trial, walking } = useView()

  // What plays: the site's effects, and the recipe that is being tried.
  useEffect(() => {
    const [kind = '', recipe = ''] = trial?.split('/') ?? []
    const tried = trial === null ? undefined : recipeEffect(studio, kind, recipe, 'trial')
    const figures = planFigures(tried ? { ...site, effects: [...site.effects, tried] } : site, store.id)
    link.say({ type: 'play', stylesheet: writeStylesheet(figures), figures: playedFigures(figures) })
  }, [studio, link, store.id, site, trial, pointing.pick, pointing.scope])

  // What the stand-in pointer walks over: what a recipe is tried on, or the selected effect for as long as a walk is on.
  const triedSelect = trial === null ? undefined : chosenTarget(studio)?.select
  const select = site.effects.find(({ id }) => id === selected)?.select
  const walked = triedSelect ?? (walking ? select : undefined) ?? null
  useEffect(() => link.say({ type: 'walk', select: walked }), [link, walked])

  // What is drawn on the page.
  useEffect(() => {
    const figures: ShownFigure[] = site.effects.map((effect, index) => {
      const isSelected = effect.id === selected && pointing.stage === 'no'
      return { number: index + 1, select: effect.select, selected: isSelected, pin: isSelected ? findKind(effect.kind)?.awayPlace(effect.settings) : undefined }
    })
    if (triedSelect !== undefined) figures.push({ select: triedSelect, selected: true })
    link.say({ type: 'show', figures })
  }, [link, site.effects, selected, triedSelect, pointing.stage])

  // Asked when a selector changes, not at every step of a number that is dragged.
  const selects = JSON.stringify([...new Set(site.effects.map((effect) => effect.select))])
  useEffect(() => link.say({ type: 'count', selects: JSON.parse(selects) as string[] }), [link, selects])
  useEffect(() => {
    if (select !== undefined) link.say({ type: 'describe', select })
  }, [link, select])

  useEffect(() => link.say({ type: 'point', on: pointing.stage === 'looking' }), [link, pointing.stage])
  useEffect(() => {
    if (pointing.stage === 'choosing') link.say({ type: 'outline', select: chosenTarget(studio)?.select ?? null })
  }, [studio, link, pointing])

  useEffect(() => listenToStage(studio), [studio])
}

/** Whether the real pointer came while the stand-in was walking. */
function tookOver(before: ThreadSample | undefined, samples: readonly ThreadSample[]): boolean {
  return samples.at(-1)?.by === 'hand' && (before?.by === 'walk' || samples.some(({ by }) => by === 'walk'))
}

function listenToStage(studio: Studio): () => void {
  const { link, thread, view } = studio
  let clockOffset = 0
  let pinGesture: string | undefined
  let noticeTimer: ReturnType<typeof setTimeout> | undefined
  return link.listen((message) => {
    switch (message.type) {
      case 'ready':
        clockOffset = performance.now() - message.now
        return
      case 'samples':
        if (view.get().walking && tookOver(thread.samples.at(-1), message.samples)) view.update({ walking: false })
        view.hand.isOnPage = message.samples.some(({ by, phase }) => by === 'hand' && phase === 'here')
        return thread.add(message.samples, clockOffset)
      case 'ladder': {
        if (view.get().pointing.stage !== 'looking') return
        return view.update({ pointing: { ...notPointing, rungs: message.rungs, pick: message.pick, stage: message.chosen ? 'choosing' : 'looking' } })
      }
      case 'counts':
        return view.update({
          counts: new Map(message.counts.map(({ select, count }) => [select, count])),
          shared: new Map(message.counts.map(({ select, sharedWith }) => [select, sharedWith])),
        })
      case 'described':
        return view.update({ described: { select: message.select, rung: message.rung } })
      case 'pin':
        pinGesture ??= newGesture()
        placePin(studio, message.place, pinGesture)
        if (message.last) pinGesture = undefined
        return
      case 'key':
        window.dispatchEvent(new KeyboardEvent('keydown', { ...message, bubbles: true, cancelable: true }))
        return
      case 'link':
        clearTimeout(noticeTimer)
        noticeTimer = setTimeout(() => view.update({ notice: null }), 4000)
        return view.update({ notice: `On your site this link goes to ${message.href || 'nowhere'}.` })
    }
  })
}
