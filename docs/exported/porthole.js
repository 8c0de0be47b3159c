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
    for (const place of places.values()) if (place.moves && write(place, t)) wake()
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
    const all = [...places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest('.card .ground') !== null))
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
      [...document.querySelectorAll('.card .ground')],
    )
    for (const [element, place] of places)
      if (!element.isConnected || !areas.has(place.area)) {
        places.delete(element)
        element.removeAttribute('data-card-porthole')
      }
    for (const area of areas) {
        const elements = [...area.querySelectorAll('.card .back')]
        // One in which there is nothing to read has the pointer all the same.
        if (elements.length === 0) elements.push(area)
        for (const element of elements) if (!places.has(element)) begin(area, element)
      }
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height }) {
    const { x, y } = toFrame.transformPoint(pointer)
    return (
      x >= -1 / 64 && x <= width + 1 / 64 && y >= -1 / 64 && y <= height + 1 / 64
    )
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: false,
      followers: element === area ? [] : values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
    }
    places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    // Where the values of a place are read.
    const box = place.element
    const frame = box ? frameOf(box) : frameOf(place.area)
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
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = at.place.isOn ? value.feel : (value.going ?? value.feel)
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

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-porthole')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-porthole', '')
    }
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = follower.feel(follower, t)
      place.element.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(value.digits) + (value.isLength ? 'px' : ''))
      if (moves) place.moves = true
    }
    return place.moves
  }

  const decay = 2 * Math.PI * 7.74
  // Settles in 120 ms.
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

  function frameOf(element) {
    const known = frames.get(element)
    if (known) return known
    // Where an element lies that nothing turns or moves.
    const { left, top, width, height } = element.getBoundingClientRect()
    const frame = { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
    frames.set(element, frame)
    return frame
  }

  const rest = { gap: 0, speed: 0, moves: false }

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
  const comes = (follower, t) => timed(follower, t, 240)
  const goes = (follower, t) => timed(follower, t, 360)

  // In its what it opens in each card opens round the pointer: through a circle of 120px, softened over 0px, one sees what lies behind, its back.
  const places = new Map()
  const values = [
    { property: '--card-porthole-x', read: ({ x }) => x, isLength: true, holds: true, band: 0.01, digits: 3, feel: critical, seenBy: 2 },
    { property: '--card-porthole-y', read: ({ y }) => y, isLength: true, holds: true, band: 0.01, digits: 3, feel: critical, seenBy: 2 },
    { property: '--card-porthole-here', read: () => 1, band: 0.0001, digits: 5, feel: comes, going: goes },
  ]

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
