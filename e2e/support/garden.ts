// An effect of every kind in its place in a garden, whatever form that has.
import { planEffects } from '../../src/core/export/plan'
import { siteSchema } from '../../src/core/site/site'
import { effectOf, settingsOf } from './alone'
import { classIn, type Form } from './forms'
import type { Judged } from './judge'

/** Feels by which all is where it should be at once. */
const atOnce = { follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }

/** The effects that are judged by the core on a form; `isDirect` has them follow at once. */
export function judgedOn(form: Form, isDirect: boolean): readonly Judged[] {
  const on = (word: string) => `.${classIn(form, word)}`
  const settings = (kind: string, changes: object = {}) => {
    const own = settingsOf(kind) as Readonly<Record<string, unknown>>
    const direct = Object.fromEntries(Object.entries(atOnce).filter(([key]) => key in own))
    return settingsOf(kind, { ...(isDirect ? { ...direct, ...('back' in own ? { back: null } : {}) } : {}), ...changes })
  }
  return [
    {
      kind: 'tilt',
      select: on('pot'),
      settings: settings('tilt', { sheenPercent: 30, scalePercent: 4 }),
      reads: 'padding',
      ...(form.potOn === undefined ? {} : { ownOn: form.potOn }),
    },
    {
      kind: 'drift',
      select: on('sky'),
      settings: settings('drift', { layers: [{ id: 'layer-1', amount: 22 }, { id: 'layer-2', amount: 6 }], turnDeg: 3 }),
      roles: { 'layer-1': { select: on('near'), noun: 'near' }, 'layer-2': { select: on('far'), noun: 'far' } },
      reads: 'padding',
    },
    { kind: 'fold', select: on('motto'), settings: settings('fold'), reads: 'padding' },
    {
      kind: 'follow',
      select: on('bird'),
      settings: settings('follow'),
      roles: { ground: { select: on('field'), noun: 'field' } },
      reads: 'padding',
    },
    {
      kind: 'wipe',
      select: on('first'),
      settings: settings('wipe', { directionDeg: 100 }),
      roles: {
        back: { select: on('later'), noun: 'night' },
        rider: { select: on('rider'), noun: 'rider' },
        ground: { select: on('sides'), noun: 'sides' },
      },
      reads: 'padding',
    },
    { kind: 'spotlight', select: on('night'), settings: settings('spotlight'), reads: 'padding' },
    { kind: 'glow', select: on('lamp'), settings: settings('glow'), reads: 'border' },
    { kind: 'grain-light', select: on('dusk'), settings: settings('grain-light'), reads: 'padding' },
  ] // prettier-ignore
}

/** The wash over the picture, told by the stylesheet alone. */
export const washOn = (form: Form, isDirect: boolean): unknown =>
  effectOf('wash', `.${classIn(form, 'print')}`, settingsOf('wash', isDirect ? { comeMs: 0, goMs: 0 } : {}), {
    roles: { text: { select: `.${classIn(form, 'line')}`, noun: 'line' } },
  })

export const effectsOf = (judged: readonly Judged[]): readonly unknown[] =>
  judged.map(({ kind, select, settings, roles }) => effectOf(kind, select, settings, roles ? { roles } : {}))

/** What the effects go by on a page: the beginnings of their classes and properties. */
export function namesOn(effects: readonly unknown[]): readonly string[] {
  const page = { id: 'page', name: 'A page', source: 'e'.repeat(64) }
  const site = siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects })
  return planEffects(site, 'page').map(({ names }) => names.name)
}

/** All that is computed of all elements of the page but custom properties, and where they lie, as a text each; of what was added nothing. */
export function computedOfAll(): readonly string[] {
  for (const each of document.getAnimations()) {
    // What goes on by itself stands, and what is on its way is there.
    if (each instanceof CSSTransition) each.finish()
    else {
      each.pause()
      each.currentTime = 500
    }
  }
  return [...document.querySelectorAll('body, body *')]
    .filter((element) => !element.closest('[data-part], glass-moth-overlay, script'))
    .map((element) => {
      const style = getComputedStyle(element)
      const { x, y, width, height } = element.getBoundingClientRect()
      const values = [...style].filter((name) => !name.startsWith('--')).map((name) => `${name}: ${style.getPropertyValue(name)}`)
      return JSON.stringify([element.localName, x, y, width, height, ...values])
    })
}
