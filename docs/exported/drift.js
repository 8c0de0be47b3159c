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
    const hit = over?.closest('.card')
    if (hit && !places.has(hit)) begin(hit)
    const all = [...places.values()]
    const holding = over
      ? all.filter(({ element }) => hasPointer(frameOf(element)) && (over.contains(element) || over.closest('.card, .card .layer-1, .card .layer-2') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ element }) => element.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.element === first?.element
      if (has || place.isOn) {
        place.isOn = has
        turnPlace(place, pointer.time)
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

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area) {
    const place = {
      element: area,
      isOn: false,
      moves: false,
      followers: values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
    })),
    }
    places.set(area, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(place.element)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) {
      const { value } = follower
      const reading = at.place.isOn ? value.read(at, follower) : 0
      turn(
          follower,
          reading,
          at.t,
        )
    }
  }

  // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
  function turn(follower, target, t) {
    if (target !== follower.target) {
      const { gap, speed } = underdamped(follower, t)
      Object.assign(follower, { target, since: t, gap: gap + follower.target - target, speed })
    }
  }

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(place) {
    place.element.setAttribute('data-card-drift', '')
    for (const target of place.element.querySelectorAll('.card .layer-1, .card .layer-2')) target.setAttribute('data-card-drift', '')
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-drift')) mark(place)
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = underdamped(follower, t)
      for (const target of place.element.querySelectorAll('.card .layer-1, .card .layer-2'))
          target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(4) + '')
      if (moves) place.moves = true
    }
    if (!place.moves && !place.isOn) places.delete(place.element)
    return place.moves
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

  const decay = 2 * Math.PI * 2.27 * 0.715
  const swing = 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)
  // Settles in 416 ms, 4 % overshoot.
  // A spring that swings past its mark, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function underdamped({ gap, speed, since }, t) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = (speed + decay * gap) / swing
    const [cos, sin] = [Math.cos(swing * s), Math.sin(swing * s)]
    return {
      gap: fade * (gap * cos + push * sin),
      speed: fade * (speed * cos - (decay * push + swing * gap) * sin),
      moves: fade * Math.hypot(gap, push) >= 0.0002,
    }
  }

  // In each card, its first layer slides by 22px and its second layer by 6px, against the pointer, both ways.
  const places = new Map()
  const values = [
    { property: '--card-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)) },
    { property: '--card-drift-y', read: ({ y, height }) => Math.min(1, Math.max(-1, 2 * y / height - 1)) },
  ]

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
