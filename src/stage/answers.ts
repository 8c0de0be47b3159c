// What the page answers to the studio's questions.
import type { Seen, SeenAsked } from '../core/check/seen'
import { tell } from '../core/check/told'
import { readFacts, type Asked, type PageFacts, type PageRead } from '../core/compile/page-facts'
import { findAll } from '../play/find'
import { stillBoxOf } from './boxes'
import { colourNamesOf, coloursOf, isClear } from './colours'
import { heldFrom, readPage } from './facts'
import { flattenedBy } from './flat'
import { cornersOf, hugsItsContents, isInLine, rowOf } from './row'
import { liftCss } from './lift'
import type { Numbers } from './numbers'
import type { AnswerTo, QuestionType, ToStageOf } from './protocol'

/** Of how many matches of a selector it is told at most where they lie. */
const mostBoxes = 400

/** The colour that an element stands on: its own, or the nearest around it. */
function groundOf(element: Element): string {
  for (let each: Element | null = element; each; each = each.parentElement) {
    const { backgroundColor } = getComputedStyle(each)
    if (!isClear(backgroundColor)) return backgroundColor
  }
  return 'rgb(255, 255, 255)'
}

type Answers = { readonly [Type in QuestionType]: (question: ToStageOf<Type>) => AnswerTo<Type> }

/** Gives a function that answers. `ownSheets` are ours and not the page's; `heldBack` is what was held back of the page. */
export function makeAnswers(
  page: Document,
  numbers: Numbers,
  ownSheets: () => readonly CSSStyleSheet[],
  heldBack: Readonly<Record<string, number>>,
  look: (asked: SeenAsked) => Seen | 'busy' | null,
): (question: ToStageOf<QuestionType>) => unknown {
  const isOurs = (sheet: CSSStyleSheet) => ownSheets().includes(sheet)
  const all = (select: string) => findAll(page, select) ?? []
  // The page's own sheets stay as they came, so they are read once, when first asked about.
  let readOnce: PageRead<Element> | undefined
  const read = () => (readOnce ??= readPage(page, isOurs, heldFrom(heldBack)))
  let factsOnce: ((asked: Asked) => PageFacts) | undefined
  const answers: Answers = {
    facts: ({ asked }) => (factsOnce ??= readFacts(read()))(asked),
    told: ({ asked }) => tell(read(), numbers.of, asked),
    seen: ({ asked }) => look(asked),
    grounds: ({ select }) => all(select).map(groundOf),
    colours: () => coloursOf(page),
    'colour-names': () => colourNamesOf(page, ownSheets),
    boxes: ({ selects }) => ({
      window: { width: innerWidth, height: innerHeight },
      elements: Object.fromEntries(
        selects.map((select) => [
          select,
          all(select)
            .slice(0, mostBoxes)
            .map((element) => stillBoxOf(element)),
        ]),
      ),
    }),
    flat: ({ select }) =>
      all(select)
        .map(flattenedBy)
        .find((by) => by !== null) ?? null,
    inline: ({ select }) => isInLine(all(select)[0]),
    hugs: ({ select, container }) =>
      all(select)
        .slice(0, mostBoxes)
        .some((element) => hugsItsContents(element, container)),
    corners: ({ select }) => cornersOf(all(select)[0]),
    row: ({ select }) => rowOf(all(select)),
    lift: ({ number }) => {
      const element = numbers.at(number)
      return element ? liftCss(page, element, isOurs) : ''
    },
  }
  return (question) => (answers[question.type] as (question: ToStageOf<QuestionType>) => unknown)(question)
}
