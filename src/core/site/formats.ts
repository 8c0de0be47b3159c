// Older formats of a site's document. glass-moth/1 called some fields, settings and knobs by other names.
import type { Op, Patch, Path } from './patch'

type Fields = Readonly<Record<string, unknown>>
type Names = Readonly<Record<string, string>>

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value)

const settingNames: Names = {
  eyePx: 'perspectivePx',
  growPercent: 'scalePercent',
  sheenWay: 'sheenDirection',
  way: 'direction',
  turns: 'facing',
  finger: 'touch',
  calm: 'reducedMotion',
  windows: 'windowWidth',
}

/** What the values of some settings are called now, by the setting's older name. */
const settingValues: Readonly<Record<string, Names>> = {
  sheenWay: { opposite: 'against', along: 'with' },
  finger: { rest: 'none' },
  calm: { still: 'stop' },
}

/** What knobs are called now, by kind; those of a rig by hand keep the names that they were given. */
const knobNames: Readonly<Record<string, Names>> = {
  tilt: { eye: 'perspective', grow: 'scale', 'sheen-way': 'sheen-travel' },
  drift: { grow: 'scale' },
}

/** Fields by their present names, each value as `change` has it. */
function renamed(fields: unknown, names: Names, change: (value: unknown, older: string) => unknown = (value) => value): unknown {
  if (!isFields(fields)) return fields
  return Object.fromEntries(Object.entries(fields).map(([key, value]) => [nameIn(names, key), change(value, key)]))
}

const nameIn = (names: Names, name: string): string => (Object.hasOwn(names, name) ? (names[name] ?? name) : name)

/** The members of a rig by hand, by their list: what one of them says now. */
const rigMembers: Readonly<Record<string, (member: Fields) => Fields>> = {
  areas: ({ beyond, ...area }) =>
    beyond === 'fellows' ? { ...area, beyond: area.select } : beyond === undefined ? area : { ...area, beyond },
  parts: ({ covers, whileOn, ...part }) => ({
    ...part,
    ...(covers === undefined ? {} : { box: covers }),
    ...(whileOn ? { lives: 'on' } : {}),
  }),
  // What bore the knobs now does so by itself.
  rules: (rule) => Object.fromEntries(Object.entries(rule).filter(([key]) => key !== 'bearsKnobs')),
}

const upgradeSettings = (settings: unknown): unknown =>
  renamed(settings, settingNames, (value, older) => {
    const member = Object.hasOwn(rigMembers, older) ? rigMembers[older] : undefined
    if (member && Array.isArray(value)) return value.map((each: unknown) => (isFields(each) ? member(each) : each))
    const values = Object.hasOwn(settingValues, older) ? settingValues[older] : undefined
    return values && typeof value === 'string' ? nameIn(values, value) : value
  })

function upgradeBinding(binding: unknown): unknown {
  if (!isFields(binding) || !isFields(binding.to) || typeof binding.to.control !== 'string') return binding
  return { ...binding, to: { ...binding.to, control: nameIn(settingNames, binding.to.control) } }
}

/** An effect of glass-moth/1, or as much of one as there is, in the present format. `kind` counts where it names none itself. */
export function upgradeEffect(effect: unknown, kind?: string): unknown {
  if (!isFields(effect)) return effect
  const named = typeof effect.kind === 'string' ? effect.kind : kind
  const knobs = knobNames[named ?? ''] ?? {}
  const upgraders: Readonly<Record<string, (value: unknown) => unknown>> = {
    settings: upgradeSettings,
    own: (own) => renamed(own, knobs),
    ties: (ties) => renamed(ties, settingNames, upgradeBinding),
    narrow: (narrow) => (isFields(narrow) ? { ...narrow, values: renamed(narrow.values, knobs) } : narrow),
    tries: (tries) =>
      Array.isArray(tries)
        ? tries.map((each: unknown) => (isFields(each) ? { ...each, settings: upgradeSettings(each.settings) } : each))
        : tries,
  }
  return renamed(effect, { own: 'overrides', ties: 'bindings' }, (value, key) =>
    Object.hasOwn(upgraders, key) ? upgraders[key]?.(value) : value,
  )
}

const olderSite = 'glass-moth/1'

/** A site's document in the present format `format`; what is in no older one is given back as it is. */
export function upgradeSite(document: unknown, format: string): unknown {
  if (!isFields(document) || document.format !== olderSite) return document
  const { effects } = document
  return { ...document, format, effects: Array.isArray(effects) ? effects.map((each) => upgradeEffect(each)) : effects }
}

const olderPreset = 'glass-moth-preset/1'

/** A preset in the present format `format`; what is in no older one is given back as it is. */
export function upgradePreset(document: unknown, format: string): unknown {
  if (!isFields(document) || document.format !== olderPreset) return document
  return { ...document, format, effect: upgradeEffect(document.effect) }
}

/** A patch that was made on a document of glass-moth/1, for the same document in the present format. `kindOf` gives the kind of an effect. */
export function upgradePatch(patch: Patch, kindOf: (effectId: string) => string | undefined): Patch {
  return patch.map((op): Op => {
    const [list, item, ...rest] = op.at
    if (list !== 'effects' || op.do === 'order') return op
    if (item === undefined) return op.do === 'set' ? op : { ...op, item: upgradeEffect(op.item) }
    if (typeof item === 'string') return op
    const kind = kindOf(item.id)
    const within = (value: unknown) => upgradeWithin(rest, value, kind)
    const { path } = within(undefined)
    const at = [list, item, ...path]
    if (op.do === 'set')
      return { do: 'set', at, ...('from' in op ? { from: within(op.from).value } : {}), ...('to' in op ? { to: within(op.to).value } : {}) }
    const [upgraded]: readonly unknown[] = [within([op.item]).value].flat()
    return { ...op, at, item: upgraded }
  })
}

/** The way to a value inside an effect and the value, upgraded: as much of the effect is put up as the way leads through. */
function upgradeWithin(path: Path, given: unknown, kind: string | undefined): { readonly path: Path; readonly value: unknown } {
  const whole = path.reduceRight<unknown>(
    (inside, step) => (typeof step === 'string' ? { [step]: inside } : [withId(step.id, inside)]),
    given,
  )
  let value = upgradeEffect(whole, kind)
  const upgraded = path.map((step) => {
    if (typeof step !== 'string') {
      value = Array.isArray(value) ? value[0] : undefined
      return step
    }
    const fields = isFields(value) ? value : {}
    const name = Object.keys(fields).find((key) => key !== 'id' || step === 'id') ?? step
    value = fields[name]
    return name
  })
  return { path: upgraded, value }
}

const withId = (id: string, fields: unknown): Fields => ({ id, ...(isFields(fields) ? fields : {}) })
