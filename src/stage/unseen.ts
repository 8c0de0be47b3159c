// What a page hides until a script of its own shows it.
import { AttributeAction, parse, SelectorType, stringify, type Selector } from 'css-what'
import { shareOfWindow } from './cost'
import { atMost, type PageRead } from '../core/compile/page-facts'
import type { Numbers } from './numbers'
import type { FromStageOf } from './protocol'

const most = 40

type Unseen = FromStageOf<'unseen'>['elements'][number]

/** The outermost elements with words or pictures in them that are drawn with no opacity or not at all, and how much of the first window they would fill. */
export function findUnseen(
  page: Document,
  numbers: Numbers,
  read: () => Pick<PageRead<Element>, 'rules' | 'classes'>,
): Pick<FromStageOf<'unseen'>, 'elements' | 'share'> {
  const found: Element[] = []
  const look = (element: Element) => {
    if (found.length >= most) return
    const { opacity, visibility, display } = getComputedStyle(element)
    if (display === 'none') return
    if (opacity === '0' || visibility === 'hidden') {
      const { width, height } = element.getBoundingClientRect()
      if (
        numbers.of(element) !== undefined &&
        width * height > 400 &&
        (element.textContent.trim() !== '' || element.querySelector('img, svg, video') || element.matches('img, video'))
      )
        found.push(element)
      return
    }
    for (const child of element.children) look(child)
  }
  for (const child of page.body.children) look(child)
  if (found.length === 0) return { elements: [], share: 0 }
  const { rules, classes } = read()
  const [showing, known] = [rules.filter(shows), classes()]
  // What a pointer or the focus brings is hidden on purpose.
  const states = showing
    .map(({ select }) => [select, atMost(select)] as const)
    .filter(([select, whole]) => whole !== '' && select !== whole)
  const waiting = found.filter((element) => !states.some(([, whole]) => isOne(element, whole)))
  return {
    elements: waiting.map((element): Unseen => {
      const number = numbers.of(element) ?? -1
      const by = shownBy(element, showing, known)
      const holder = by && numbers.of(by.holder)
      return by && holder !== undefined ? { number, by: { number: holder, class: by.name } } : { number }
    }),
    share: shareOfWindow(waiting, innerWidth, innerHeight),
  }
}

/** Whether a rule may be what shows an element: it gives it an opacity, or has it seen. */
const shows = ({ declarations }: PageRead<Element>['rules'][number]) =>
  declarations.some(
    ([property, value]) => (property === 'opacity' && !/^(0|0%|0\.0*)$/.test(value)) || (property === 'visibility' && value === 'visible'),
  )

/** The class that no element has now, by which one of these rules would come to show an element, and what would have it. */
function shownBy(
  element: Element,
  rules: PageRead<Element>['rules'],
  known: ReadonlySet<string>,
): { readonly holder: Element; readonly name: string } | undefined {
  for (const { select } of rules)
    for (const steps of stepsOf(select)) {
      const missing = steps.filter((step) => isMissing(step, known))
      const [only] = missing
      if (missing.length !== 1 || !only || !('value' in only)) continue
      const at = steps.indexOf(only)
      const end = steps.findIndex((step, i) => i > at && isCombinator(step))
      const whole = without(steps, at)
      if (!isOne(element, stringify([whole]))) continue
      // What stands before a plus or a tilde is not around it.
      if (end >= 0 && steps.slice(end).some(({ type }) => type === SelectorType.Adjacent || type === SelectorType.Sibling)) continue
      const holder = end < 0 ? element : (element.parentElement?.closest(stringify([without(steps.slice(0, end), at)])) ?? undefined)
      if (holder) return { holder, name: only.value }
    }
  return undefined
}

function stepsOf(select: string): readonly Selector[][] {
  try {
    return parse(select)
  } catch {
    return []
  }
}

const isMissing = (step: Selector, known: ReadonlySet<string>) =>
  step.type === SelectorType.Attribute && step.name === 'class' && step.action === AttributeAction.Element && !known.has(step.value)

const isCombinator = ({ type }: Selector) =>
  type === SelectorType.Descendant || type === SelectorType.Child || type === SelectorType.Adjacent || type === SelectorType.Sibling

/** Steps of a selector without one of them. */
function without(steps: readonly Selector[], at: number): Selector[] {
  const simple = (step: Selector | undefined) => step !== undefined && !isCombinator(step)
  const rest = simple(steps[at - 1]) || simple(steps[at + 1])
  return steps.toSpliced(at, 1, ...(rest ? [] : [{ type: SelectorType.Universal, namespace: null } as const]))
}

function isOne(element: Element, select: string): boolean {
  try {
    return element.matches(select)
  } catch {
    return false
  }
}
