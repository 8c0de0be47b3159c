// What a script is written from: tables of its effects, and what is known of it as a whole.
import { comingsOf } from '../rig/comings'
import { drivenBy, sharesEye } from '../rig/plan'
import { addedParts, copyOf, droppedBy, goesByNearest, nearOf, saidOver, type Looks } from '../rig/rig'
import { asOneSelector } from '../rig/resolve'
import { keptProperties } from '../rig/slot'
import { doesPress, draftsOf, isNumbered, measureFor, movedBy, type Moved, type Source } from './effects'
import { allowing, type Facts, type Leaving } from './facts'
import { Constants } from './feels'
import { lineComment, quote } from './literal'
import { needsScript } from './needs-script'
import { joinTables, type EffectTable } from './tables'
import type { Fields } from './values'

/** Members of effects and of values that a script may ask for: by their names alone, so none is of both. */
export const effectMembers = [
  'select',
  'name',
  'alsoNamed',
  'mark',
  'notForeign',
  'findsAll',
  'comes',
  'comesMs',
  'goesMs',
  'seenOnSelf',
  'seenWithin',
  'seenLinked',
  'keeps',
  'bareAtRest',
  'stands',
  'isGroup',
  'isWindow',
  'amongAll',
  'beyond',
  'except',
  'insets',
  'bridge',
  'joined',
  'describes',
  'side',
  'align',
  'gapPx',
  'measure',
  'readsIn',
  'readsParts',
  'readsInBox',
  'readsInWindow',
  'fine',
  'playsIn',
  'taps',
  'focuses',
  'arrowKeys',
  'slider',
  'pinches',
  'turnsLooks',
  'goDelayMs',
  'stillMs',
  'atMostOne',
  'takesKeys',
  'staysOn',
  'firstOn',
  'escapes',
  'opensByTap',
  'deeds',
  'linkedLooks',
  'tellsBefore',
  'indexed',
  'chosen',
  'parts',
  'shownWhileOn',
  'meets',
  'byHit',
  'tellsOthers',
  'canvas',
  'paintedBy',
  'isRibbon',
] as const
export const valueMembers = [
  'property',
  'pose',
  'curve',
  'feel',
  'going',
  'band',
  'leave',
  'holds',
  'seenBy',
  'beginsUnseen',
  'links',
  'link',
  'halfLifeMs',
  'goingHalfLifeMs',
  'pieces',
  'lagMs',
  'axis',
  'paints',
  'nears',
  'isLength',
  'isOfParts',
  'due',
  'isEndless',
  'bySize',
  'byLook',
  'timing',
  'start',
  'digits',
  'onSelf',
  'within',
  'linked',
  'onParts',
  'as',
  'zone',
  'slides',
] as const

/** What is written by hand of a script, and what is known of its members: with stand-ins for numbers, since one that is dragged makes no other script. */
export interface Shape {
  readonly main: string
  readonly known: readonly (readonly [name: string, text: string])[]
  readonly takesOff: boolean
  readonly isModule: boolean
}

/** By which shapes are told apart. */
export const keyOf = (shape: Shape): string => JSON.stringify(shape)

/** Effects without what is told of them in comments: with it a number of the stylesheet would make another script. */
export const withoutWords = (sources: readonly Source[]): readonly Source[] => sources.map(({ rig, names }) => ({ rig, names }))

/** A script before it is written. */
export interface ScriptPlan {
  readonly shape: Shape
  /** What the stand-ins stand for. */
  readonly numbers: readonly string[]
}

/** Stands for handing a function out, until the script is written. */
export const handedOut = 'handOut'

/** Numbers that are only carried through: all but 0 and 1, by which something may be of no use, and 2, which formulas have. */
const carried = /(?<![\w.])(\d+\.\d+|\d{2,}|[3-9])(?![\w.])/g
const standIn = (index: number) => `9876543${String(index).padStart(5, '0')}`

