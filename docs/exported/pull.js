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
    meetEffect()
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-pull')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(area, area)
      }
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect() {
    const over = pointer.over
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area), effect.insets) && (over.contains(area) || over.closest('.card, .card .inner') !== null))
      : []
    // How far it has to reach for the pointer, and those that have to reach the least.
    const wayTo = ({ area }) => {
      const { toFrame, width, height } = frameOf(area)
      const { x, y } = toFrame.transformPoint(pointer)
      return Math.max(0, -x, x - width, -y, y - height)
    }
    const ways = holding.map(wayTo)
    const near = holding.filter((_, i) => ways[i] === Math.min(...ways))
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? near.find((place) => place.isOn) ?? near.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        place.isOn = has
        turnPlace(place, pointer.time)
      }
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

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: false,
      followers: effect.values.map((value) => ({
      value,
      target: limited ? limited(0) : 0,
      since: 0,
      gap: 0,
      speed: 0,
    })),
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(place.area)
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
      const { gap, speed } = underdamped(follower, t)
      Object.assign(follower, { target, since: t, gap: gap + follower.target - target, speed })
    }
  }

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(place) {
    place.element.setAttribute('data-card-pull', '')
    for (const target of [place.element, ...(place.element.querySelectorAll('.card .inner'))]) target.setAttribute('data-card-pull', '')
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-pull')) mark(place)
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = underdamped(follower, t)
      for (const target of [place.element, ...(place.element.querySelectorAll('.card .inner'))])
          target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(3) + 'px')
      if (moves) place.moves = true
    }
    return place.moves
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

  const limited = (value) => Math.min(87.5, Math.max(-87.5, value))

  const decay = 2 * Math.PI * 2.9 * 0.62
  const swing = 2 * Math.PI * 2.9 * Math.sqrt(1 - 0.62 ** 2)
  // Settles in 328 ms, 8 % overshoot.
  // A spring that swings past its mark, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function underdamped({ gap, speed, since }, t) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = (speed + decay * gap) / swing
    const [cos, sin] = [Math.cos(swing * s), Math.sin(swing * s)]
    return {
      gap: fade * (gap * cos + push * sin),
      speed: fade * (speed * cos - (decay * push + swing * gap) * sin),
      moves: fade * Math.hypot(gap, push) >= 0.0175,
    }
  }

  // From 48px around it each card comes 32% of the way to the pointer, at most 28px; its content 14% more.
  const effect = {
    insets: () => [-48, -48, -48, -48],
    places: new Map(),
    values: [
      { property: '--card-pull-x', read: ({ x, width }) => x - width / 2 },
      { property: '--card-pull-y', read: ({ y, height }) => y - height / 2 },
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
