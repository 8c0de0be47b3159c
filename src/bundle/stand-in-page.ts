// A page of boxes for scripts that are played without a browser: elements that lie somewhere, events, frames and a clock.
import vm from 'node:vm'
import type { Box } from '../core/geometry/box'
import { holdsPoint } from '../core/geometry/box'
import type { Boxes } from '../core/rig/evaluate'
import { eventTypes, type Sample } from '../core/signal/sample'

/** Of a 2D matrix what scripts use: window to element. */
class Matrix {
  constructor(readonly m: readonly [number, number, number, number, number, number] = [1, 0, 0, 1, 0, 0]) {
    if (!Array.isArray(m)) this.m = [1, 0, 0, 1, 0, 0]
  }
  multiply({ m: [A, B, C, D, E, F] }: Matrix): Matrix {
    const [a, b, c, d, e, f] = this.m
    return new Matrix([a * A + c * B, b * A + d * B, a * C + c * D, b * C + d * D, a * E + c * F + e, b * E + d * F + f])
  }
  scale(x: number, y = x): Matrix {
    return this.multiply(new Matrix([x, 0, 0, y, 0, 0]))
  }
  translate(x: number, y: number): Matrix {
    return this.multiply(new Matrix([1, 0, 0, 1, x, y]))
  }
  inverse(): Matrix {
    const [a, b, c, d, e, f] = this.m
    const size = a * d - b * c
    return new Matrix([d / size, -b / size, -c / size, a / size, (c * f - d * e) / size, (b * e - a * f) / size])
  }
  transformPoint({ x = 0, y = 0 }: { x?: number; y?: number }) {
    const [a, b, c, d, e, f] = this.m
    return { x: a * x + c * y + e, y: b * x + d * y + f, w: 1 }
  }
}

/** An element of the page: a box that some selectors match. */
export interface StandIn {
  readonly selects: readonly string[]
  readonly box: () => Box
  readonly parent: StandIn | undefined
  /** What was written on it, by property; attributes too. */
  readonly values: Map<string, string>
}

const stylesOf = {
  transform: 'none',
  position: 'relative',
  borderTopWidth: '0px',
  borderRightWidth: '0px',
  borderBottomWidth: '0px',
  borderLeftWidth: '0px',
  borderTopLeftRadius: '0px',
  borderTopRightRadius: '0px',
  borderBottomRightRadius: '0px',
  borderBottomLeftRadius: '0px',
}

/** A sample as a browser tells it. */
const eventOf = (sample: Sample, target: object) => ({
  type: eventTypes[sample.phase],
  timeStamp: sample.t,
  clientX: sample.x,
  clientY: sample.y,
  target,
  relatedTarget: null,
  buttons: sample.buttons,
  pointerType: eventTypes[sample.phase].startsWith('pointer') ? sample.pointerType : undefined,
  isPrimary: true,
  key: sample.key,
  ctrlKey: sample.phase === 'pinch',
  deltaY: sample.phase === 'pinch' ? -100 * Math.log(sample.by ?? 1) : sample.by,
  preventDefault: () => undefined,
})

/**
 * A page with these boxes, by selector; those of `inner` lie in an element of `outer`, as evaluate() has it: in the first that holds their
 * middle, else in the first of all.
 */
