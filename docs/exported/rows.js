(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    fromX: 0,
    fromY: 0,
    over: null,
    buttons: 0,
    isTouch: false,
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
    for (const effect of effects) {
      guarded(effect, drawEffect, t)
    }
  }

  function drawEffect(effect, t) {
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      forgetFrames(t)
      for (const effect of effects) findAll(effect)
    }
    pointer.time = t
    if (type.startsWith('focus')) {
      for (const effect of effects)
        meetFocus(effect, type === 'focusin' && target.matches(':focus-visible') ? target : null)
      return
    }
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
      // A pointer that comes has no way behind it.
      ;[pointer.fromX, pointer.fromY] = pointer.over || isOut ? [pointer.x, pointer.y] : [clientX, clientY]
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.buttons = buttons
      pointer.isTouch = pointerType === 'touch'
    } else {
      // Where the pointer stands while the page moves is where it was then.
      ;[pointer.fromX, pointer.fromY] = [pointer.x, pointer.y]
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    isTap = type === 'pointerup' && pointer.isTouch && t - finger.t <= 500 && Math.hypot(pointer.x - finger.x, pointer.y - finger.y) <= 10
    if (type === 'pointerdown') finger = { x: pointer.x, y: pointer.y, t }
    for (const effect of effects) {
      meetTap(effect, target)
      guarded(effect, meetEffect, t)
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll(effect) {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-rows')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(effect, area, area)
      }
  }

  function standIn(effect, t) {
    findAll(effect)
    if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect(effect) {
    const over = pointer.over
    // Which the pointer hits, and which it hit before: of others nothing has to be known.
    const hit = over?.closest('.card')
    const now = hit ? effect.places.get(hit) : undefined
    const near = new Set([effect.hit, now])
    effect.hit = now
    const all = [...near].filter((each) => each !== undefined)
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area, plain)) && (over.contains(area) || over.closest('.card, .card .on, .card .off') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        if (arrives || !has) noteSide(place, frameOf(place.area, plain), arrives)
        place.isOn = has
        turnPlace(effect, place, pointer.time, arrives)
        followCauses(effect, place, pointer.time)
      }
    }
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height }) {
    const { x, y } = toFrame.transformPoint(pointer)
    return (
      x >= -1 / 64 && x <= width + 1 / 64 && y >= -1 / 64 && y <= height + 1 / 64
    )
  }

  // In the window a point is where it is.
  const asItIs = new DOMMatrix()

  const measureWindow = () => ({ toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight })

  // Where the values of a place are read.
  function readFrame(effect, place) {
    if (effect.readsInWindow) return frameOf(document, measureWindow)
    return frameOf(place.area, plain)
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: !!effect.stands,
      focused: false,
      followers: effect.values.map((value) => ({
      value,
      target: value.pose,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
      look: { state: 'off', shown: 'off', before: 'off', dueAt: Infinity, tapped: false },
      entry: [0, 3, 0],
      exit: [0, 3, 0],
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(effect, place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = readFrame(effect, place)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds) return
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : value.pose
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    if (value.start && reading !== follower.reading && !follower.feel(follower, at.t).moves) {
      const start = value.start(at)
      if (start !== undefined) Object.assign(follower, { target: start, gap: 0, speed: 0 })
    }
    follower.reading = reading
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = value.byLook ? feelByLook(value, at.place) : at.place.isOn ? value.feel : (value.going ?? value.feel)
    const t = at.t
    if (reading !== follower.target || feel !== follower.feel) {
      const { gap, speed } = follower.feel(follower, t)
      shorten(follower, reading, gap)
      Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  const set = (target, value, shown) =>
    target.style.setProperty(value.property, value.as ? String(value.as(shown)) : shown.toFixed(value.digits) + (value.isLength ? 'px' : ''))

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(effect, place) {
    place.element.setAttribute('data-card-rows', '')
    for (const target of effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : []) target.setAttribute('data-card-rows', '')
    if (effect.parts && !(effect.meets)) addParts(place.area, effect.parts)
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute('data-card-rows')) mark(effect, place)
    place.moves = false
    if (effect.meets) meetParts(effect, place)
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = follower.feel(follower, t)
      if (value.property)
        for (const target of targetsOf(place, value))
          set(target, value, moves ? follower.target + gap : follower.target)
      if (moves) place.moves = true
    }
    if (effect.meets && !place.moves) meetParts(effect, place)
    showLook(place)
    return place.moves
  }

  // Adds the parts of an effect to an element, once.
  function addParts(host, parts) {
    const made = new Map()
    for (const part of parts) {
      const home = (part.inside && made.get(part.inside)) || host
      made.set(part.part, addPart(host, home, part))
    }
  }

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    host,
    home,
    { part, told, source, attribute, passes },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    if (told) keepTold(host, element, told, source, attribute, !(passes))
    home.append(element)
    return element
  }

  // Parts that are there only with the pointer come with it, and are gone once all has come to rest; of more places than may have them the oldest one loses them.
  function meetParts(effect, place) {
    const alive = (effect.alive ??= [])
    const isWanted = place.look.shown !== 'off'
    const isThere = alive.includes(place)
    if (isWanted && !isThere) {
      addParts(place.area, effect.parts ?? [])
      alive.push(place)
    }
    const ends = alive.length > (effect.meets ?? 1) ? alive.shift() : !isWanted && isThere && !place.moves ? place : undefined
    if (!ends) return
    effect.alive = alive.filter((each) => each !== ends)
    endParts(ends, effect.parts)
  }

  const endParts = ({ area }, parts = []) =>
    parts.forEach(({ part }) => area.querySelectorAll(`:scope > .${part}`).forEach((element) => element.remove()))

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(effect, target) {
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        true
      if (focused !== place.focused) {
        place.focused = focused
        followCauses(effect, place, pointer.time)
        turnPlace(effect, place, pointer.time, false)
      }
    }
  }

  // Where and when a finger went down; whether it has just come up again there.
  let finger = { x: 0, y: 0, t: -Infinity }

  let isTap = false

  // A tap turns on what had the finger, unless it was meant for something else; a tap elsewhere ends that.
  function meetTap(effect, target) {
    if (!isTap) return
    const isPlain = !target.closest('a[href], button, input, select, textarea, summary, label')
    for (const place of effect.places.values()) {
      const tapped = isPlain && place.isOn
      if (tapped === place.look.tapped) continue
      place.look.tapped = tapped
      followCauses(effect, place, pointer.time)
    }
  }

  const isPart = (node) => node.dataset?.part === ''
  // Fills a part, now and whenever what its host holds has changed.
  function keepFilled(host, fill, attribute, isKept = true) {
    const isOwn = (node) => !(node instanceof Element ? node : node.parentElement)?.closest('[data-part]')
    fill()
    if (!isKept) return
    const observer = new MutationObserver((records) => {
      if (records.some(({ target, addedNodes, removedNodes }) => isOwn(target) && ![...addedNodes, ...removedNodes].some(isPart))) fill()
    })
    observer.observe(host, { subtree: true, childList: true, characterData: true })
    if (attribute)
      observer.observe(host, { subtree: true, childList: true, characterData: true, attributeFilter: [attribute] })
  }

  // Fills a part with the text or the picture that its host gives, or an element in it.
  function keepTold(
    host,
    part,
    told,
    source,
    attribute,
    isKept = true,
  ) {
    keepFilled(
      host,
      () => {
        const giver = source ? host.querySelector(source) : host
        const { currentSrc, src } = (giver ?? {})
        // What is not shown may not be loaded yet.
        const own = told === 'picture' ? currentSrc || src : giver?.textContent
        const text = (attribute ? giver?.getAttribute(attribute) : own) ?? ''
        if (told === 'text') part.textContent = text.trim()
        else part.style.backgroundImage = text ? `url("${text.replaceAll('"', '%22')}")` : ''
      },
      attribute,
      isKept,
    )
  }

  const decay = 2 * Math.PI * 3.2
  // Settles in 290 ms.
  // A spring that reaches its mark soonest without passing it, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function critical({ gap, speed, since, band }, t) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = speed + decay * gap
    return {
      gap: fade * (gap + push * s),
      speed: fade * (speed - decay * push * s),
      moves: fade * (Math.abs(gap) + Math.abs(push) * (s + 1 / decay)) >= band,
    }
  }

  // The value of a curve at x. Outside its stretches it holds, or goes on straight.
  function onCurve(stretches, x) {
    const [from, low, to, high, ease] = stretches.findLast(([at]) => at <= x) ?? stretches[0]
    const share = (x - from) / (to - from)
    const held = Math.min(1, Math.max(0, share))
    return low + (high - low) * (ease && share > 0 && share < 1 ? ease(share) : held)
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

  // Does something with an effect. One that cannot go on is turned off, and named once; the others play on.
  function guarded(effect, act, t) {
    try {
      act(effect, t)
    } catch (error) {
      effects.splice(effects.indexOf(effect), 1)
      console.error(`${'card-rows'} was turned off:`, error)
    }
  }

  // What an event makes of a hover state; what is not named changes nothing. `going` still shows what was shown.
  const states = {
    off: { come: 'on' },
    on: { go: 'going', press: 'pressed', rest: 'still', dismiss: 'off' },
    still: { go: 'going', press: 'pressed', move: 'on', dismiss: 'off' },
    pressed: { go: 'going', release: 'on', dismiss: 'off' },
    going: { come: 'on', due: 'off', dismiss: 'off' },
  }
  // Takes an event to a state; tells whether what is shown changed.
  function change(look, event) {
    const next = states[look.state][event]
    if (!next) return false
    look.state = next
    if (next === 'going' || next === look.shown) return false
    look.before = look.shown
    look.shown = next
    return true
  }

  // The feel for the way from the look before to the one that is shown.
  function feelByLook({ feel, going }, { look }) {
    const own = undefined?.find(([from, to]) => to === look.shown && (from === 'any' || from === look.before))
    return own ? own[2] : look.shown === 'off' ? (going ?? feel) : feel
  }

  // The value of a look; of one that has gone off, the pose that it leaves to, which may hang on the side.
  const leftTo = (values, look, pose) =>
    (look?.shown ?? 'off') === 'off' && look?.before !== 'off' ? pose : (values[look?.shown ?? 'off'] ?? 1)

  // The pose that it comes from, where it has just come on.
  const cameFrom = ({ look }, pose) => (look.before === 'off' && look.shown !== 'off' ? pose : undefined)

  function turnLook(place, event, t) {
    const { look } = place
    let changed = change(look, event)
    if (look.state === 'going') {
      if (event === 'go') look.dueAt = t
      if (look.dueAt <= t) changed = change(look, 'due') || changed
    }
    if (look.state === 'on') look.dueAt = Infinity
    else if (look.state !== 'going') look.dueAt = Infinity
    return changed
  }

  // Brings the look of a place in line with the pointer, its buttons, the focus and taps.
  function followCauses(effect, place, t) {
    const { look, isOn } = place
    const wasOff = look.shown === 'off'
    const isCaused = isOn || place.focused || look.tapped
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    const changed = causes.map((event) => turnLook(place, event, t)).includes(true)
    if (changed) show(effect, place, t, wasOff)
  }

  // Follows a look that has changed, in its place and in the others; where one at most is on, the others go off.
  function show(effect, place, t, wasOff = false) {
    const { look } = place
    turnPlace(effect, place, t, false)
    for (const other of effect.places.values()) {
      if (other.area === place.area) continue
      const isDismissed = look.shown !== 'off' && wasOff && turnLook(other, 'dismiss', t)
      if (isDismissed) other.look.tapped = false
      if (isDismissed) turnPlace(effect, other, t, false)
    }
  }

  // Where an element lies that nothing turns or moves.
  function plain(element) {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
  }

  const rest = { gap: 0, speed: 0, moves: false }
  // The value itself, at once.
  const direct = () => rest

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute('data-card-rows') === shown) return
    element.setAttribute('data-card-rows', shown)
  }

  // The share of a way at which it comes between 0 and `length`; -Infinity where it begins there.
  function crossing(from, way, length) {
    if (way > 0 && from < 0) return -from / way
    return way < 0 && from > length ? (length - from) / way : -Infinity
  }

  // The side by which a straight way from outside comes in: 0 top, 1 right, 2 bottom, 3 left; or of one axis alone.
  function sideOf({ width, height }, outside, inner, axis) {
    const [dx, dy] = [inner.x - outside.x, inner.y - outside.y]
    const intoX = axis === 'y' ? -Infinity : crossing(outside.x, dx, width)
    const intoY = axis === 'x' ? -Infinity : crossing(outside.y, dy, height)
    if (intoX > -Infinity || intoY > -Infinity) return intoX > intoY ? (dx > 0 ? 3 : 1) : dy > 0 ? 0 : 2
    // A way that begins inside came by the nearest side.
    const across = axis === 'y' ? Infinity : Math.min(outside.x, width - outside.x)
    const down = axis === 'x' ? Infinity : Math.min(outside.y, height - outside.y)
    return across < down ? (outside.x < width - outside.x ? 3 : 1) : outside.y < height - outside.y ? 0 : 2
  }

  // Notes by which side the pointer came into a place, or left it: of all four, of left and right, of top and bottom.
  function noteSide(place, frame, arrives) {
    const before = frame.toFrame.transformPoint({ x: pointer.fromX, y: pointer.fromY })
    const now = frame.toFrame.transformPoint(pointer)
    const [outside, inner] = arrives ? [before, now] : [now, before]
    const sides = [sideOf(frame, outside, inner), sideOf(frame, outside, inner, 'x'), sideOf(frame, outside, inner, 'y')]
    if (arrives) place.entry = sides
    else place.exit = sides
  }

  // The elements that a value is written on.
  function targetsOf(
    place,
    { onSelf, within, onParts },
  ) {
    return [
      ...(onSelf ? [place.element] : []),
      ...(within ? place.element.querySelectorAll(within) : []),
      ...(onParts ? place.area.querySelectorAll(onParts) : []),
    ]
  }

  // From where it is to the target in a given time, after a delay.
  function timed(
    { gap, since, share: part = 1 },
    t,
  ) {
    const share = (t - since) / (260 * part)
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
  const shown = (x) => onCurve([[-1, 0, 0, 1], [0, 1, 0.0001, -1], [0.0001, -1, 1, 0]], x)

  const effects = [
    // In each card its face when on rolls in from the side of entry, and its face when off is pushed out; its picture rides beside the pointer, 260px wide.
    {
      stands: true,
      seenWithin: '.card .on, .card .off',
      parts: [{ part: 'card-rows-picture', passes: true }, { part: 'card-rows-shot', inside: 'card-rows-picture', told: 'picture', source: '.card .picture', passes: true }],
      meets: 2,
      places: new Map(),
      values: [
        { property: '--card-rows-roll', read: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), leave: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), byLook: true, start: ({ place }) => cameFrom(place, [-1, 1, 1, -1][place.entry[2]]), pose: 1, band: 0.0001, digits: 5, feel: timed, going: timed, within: '.card .on', onParts: ':scope > .card-rows-picture > .card-rows-shot' },
        { property: '--card-rows-roll-translateY', read: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), leave: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), byLook: true, start: ({ place }) => cameFrom(place, [-1, 1, 1, -1][place.entry[2]]), pose: 1, band: 0.0001, feel: timed, going: timed, as: shown, within: '.card .off' },
      ],
    },
    {
      readsInWindow: true,
      places: new Map(),
      values: [
        { read: () => 1, pose: 0, band: 0.0001, digits: 5, feel: direct, going: timed, onSelf: true },
        { property: '--card-rows-x', read: ({ x }) => x, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: critical, seenBy: 0, onParts: ':scope > .card-rows-picture' },
        { property: '--card-rows-y', read: ({ y }) => y, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: critical, seenBy: 0, onParts: ':scope > .card-rows-picture' },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    guarded(effect, standIn, pointer.time)
  }
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'focusin', 'focusout', 'scroll', 'resize'])
    addEventListener(
      type,
      (event) => {
        const { relatedTarget, isPrimary } = event
        // On its way from one element to another the pointer is not gone.
        if (type === 'pointerout' && relatedTarget) return
        // Of several fingers the first one leads.
        if (isPrimary === false) return
        // A fast mouse moves more than once a frame.
        events.push(...(event.getCoalescedEvents?.().slice(0, -1) ?? []), event)
        wake()
      },
      { passive: true, capture: true },
    )
})()
