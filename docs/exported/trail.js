(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    time: 0,
  }

  // What happened since the last frame.
  const events = []

  let nextFrame = 0
  const wake = () => {
    nextFrame ||= requestAnimationFrame(draw)
  }

  // First all is read, then all is written: the page is laid out once a frame.
  function draw(now) {
    nextFrame = 0
    for (const event of events.splice(0)) meet(event)
    const t = Math.max(now, pointer.time)
    for (const place of effect.places.values()) if (place.moves && write(place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      forgetFrames(t)
      findAll()
    }
    pointer.time = t
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel'
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
    } else {
      // Where the pointer stands while the page moves is where it was then.
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    // Takes the pointer to the elements of an effect that have it, and away from those that had it.
    const over = pointer.over
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => holds() && (over.contains(area) || over.closest('.card') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        turnPlace(place, pointer.time, arrives)
      }
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [...document.querySelectorAll('.card')].slice(0, 1),
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-trail')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(area, area)
      }
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height }, insets) {
    const { x, y } = toFrame.transformPoint(pointer)
    const [above, after, below, before] = insets ? insets(width, height) : [0, 0, 0, 0]
    return (
      x >= before - 1 / 64 && x <= width - after + 1 / 64 && y >= above - 1 / 64 && y <= height - below + 1 / 64
    )
  }

  // In the window a point is where it is.
  const asItIs = new DOMMatrix()

  const measureWindow = () => ({ toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight })

  // Whether the pointer is on an area: on its element, on one of a group, or on what is bridged or joined to it.
  function holds() {
    const isOnSome = (elements, insets) =>
      [...elements].some((element) => hasPointer(frameOf(element, plain), insets))
    return isOnSome(document.querySelectorAll('.card'), undefined)
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: false,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
      gaps: new Array(value.links ?? 0).fill(0),
      halfLifeMs: value.halfLifeMs,
    })),
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(document, measureWindow)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (value.links && arrives && (seen && !valueAt(seen, at.t)))
      follower.gaps?.fill(0)
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    if (value.links) turnChain(follower, reading, (at.place.isOn ? value.halfLifeMs : undefined) ?? value.halfLifeMs ?? 1, at.t)
    else {
      // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
      const feel = at.place.isOn ? value.feel : (value.going ?? value.feel)
      const t = at.t
      if (reading !== follower.target || feel !== follower.feel) {
        const { gap, speed } = follower.feel(follower, t)
        shorten(follower, reading, gap)
        Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
      }
    }
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  const set = (target, value, shown) =>
    target.style.setProperty(value.property, shown.toFixed(value.digits) + (value.isLength ? 'px' : ''))

  // What a value is written on: parts are looked for once, as long as they are there.
  function seenOnParts(place, follower) {
    if (!follower.seen?.[0]?.isConnected) follower.seen = [...targetsOf(place, follower.value)]
    return follower.seen
  }

  // Writes the links of a chain: one of them, or each on an element of its own.
  function writeChain(place, chain, t) {
    const { value } = chain
    const last = (value.links ?? 1) - 1
    let k = 0
    for (const target of value.isOfParts ? seenOnParts(place, chain) : targetsOf(place, value))
      set(target, value, linkAt(chain, Math.min(k++, last), t))
    if (motionOf(chain, last, t).moves) place.moves = true
  }

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(place) {
    place.element.setAttribute('data-card-trail', '')
    for (const target of []) target.setAttribute('data-card-trail', '')
    // Adds the parts of an effect to an element, once.
    const host = place.area
    const parts = effect.parts
    const made = new Map()
    for (const part of parts) {
      const home = (part.inside && made.get(part.inside)) || (part.host ? homeOf(part.host) : host)
      made.set(part.part, addPart(home, part))
      for (let n = 1; n < (part.count ?? 1); n++) addPart(home, part)
      if (part.isNumbered)
        home.querySelectorAll(`:scope > .${part.part}`).forEach(({ style }, n) => {
          style.setProperty(`--${part.part}-index`, String(n))
        })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-trail')) mark(place)
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      if (value.links) writeChain(place, follower, t)
      else {
        const { gap, moves } = follower.feel(follower, t)
        for (const target of value.isOfParts ? seenOnParts(place, follower) : targetsOf(place, value))
            set(target, value, moves ? follower.target + gap : follower.target)
        if (moves) place.moves = true
      }
    }
    if (place.isOn) stayOnTop()
    showParts(place)
    return place.moves
  }

  // What lies over all else goes over what has come there since: a dialog, a popover, what fills the screen.
  function stayOnTop() {
    const top = pointer.over?.closest(':modal, :popover-open, :fullscreen') ?? null
    if (top === effect.under) return
    effect.under = top
    if (!top) return
    for (const { part, host, is } of effect.parts ?? []) {
      if (host !== 'top' && !is) continue
      for (const element of document.querySelectorAll(`.${part}`)) {
        element.hidePopover()
        element.showPopover()
      }
    }
  }

  // Where on the page a part stands that does not stand in its area.
  const homeOf = (host) =>
    host === 'top' ? document.body : (document.querySelector(host) ?? document.body)

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    home,
    { part, host: place },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    home.append(element)
    if (place === 'top') {
      element.popover = 'manual'
      element.showPopover()
    }
    return element
  }

  // What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing.
  function showParts({ area, isOn, moves }) {
    for (const part of partsOf(area, '.card-trail-pieces')) part.style.visibility = isOn || moves ? '' : 'hidden'
  }

  // The parts of an area that a selector means: in it, or elsewhere on the page.
  const partsOf = (area, select) =>
    !select.includes(':scope')
      ? document.querySelectorAll(select)
      : [...area.querySelectorAll(select), ...document.querySelectorAll(select.replaceAll(':scope', ':not(*)'))]

  // What link k of a chain of equal glides is missing after so many half-lives: e^-x * sum over j of x^j / j! * gap(k - j). It is at rest where the
  // sizes of all of them come to less than what can be seen, once every one of them falls.
  function motionOf({ gaps = [], halfLifeMs = 1, since, band }, k, t) {
    const x = (Math.LN2 * Math.max(0, t - since)) / halfLifeMs
    let [gap, bound, term] = [0, 0, Math.exp(-x)]
    for (let j = 0; j <= k; j++) {
      const missing = term * (gaps[k - j] ?? 0)
      gap += missing
      bound += Math.abs(missing)
      term *= x / (j + 1)
    }
    return { gap, moves: bound > band || (bound > 0 && x < k) }
  }

  // Where link k is: at the target, once it is too near to be seen apart.
  function linkAt(chain, k, t) {
    const { gap, moves } = motionOf(chain, k, t)
    return moves ? chain.target + gap : chain.target
  }

  // Turns a chain to a new target: each link goes on from where it is.
  function turnChain(chain, target, halfLifeMs, t) {
    if (chain.target === target && chain.halfLifeMs === halfLifeMs) return
    const gaps = (chain.gaps ?? []).map((_, k) => linkAt(chain, k, t) - target)
    Object.assign(chain, { target, halfLifeMs, gaps, since: t })
  }

  // cubic-bezier(x1, y1, x2, y2): the time is found by Newton's method inside a shrinking bracket. Outside 0..1 it holds.
  function bezier() {
    const on = (a, b, s) => 3 * (1 - s) * s * ((1 - s) * a + s * b) + s ** 3
    return (share) => {
      let [low, high, s] = [0, 1, share]
      for (let step = 0; step < 40; step++) {
        const error = on(0.2, 0.2, s) - share
        if (error > 0) high = s
        else low = s
        const next = s - error / (3 * (1 - s) ** 2 * 0.2 + 6 * (1 - s) * s * (0.2 - 0.2) + 3 * s * s * (1 - 0.2))
        s = next > low && next < high ? next : (low + high) / 2
      }
      return on(0.7, 1, s)
    }
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function forgetFrames(t) {
    frames.clear()
    measured = t
  }

  function frameOf(element, measure) {
    const known = frames.get(element)
    if (known) return known
    const frame = measure(element)
    frames.set(element, frame)
    return frame
  }

  // Where an element lies that nothing turns or moves.
  function plain(element) {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
  }

  const rest = { gap: 0, speed: 0, moves: false }
  // The value itself, at once.
  const direct = () => rest

  // The elements that a value is written on.
  function targetsOf(
    place,
    { onParts },
  ) {
    return [...(onParts ? partsOf(place.area, onParts) : [])]
  }

  // From where it is to the target in a given time, after a delay.
  function timed(
    { gap, since, share: part = 1 },
    t,
    durationMs,
  ) {
    const share = (t - since) / (durationMs * part)
    return gap && share < 1 ? { gap: gap * (1 - (share > 0 ? ease(share) : 0)), speed: 0, moves: true } : rest
  }

  // What turns back to where it came from takes its time for as much of the way as it has gone, as transitions do.
  function shorten(follower, target, missing) {
    const { gap, share = 1, from = NaN, band } = follower
    const isBack = missing && gap && Math.abs(target - from) <= band
    follower.share = isBack ? Math.min(1, Math.abs((1 - missing / gap) * share + 1 - share)) : 1
    follower.from = isBack ? follower.target : follower.target + missing
  }

  const ease = bezier()
  const comes = (follower, t) => timed(follower, t, 120)
  const goes = (follower, t) => timed(follower, t, 320)

  // Behind the pointer over each card, dots, 9 pieces from 18px to 5px in #c98b5a; they follow one another.
  const effect = {
    parts: [{ part: 'card-trail-pieces', host: 'top' }, { part: 'card-trail-piece', inside: 'card-trail-pieces', count: 9, isNumbered: true }],
    places: new Map(),
    values: [
      { property: '--card-trail-x', read: ({ x }) => x, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 9, halfLifeMs: 19.4081210557, seenBy: 2, onParts: '.card-trail-pieces > .card-trail-piece', isOfParts: true },
      { property: '--card-trail-y', read: ({ y }) => y, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 9, halfLifeMs: 19.4081210557, seenBy: 2, onParts: '.card-trail-pieces > .card-trail-piece', isOfParts: true },
      { property: '--card-trail-here', read: () => 1, band: 0.0001, digits: 5, feel: comes, going: goes, onParts: '.card-trail-pieces' },
    ],
  }

  // What is seen without the pointer stands from the start.
  findAll()
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointercancel', 'scroll', 'resize'])
    addEventListener(
      type,
      (event) => {
        const { relatedTarget, pointerType } = event
        // On its way from one element to another the pointer is not gone.
        if (type === 'pointerout' && relatedTarget) return
        // A finger scrolls the page.
        if (pointerType === 'touch') return
        // A fast mouse moves more than once a frame.
        events.push(...(event.getCoalescedEvents?.().slice(0, -1) ?? []), event)
        wake()
      },
      { passive: true, capture: true },
    )
})()