export function makePage(boxes: Boxes, outer = '', inner = '') {
  const whole: StandIn = { selects: [':root'], box: () => ({ x: 0, y: 0, ...boxes.window }), parent: undefined, values: new Map() }
  const make = (select: string, index: number, parent: StandIn): StandIn => ({
    selects: [select],
    box: () => boxes.elements[select]?.[index] ?? { x: 0, y: 0, width: 0, height: 0 },
    parent,
    values: new Map(),
  })
  const outers = (boxes.elements[outer] ?? []).map((_, i) => make(outer, i, whole))
  const home = ({ x, y, width, height }: Box) =>
    outers.find((each) => holdsPoint(each.box(), x + width / 2, y + height / 2)) ?? outers[0] ?? whole
  const others = Object.keys(boxes.elements)
    .filter((select) => select !== outer)
    .flatMap((select) => (boxes.elements[select] ?? []).map((box, i) => make(select, i, select === inner ? home(box) : whole)))
  const elements = [...outers, ...others]
  const faces = new Map<StandIn, object>()
  const lies = (element: StandIn, within: StandIn): boolean =>
    element === within || (element.parent !== undefined && lies(element.parent, within))
  const matches = (element: StandIn, select: string) => select === '*' || select.split(', ').some((each) => element.selects.includes(each))
  const standInOf = (face: object) => [...faces].find(([, each]) => each === face)?.[0]
  const faceOf = (element: StandIn): object => {
    const known = faces.get(element)
    if (known) return known
    const face = {
      isConnected: true,
      style: {
        setProperty: (name: string, value: string) => element.values.set(name, value),
        removeProperty: (name: string) => element.values.delete(name),
      },
      dataset: {},
      getBoundingClientRect: () => {
        const { x, y, width, height } = element.box()
        return { x, y, width, height, left: x, top: y, right: x + width, bottom: y + height }
      },
      get offsetWidth() {
        return element.box().width
      },
      get offsetHeight() {
        return element.box().height
      },
      get clientWidth() {
        return element.box().width
      },
      get scrollWidth() {
        const { width, content } = element.box()
        return Math.max(width, content?.width ?? 0)
      },
      get scrollHeight() {
        const { height, content } = element.box()
        return Math.max(height, content?.height ?? 0)
      },
      get clientHeight() {
        return element.box().height
      },
      removeAttribute: (name: string) => element.values.delete(name),
      hasAttribute: (name: string) => element.values.has(name),
      getAttribute: (name: string) => element.values.get(name) ?? null,
      setAttribute: (name: string, value: string) => element.values.set(name, value),
      dispatchEvent: () => true,
      contains: (other: object | null) => {
        const inside = other && standInOf(other)
        return !!inside && lies(inside, element)
      },
      closest: (select: string) => {
        for (let each: StandIn | undefined = element; each; each = each.parent) if (matches(each, select)) return faceOf(each)
        return null
      },
      matches: (select: string) => select === ':focus-visible' || matches(element, select),
      querySelectorAll: (select: string) =>
        elements.filter((each) => each !== element && lies(each, element) && matches(each, select)).map(faceOf),
    }
    faces.set(element, face)
    return face
  }
  /** The element that is hit at a point: what lies in the last of the outer ones that hold it, or that one, else the page itself. */
  const hitAt = (x: number, y: number) => {
    const hit = outers.findLast((each) => holdsPoint(each.box(), x, y))
    return faceOf(others.findLast((each) => hit && each.parent === hit && holdsPoint(each.box(), x, y)) ?? hit ?? whole)
  }
  const document = {
    documentElement: faceOf(whole),
    elementFromPoint: hitAt,
    querySelectorAll: (select: string) => [whole, ...elements].filter((each) => matches(each, select)).map(faceOf),
    querySelector: (select: string) => document.querySelectorAll(select)[0] ?? null,
  }
  let listeners: ((event: object) => void)[] = []
  let asked: ((now: number) => void)[] = []
  const globals = {
    document,
    DOMMatrix: Matrix,
    Math,
    Map,
    Set,
    Object,
    Infinity,
    NaN,
    console,
    addEventListener: (type: string, listener: (event: { type: string }) => void) =>
      listeners.push((event) => (event as { type: string }).type === type && listener(event as { type: string })),
    requestAnimationFrame: (callback: (now: number) => void) => asked.push(callback),
    getComputedStyle: () => stylesOf,
  }
  return {
    outers,
    others,
    play: (script: string): unknown => vm.runInNewContext(script, globals),
    /** Hears samples as one event: the moves among them are coalesced, and all are told to have hit what the last one hit. */
    hear: (samples: readonly Sample[]) => {
      const last = samples.at(-1)
      if (!last) return
      const target = hitAt(last.x, last.y)
      const group = samples.map((sample) => eventOf(sample, target))
      const event = { ...group.at(-1), type: eventTypes[last.phase], getCoalescedEvents: () => (last.phase === 'move' ? group : []) }
      for (const listener of [...listeners]) listener(event)
    },
    frame: (now: number) => {
      const due = asked
      asked = []
      for (const callback of due) callback(now)
    },
    isAsleep: () => asked.length === 0,
    end: () => {
      listeners = []
      asked = []
    },
  }
}
