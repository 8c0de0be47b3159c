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
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest('.card') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        turnPlace(place, pointer.time, arrives)
        if (arrives || !has) place.comesUntil = pointer.time + ((has ? 320 : 900) ?? 0)
      }
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-grain-light')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(area, area)
      }
  }

  function standIn(t) {
    findAll()
    for (const place of effect.places.values()) if (place.moves && write(place, t)) wake()
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
      moves: true,
      comesUntil: 0,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
    })),
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(place.area)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    if (arrives && at.t >= at.place.comesUntil) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const t = at.t
    if (reading !== follower.target) {
      const { gap, speed } = underdamped(follower, t)
      Object.assign(follower, { target: reading, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-grain-light')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-grain-light', '')
      // Adds the parts of an effect to an element, once.
      const host = place.area
      const parts = effect.parts
      const made = new Map()
      for (const part of parts) {
        const home = (part.inside && made.get(part.inside)) || host
        made.set(part.part, addPart(home, part))
      }
    }
    // How it comes and goes is in the stylesheet.
    if ((place.element.getAttribute('data-card-grain-light') === 'on') !== place.isOn)
      place.element.setAttribute('data-card-grain-light', place.isOn ? 'on' : '')
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = underdamped(follower, t)
      for (const target of place.area.querySelectorAll(':scope > .card-grain-light-ground > .card-grain-light-sheet'))
          target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(3) + 'px')
      if (moves) place.moves = true
    }
    if (t < place.comesUntil) place.moves = true
    return place.moves
  }

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    home,
    { part },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    home.append(element)
    return element
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
      moves: fade * Math.hypot(gap, push) >= 0.01,
    }
  }

  // Under each card lies a linear-gradient(155deg, #22303a 0%, #3b4a41 55%, #6d5a3c 100%) with 34% of light grain, and under the pointer a light of #ffd9a0, 360px wide and 36% strong.
  const effect = {
    parts: [{ part: 'card-grain-light-ground' }, { part: 'card-grain-light-sheet', inside: 'card-grain-light-ground' }, { part: 'card-grain-light-light', inside: 'card-grain-light-sheet' }, { part: 'card-grain-light-specks', inside: 'card-grain-light-ground' }],
    places: new Map(),
    values: [
      { property: '--card-grain-light-x', read: ({ x, width }) => x - width / 2 },
      { property: '--card-grain-light-y', read: ({ y, height }) => y - height / 2 },
    ],
  }

  // What is seen without the pointer stands from the start.
  standIn(pointer.time)
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
