// Free: a rig written by hand. It is told by what it is made of, and each of its knobs, feels and curves is a word.
import type { Rig } from '../../rig/rig'
import { rigSchema } from '../../rig/check'
import { asOneSelector, withSelectors } from '../../rig/resolve'
import type { Slot } from '../../rig/slot'
import type { Control, Piece } from '../control'
import { custom } from '../families'
import { cardSample } from '../samples'
import type { Filled, Kind } from '../kind'
import { freeControls } from './controls'
import { freeRecipes } from './recipes'

/** Names joined as a sentence joins them. */
function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? 'nothing') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
}

/** The rig with the elements that were pointed at: `&` in a selector stands for the effect's own, `&id` for those of a role. */
const fillRoles = (rig: Rig, own: string, filled: Filled): Rig =>
  withSelectors(rig, (select) =>
    select.replace(/&([A-Za-z][\w-]*)?/g, (_, id?: string) => asOneSelector(id === undefined ? own : (filled[id] ?? ':not(*)'))),
  )

/** The words of the sentence: the first numbers, and the first colour or gradient. */
function mainWords(rig: Rig): readonly Control<Rig>[] {
  const own = freeControls(rig).filter(({ id }) => rig.knobs.some((knob) => knob.id === id) || rig.tokens?.some((token) => token.id === id))
  const numbers = own.filter(({ kind }) => kind === 'number')
  const [colour] = own.filter(({ kind }) => kind === 'colour' || kind === 'gradient')
  return colour ? [...numbers.slice(0, 2), colour] : numbers.slice(0, 3)
}

const lowerCase = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

const where = 'where the pointer is'

/** What the pointer gives, as a sentence says it. */
const signalWords: Readonly<Record<Rig['channels'][number]['signal']['of'], string>> = {
  x: where,
  y: where,
  centredX: where,
  centredY: where,
  xPx: where,
  yPx: where,
  distance: 'how far the pointer is',
  angle: 'from where the pointer comes',
  heading: 'where the pointer heads',
  speed: 'the pointer’s speed',
  zone: 'the zone of the pointer',
  nearest: 'what the pointer is nearest to',
  over: 'what the pointer is on',
  overX: 'where what the pointer is on lies',
  overY: 'where what the pointer is on lies',
  overWidth: 'how wide what the pointer is on is',
  overHeight: 'how tall what the pointer is on is',
  inside: 'the pointer being there',
  here: 'the pointer being there',
  pressed: 'a press',
  focus: 'the focus',
  still: 'standing still',
  entrySide: 'the side of entry',
  exitSide: 'the side of leaving',
  past: 'where the pointer was',
  time: 'time',
  look: 'its look',
  wheel: 'the wheel',
  pinch: 'two fingers',
  finger: 'a finger being there',
  chosen: 'what a zone chooses',
  width: 'its width',
  height: 'its height',
  overflowX: 'how much of its content is hidden',
  excessX: 'how much wider it is than the area',
  excessY: 'how much taller it is than the area',
  overflowY: 'how much of its content is hidden',
}

/** What an output changes, as a sentence says it. */
function slotWords(slot: Slot): string {
  switch (slot.on) {
    case 'transform':
      return slot.fn === 'translateZ'
        ? 'its height'
        : slot.fn === 'perspective'
          ? 'its depth'
          : slot.fn.startsWith('translate')
            ? 'its place'
            : slot.fn.startsWith('rotate')
              ? 'its turn'
              : slot.fn.startsWith('scale')
                ? 'its size'
                : 'its slant'
    case 'filter':
      return slot.fn === 'blur' ? 'its blur' : slot.fn === 'brightness' || slot.fn === 'contrast' ? 'its light' : 'its colour'
    case 'opacity':
      return 'how much of it shows through'
    case 'slide':
      return 'its place'
    case 'inset':
      return 'where it is cut'
    case 'shadow':
      return 'its shadow'
    case 'background':
      return 'the light on its ground'
    case 'mask':
    case 'clip':
      return 'what of it is seen'
    case 'property':
      return slot.name
  }
}

const unique = (names: readonly string[]) => [...new Set(names)]

/** The same rig for a card a quarter as large, turning twice as far so that it can be seen: by the units of its knobs, which is all that is known of them. */
function shrunk(rig: Rig): Rig {
  const scale = (unit: string) => (unit === 'px' ? 0.3 : unit === 'deg' ? 2 : 1)
  return { ...rig, knobs: rig.knobs.map((knob) => ({ ...knob, value: knob.value * scale(knob.unit) })) }
}

export const free: Kind<Rig> = {
  id: 'free',
  title: 'Free',
  does: 'Signals of the pointer drive any properties, by hand.',
  suits: [],
  alsoCalled: ['custom', 'own signals'],
  family: custom,
  sample: cardSample,
  settings: rigSchema,
  defaults: {
    areas: [{ id: 'area', of: 'each', select: 'body', box: 'live', among: 'one', pointer: 'any', touch: 'none' }],
    channels: [],
    knobs: [],
    outputs: [],
    parts: [],
    rules: [],
  },
  roles: ({ roles }) => [{ id: 'element', title: 'element', needs: 'yours' }, ...(roles ?? [])],
  controls: (rig) => {
    const shown = new Set(mainWords(rig).map(({ id }) => id))
    return freeControls(rig).map((control): typeof control =>
      shown.has(control.id) ? control : { ...control, row: /-(frequency|damping|past)$/.test(control.id) ? 'exact' : 'more' },
    )
  },
  forSample: shrunk,
  recipes: freeRecipes,
  sentence: (rig) => {
    const { channels, outputs, roles = [] } = rig
    const words = mainWords(rig)
    const others: Piece[] = roles.flatMap((role): Piece[] => [` with `, { role: role.id }])
    const causes = unique(channels.map(({ signal }) => signalWords[signal.of]))
    const told = `, ${listed(causes)} ${causes.length > 1 ? 'set' : 'sets'} ${listed(unique(outputs.map(({ slot }) => slotWords(slot))))}`
    return [
      'Over ',
      { role: 'element' },
      ...others,
      told,
      ...words.flatMap((control, i): Piece[] => [i === 0 ? ': ' : ', ', `${lowerCase(control.title)} `, { control: control.id }]),
      '.',
    ]
  },
  time: (rig) => {
    const [first] = rig.channels.filter(({ chain, signal }) => chain === undefined && signal.of !== 'look')
    if (!first) return []
    return first.feel.kind === 'direct'
      ? ['Follows ', { control: `${first.id}-feel` }, '.']
      : ['Follows ', { control: `${first.id}-feel` }, ', in ', { control: `${first.id}-feel-time` }, '.']
  },
  answers: {
    touch: 'As each of its areas says.',
    keyboard: 'Where its looks take the keyboard, the focus shows what the pointer shows.',
    reducedMotion: 'What travels, turns or grows stays as when away; light and states go on.',
    noScript: 'The page stands as designed.',
  },
  turned: (rig) => rig,
  awayPlace: () => undefined,
  withAwayPlace: (rig) => rig,
  feels: ({ channels }) => {
    const [first] = channels.filter(({ feel }) => feel.kind !== 'direct')
    const follow = first?.feel ?? { kind: 'direct' }
    const back = first?.going ?? follow
    return { follow, back, come: follow, go: back }
  },
  expand: (rig, select, filled = {}) => fillRoles(rig, select, filled),
  lacks: ['strength', 'insets', 'touch'],
}