/** What these effects ask for on a page of which this is known, as a designer wants it. */
export function planScript(all: readonly Source[], known: Facts, leaving: Leaving = {}): ScriptPlan {
  const sources = all.filter(({ rig }) => needsScript(rig))
  const facts = allowing(known, leaving)
  const constants = new Constants()
  const moved = sources.flatMap(movedBy)
  const comings = comingsOf(sources, facts)
  const tables = joinTables(
    sources.flatMap((source, i) =>
      draftsOf(
        source,
        comings[i] ?? [],
        constants,
        facts,
        (select, box) => measureFor(select, box, moved, facts),
        moved.map(({ select }) => select),
      ),
    ),
  )
  const members = new Map([
    ...givenOf(tables, sources, constants, moved, facts),
    ['takesOff', String(leaving.takesOff === true)] as const,
    ...knownOf(tables),
  ])
  const main = [
    ...constants.lines,
    '',
    writeTables(tables, members),
    '',
    ...(members.get('hasFinds') === 'true' ? ['stand()'] : []),
    ...(members.get('watches') === 'true' ? ['watch()'] : []),
    'listen()',
    ...(leaving.takesOff ? [`${handedOut}(takeOff)`] : []),
    '',
  ].join('\n')
  const numbers: string[] = []
  const indexes = new Map<string, number>()
  const maskCode = (text: string) =>
    text.replaceAll(carried, (value) => {
      const index = indexes.get(value) ?? numbers.push(value) - 1
      indexes.set(value, index)
      return standIn(index)
    })
  // What is told in a comment has nothing to do with what happens to be as much.
  const maskComment = (text: string) => text.replaceAll(/(?<![\w.])\d+(?:\.\d+)?(?![\w.])/g, (value) => standIn(numbers.push(value) - 1))
  const mask = (text: string) =>
    text
      .split('\n')
      .map((line) => {
        const [, code = '', comment = ''] = /^((?:[^/']|'[^'\n]*'|\/(?!\/))*)(.*)$/.exec(line) ?? []
        return maskCode(code) + maskComment(comment)
      })
      .join('\n')
  const shape = {
    main: mask(main),
    takesOff: leaving.takesOff === true,
    isModule: leaving.isModule === true,
    known: [...members].map(([name, text]) => [name, mask(text)] as const),
  }
  return { shape, numbers }
}

/** A script that was written with stand-ins, with the numbers in their places. */
export const withNumbers = (text: string, numbers: readonly string[]): string =>
  text.replaceAll(/9876543(\d{5})/g, (_, index: string) => numbers[Number(index)] ?? '')

/** What is known of the script as a whole. */
function givenOf(
  tables: readonly EffectTable[],
  sources: readonly Source[],
  constants: Constants,
  moved: readonly Moved[],
  { hasBorders, hasPositions, hasOwnStyles, hasInlineStyles, hasTransitions, hasLateElements, hasOwnCode, hasClips, hasEyes }: Facts,
): Fields {
  const some = (field: string) => tables.some(({ fields, values }) => fields.has(field) || values.some((value) => value.has(field)))
  const reads = (word: string) =>
    tables.some(({ values }) => values.some((value) => [...value.values()].some((text) => text.includes(word))))
  const hasLook = (isSo: (looks: Looks) => boolean) =>
    sources.some(({ rig }) => rig.areas.some(({ looks }) => looks !== undefined && isSo(looks)))
  const hasTouch = tables.some(({ fields }) => !fields.has('fine'))
  const hasLooks = some('turnsLooks')
  const heard = [
    'pointermove',
    'pointerover',
    'pointerout',
    ...(hasLooks || some('taps') || reads('pointer.buttons') ? ['pointerdown', 'pointerup'] : hasTouch ? ['pointerup'] : []),
    'pointercancel',
    ...(some('focuses') ? ['focusin', 'focusout'] : []),
    'scroll',
    'resize',
    ...(some('bySize') ? ['load'] : []),
  ]
  const drives = [...new Set(sources.flatMap(({ rig }) => drivenBy(rig)))]
  const kept = drives.filter((property) => property in keptProperties)
  const isGiven = kept.length > 0 && (hasOwnStyles || hasInlineStyles)
  const partsCover = hasBorders && sources.some(({ rig }) => addedParts(rig).some(({ box }) => box))
  const facts = {
    hasTouch,
    staysByTouch: tables.some(({ values }) => values.some((value) => value.get('holds') === quote('touch'))),
    playsByMedia: some('playsIn'),
    hasLooks,
    hasMany: tables.length > 1,
    hasFocus: some('focuses'),
    hasTaps: some('taps'),
    hasKeys: some('arrowKeys') || hasLook(({ escape }) => escape === true),
    hasEscape: hasLook(({ escape }) => escape === true),
    hasArrowKeys: some('arrowKeys'),
    hasWheel: reads('wheeled') || reads('pinched'),
    hasPinch: reads('pinched'),
    hasMedia: sources.some(({ rig }) => rig.states?.some(({ media }) => media) === true),
    restarts: sources.some(({ rig }) => rig.states?.some(({ media }) => media === 'restart') === true),
    tellsOthers: some('tellsOthers'),
    hasByHit: some('byHit'),
    hasByNearest: sources.some(({ rig }) => rig.areas.some(goesByNearest)),
    hasAtMostOne: some('atMostOne'),
    hasDues: some('goDelayMs') || some('stillMs'),
    hasStill: some('stillMs'),
    hasStaying: hasLook(({ stays }) => stays === true),
    hasFirst: hasLook(({ first }) => first !== undefined),
    hasFocusedZones: some('zoneFocus'),
    hasFirstZone: some('zoneFirst'),
    hasJoined: some('joined'),
    placesBeside: some('side'),
    opensByTap: hasLook(({ opensByTap }) => opensByTap === true),
    hasTrack: reads('speedAt') || reads('headingNow') || reads('pastOf') || some('pieces'),
    asksSpeed: reads('speedAt') || reads('headingNow'),
    hasPieces: some('pieces'),
    hasPath: reads('place.entry') || reads('place.exit'),
    asksButtons: hasLooks || reads('pointer.buttons'),
    asksStood: some('stillMs') || reads('isStill'),
    hasValues: tables.some(({ values }) => values.length > 0),
    hasWritten: some('property') || some('paints') || some('nears'),
    partsPaint: some('canvas'),
    paintsRibbon: some('isRibbon'),
    hasUnwritten: tables.some(({ values }) => values.some((value) => !value.has('property'))),
    hasTimed: constants.lines.some((line) => line.includes(' timed(')),
    hasFlows: some('due'),
    hasFinds: some('keeps'),
    hasBorders,
    hasPositions,
    hasOwn: isGiven || hasTransitions,
    readsComputed: hasOwnStyles,
    watchesStyles: isGiven && hasInlineStyles && hasOwnCode,
    hasTransitions,
    hasOthers: tables.some(({ fields }) => fields.has('seenLinked') || fields.has('seenWithin') || fields.has('isGroup')),
    watches: hasLateElements && some('stands'),
    partsCopy: sources.some(({ rig }) => addedParts(rig).some(({ holds }) => holds === 'copy')),
    partsApart: sources.some(({ rig }) => addedParts(rig).some((part) => copyOf(part) === 'apart')),
    partsLive: sources.some(({ rig }) => addedParts(rig).some((part) => copyOf(part) === 'live')),
    partsSharpen: sources.some(({ rig }) => addedParts(rig).some(({ holds }) => typeof holds === 'object' && 'sharper' in holds)),
    sparesSome: sources.some(({ rig }) => rig.states?.some(({ unless }) => unless !== undefined) === true),
    partsAsk: sources.some(({ rig }) => addedParts(rig).some(saidOver)),
    partsRound: sources.some(({ rig }) => addedParts(rig).some((part) => saidOver(part)?.isRound)),
    partsTaken: sources.some(({ rig }) => addedParts(rig).some(({ is }) => is !== undefined)),
    partsNumbered: sources.some(({ rig }) => addedParts(rig).some((part) => isNumbered(rig, part))),
    partsDrop: sources.some(({ rig }) => addedParts(rig).some(droppedBy)),
    partsMeet: some('meets'),
    partsSplit: sources.some(({ rig }) => addedParts(rig).some(({ holds }) => typeof holds === 'object' && 'split' in holds)),
    partsLaid: sources.some(({ rig }) => addedParts(rig).some(({ holds }) => typeof holds === 'object' && 'lay' in holds)),
    laysLines: sources.some(({ rig }) =>
      addedParts(rig).some(({ holds }) => typeof holds === 'object' && 'lay' in holds && holds.lay === 'lines'),
    ),
    lettersAside: sources.some(({ rig }) => addedParts(rig).some((part) => nearOf(part)?.isAside)),
    partsElsewhere: sources.some(({ rig }) => addedParts(rig).some(({ host, is }) => host !== undefined || is !== undefined)),
    partsOnTop: sources.some(({ rig }) => addedParts(rig).some(({ host, is }) => host === 'top' || is !== undefined)),
    partsReached: sources.some(({ rig }) => addedParts(rig).some(({ reached }) => reached)),
    partsSlide: some('slider'),
    partsTell: sources.some(({ rig }) =>
      addedParts(rig).some(({ holds }) => typeof holds === 'object' && ('text' in holds || 'picture' in holds)),
    ),
    partsCover,
    hasClips: partsCover && hasClips,
    partsCount: sources.some(({ rig }) => rig.parts.some(({ count }) => count !== undefined)),
    readsParts: some('readsParts'),
    hasZones: some('zone'),
    hasChosen: reads('isChosen'),
    hasSizes: some('bySize'),
    sharesEye: hasEyes || sources.some(({ rig }) => sharesEye(rig)),
    tells: hasOwnCode,
  }
  const written = tables.flatMap(({ values }) =>
    values
      .filter((value) => value.has('onSelf') || value.has('within') || value.has('linked'))
      .flatMap((value) => value.get('property') ?? []),
  )
  const list = (texts: readonly string[]) => `[${texts.join(', ')}]`
  const lists = {
    heard: list(heard.map(quote)),
    ownProperties: list(isGiven ? kept.map(quote) : []),
    driven: list([...drives.map(quote), ...new Set(written)]),
    pressed: quote(
      [
        ...new Set(
          sources.flatMap(({ rig }) =>
            rig.areas.filter((area) => doesPress(rig, area)).map(({ of, select }) => (of === 'window' ? ':root' : select)),
          ),
        ),
      ].join(', '),
    ),
    moved: quote(moved.map(({ select, mark }) => `${asOneSelector(select)}[${mark}]`).join(', ')),
  }
  return new Map([...Object.entries(lists), ...Object.entries(facts).map(([name, value]) => [name, String(value)] as const)])
}

/** Members that none of the tables has, or all have alike. */
function knownOf(tables: readonly EffectTable[]): Fields {
  const values = tables.flatMap((table) => table.values)
  const known = new Map<string, string>()
  const note = (members: readonly string[], all: readonly Fields[]) => {
    for (const member of members) {
      const texts = new Set(all.map((fields) => fields.get(member) ?? 'undefined'))
      const [text = 'undefined'] = texts
      // Functions and lists are written once, where they are given.
      if (texts.size <= 1 && /^[\w$.-]+$|^'[^'\n]*'$/.test(text)) known.set(member, text)
    }
  }
  note(
    effectMembers,
    tables.map(({ fields }) => fields),
  )
  note(valueMembers, values)
  // A value that is followed has these of its own too: they may become others.
  const has = (member: string) => values.some((value) => value.has(member))
  const ownFollower = values.some((value) => value.get('read')?.includes('hereNow'))
  if (has('going') || has('timing') || ownFollower) known.delete('feel')
  if (ownFollower) known.delete('band')
  if (has('goingHalfLifeMs')) known.delete('halfLifeMs')
  // What looks do is done with elements of its own.
  const deeds = tables.map(({ fields }) => fields.get('deeds') ?? '').join('')
  for (const member of ['onSelf', 'within', 'linked', 'onParts'])
    if (deeds.includes(`${member}: `) || (deeds !== '' && known.get(member) !== 'undefined')) known.delete(member)
  return known
}

const writeFields = (fields: Fields, known: Fields) =>
  [...fields].filter(([name]) => !known.has(name)).map(([name, text]) => `${name}: ${text}`)

function writeTables(tables: readonly EffectTable[], known: Fields): string {
  const write = ({ fields, values }: EffectTable) => [
    '{',
    ...writeFields(fields, known).map((member) => `  ${member},`),
    '  places: new Map(),',
    '  values: [',
    ...values.map((value) => `    { ${writeFields(value, known).join(', ')} },`),
    '  ],',
    '},',
  ]
  const told = ({ sentences }: EffectTable) => sentences.map(lineComment)
  const [only] = tables
  // Of one effect alone it is said before it, where it stays when the effect is taken out of its list.
  if (only && tables.length === 1) return [...told(only), 'const effects = [', ...write(only).map((line) => `  ${line}`), ']'].join('\n')
  return ['const effects = [', ...tables.flatMap((table) => [...told(table), ...write(table)]).map((line) => `  ${line}`), ']'].join('\n')
}
