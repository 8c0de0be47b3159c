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
      frames.clear()
      measured = t
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
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest('.card .ground, .card') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        place.isOn = has
        turnPlace(place, pointer.time)
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
        element.removeAttribute('data-card-follow')
      }
    for (const area of areas) {
        const elements = [...area.querySelectorAll('.card')]
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
      target: limited ? limited(0) : 0,
      since: 0,
      gap: 0,
      speed: 0,
    })),
    }
    places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t) {
    place.moves = true
    // The pointer as an element sees it.
    // Where the values of a place are read.
    const box = place.element
    const frame = box ? frameOf(box) : frameOf(place.area)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) {
      const { value } = follower
      const reading = at.place.isOn ? value.read(at, follower) : 0
      const target = limited ? limited(reading) : reading
      turn(
          follower,
          target,
          at.t,
        )
    }
  }

  // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
  function turn(follower, target, t) {
    if (target !== follower.target) {
      const { gap, speed } = critical(follower, t)
      Object.assign(follower, { target, since: t, gap: gap + follower.target - target, speed })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-follow')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-follow', '')
    }
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = critical(follower, t)
      place.element.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(2) + 'px')
      if (moves) place.moves = true
    }
    return place.moves
  }

  const decay = 2 * Math.PI * 3.571
  // Settles in 260 ms.
  // A spring that reaches its mark soonest without passing it, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function critical({ gap, speed, since }, t) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = speed + decay * gap
    return {
      gap: fade * (gap + push * s),
      speed: fade * (speed - decay * push * s),
      moves: fade * (Math.abs(gap) + Math.abs(push) * (s + 1 / decay)) >= 0.12,
    }
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function frameOf(element) {
    const known = frames.get(element)
    if (known) return known
    // Where an element would lie if it were not slid: its size is that of the box that is seen.
    const { x, y, width, height } = element.getBoundingClientRect()
    const { e, f } = new DOMMatrix(getComputedStyle(element).transform)
    const frame = { toFrame: new DOMMatrix([1, 0, 0, 1, e - x, f - y]), width, height }
    frames.set(element, frame)
    return frame
  }

  const limited = (value) => Math.min(600, Math.max(-600, value))

  // In its what it stands in, each card goes wherever the pointer goes, by at most 600px across and 600px up and down; it leans by 0°.
  const places = new Map()
  const values = [
    { property: '--card-follow-x', read: ({ x, width }) => x - width / 2 },
    { property: '--card-follow-y', read: ({ y, height }) => y - height / 2 },
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
