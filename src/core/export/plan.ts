// What an export is made of: each effect of the site with its number, name, rig and sentence.
import { cssUnitOf } from '../effect/unit'
import type { Piece } from '../effect/control'
import { tellValue } from '../effect/tell'
import { expandEffect, filledIn, findKind } from '../effect/kinds'
import type { Names } from '../rig/plan'
import type { Rig } from '../rig/rig'
import { playsOn, type Effect, type Site } from '../site/site'
import { withBindings } from '../site/bindings'
import { cssNumber } from './css-value'
import { namesOf, wordOf } from './names'
import { withShared } from './share'

/** One effect on its way out. */
export interface PlannedEffect {
  readonly number: number
  readonly names: Names
  readonly rig: Rig
  readonly sentence: string
  /** What single matches have of their own, by knob or token. */
  readonly overrides?: Effect['overrides']
  /** What some of them are in narrow windows. */
  readonly narrow?: Effect['narrow']
  /** The named values that knobs and tokens show, each so many times. */
  readonly named?: Readonly<Record<string, { readonly name: string; readonly css: string; readonly times: number }>>
}

const plannedOf = new WeakMap<Site, Map<string, readonly PlannedEffect[]>>()

/** The effects of a site that play, or of one of its pages; `only` leaves out all but one effect. The same site gives the same answer, to whoever asks. */
export function planEffects(site: Site, pageId?: string, only?: string): readonly PlannedEffect[] {
  const known = plannedOf.get(site) ?? new Map<string, readonly PlannedEffect[]>()
  plannedOf.set(site, known)
  const key = JSON.stringify([pageId, only])
  const planned = known.get(key) ?? makePlanned(withBindings(site), pageId, only)
  known.set(key, planned)
  return planned
}

function makePlanned(site: Site, pageId?: string, only?: string): readonly PlannedEffect[] {
  const names = namesOf(site.effects)
  return withShared(
    site.effects.flatMap((effect, index) => {
      if (!playsOn(effect, pageId) || (only !== undefined && effect.id !== only)) return []
      const name = names[index] ?? 'effect'
      const { rig, sentence } = madeOf(effect)
      return [
        {
          number: index + 1,
          names: { title: `Effect ${index + 1}, ${name}`, name, roles: wordsOfRoles(effect, rig) },
          rig,
          sentence,
          overrides: effect.overrides,
          narrow: effect.narrow,
          named: namedIn(site, effect, rig),
        },
      ]
    }),
  )
}

const made = new WeakMap<Effect, Pick<PlannedEffect, 'rig' | 'sentence'>>()

/** What hangs on an effect alone. The same effect gives the same answer: of twenty, one is made anew while a number is dragged. */
function madeOf(effect: Effect): Pick<PlannedEffect, 'rig' | 'sentence'> {
  const known = made.get(effect) ?? { rig: expandEffect(effect), sentence: tellEffect(effect) }
  made.set(effect, known)
  return known
}

/** The word of the element that fills a role whose id is that of a knob: of `.plate .moth` it is `moth`, of `.sky .sky-near` in the effect `sky` it is `near`; no two are alike. */
function wordsOfRoles(effect: Effect, { knobs }: Rig): Readonly<Record<string, string>> {
  const own = wordOf(effect.select)
  const roles = filledIn(effect)
  const isTold = (role: string) => knobs.some(({ id }) => id === role || id.startsWith(`${role}-`))
  // A selector that says only where an element stands has no word for it.
  const hasWord = (role: string) => /(^|[\s>+~])[^\s>+~:[*][^\s>+~]*$/.test(roles[role] ?? '')
  const told = Object.keys(roles).filter((role) => isTold(role) && hasWord(role))
  const taken = new Set(knobs.map(({ id }) => id))
  return Object.fromEntries(
    told.map((role) => {
      const whole = wordOf(roles[role] ?? '')
      const word = whole.startsWith(`${own}-`) ? whole.slice(own.length + 1) : whole
      const free = [word, ...Array.from({ length: told.length + 1 }, (_, i) => `${word}-${i + 2}`)].find((each) => !taken.has(each)) ?? role
      taken.add(free)
      return [role, free]
    }),
  )
}

/** Which knobs and tokens of an effect show a named value of the site as it stands, or a multiple of it. */
function namedIn({ values = [] }: Site, effect: Effect, rig: Rig): NonNullable<PlannedEffect['named']> {
  const bound = Object.entries(effect.bindings ?? {})
  const controls = bound.length === 0 ? [] : (findKind(effect.kind)?.controls(effect.settings) ?? [])
  return Object.fromEntries(
    bound.flatMap(([id, { to, times }]) => {
      const named = 'value' in to ? values.find((each) => each.id === to.value) : undefined
      const control = controls.find((each) => each.id === id)
      const knob = control?.kind === 'number' && control.per === undefined ? rig.knobs.find((each) => each.id === control.knob) : undefined
      if (named && knob && typeof named.value === 'number' && knob.unit === cssUnitOf(named.unit) && knob.value === named.value * times)
        return [[knob.id, { name: named.name, css: `${cssNumber(named.value)}${cssUnitOf(named.unit)}`, times }]]
      const token =
        control?.kind === 'colour' || control?.kind === 'gradient' ? rig.tokens?.find((each) => each.id === control.token) : undefined
      return named && typeof named.value === 'string' && token?.value === named.value
        ? [[token.id, { name: named.name, css: named.value, times: 1 }]]
        : []
    }),
  )
}

/** The effect's sentence in plain text. */
export function tellEffect(effect: Effect): string {
  const kind = findKind(effect.kind)
  if (!kind) return effect.name
  const controls = kind.controls(effect.settings)
  const word = (piece: Piece): string => {
    if (typeof piece === 'string') return piece
    if ('role' in piece) {
      const roles = kind.roles(effect.settings)
      return (
        effect.roles?.[piece.role]?.noun ??
        (piece.role === roles[0]?.id ? effect.noun : (roles.find(({ id }) => id === piece.role)?.title ?? piece.role))
      )
    }
    const control = controls.find(({ id }) => id === piece.control)
    return control ? tellValue(control, effect.settings) : ''
  }
  return kind.sentence(effect.settings).map(word).join('')
}
