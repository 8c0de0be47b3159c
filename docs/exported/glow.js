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
    // Takes the pointer to the elements of an effect that have it, and away from those that had it.
    const over = pointer.over
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area), effect.insets) && isMet(over, area))
      : []
    for (const place of all) {
      const has = holding.includes(place)
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        turnPlace(place, pointer.time, arrives)
        if (arrives || !has) place.comesUntil = pointer.time + ((has ? 180 : 420) ?? 0)
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
        element.removeAttribute('data-card-glow')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(area, area)
      }
  }

  // Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can.
  function isMet(over, area) {
    const isOnIt = (element) => hasPointer(frameOf(element))
    if (isOnIt(area)) return over.contains(area) || over.closest('.card') !== null
    return true
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
    if (!place.element.hasAttribute('data-card-glow')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-glow', '')
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
    if ((place.element.getAttribute('data-card-glow') === 'on') !== place.isOn)
      place.element.setAttribute('data-card-glow', place.isOn ? 'on' : '')
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = underdamped(follower, t)
      for (const target of place.area.querySelectorAll(':scope > .card-glow-surface > .card-glow-surface-pool, :scope > .card-glow-edge > .card-glow-edge-pool'))
          target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(3) + 'px')
      if (moves) place.moves = true
    }
    if (t < place.comesUntil) place.moves = true
    showParts(place)
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

  // What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing.
  function showParts({ area, isOn, moves }) {
    for (const part of area.querySelectorAll(':scope > .card-glow-surface, :scope > .card-glow-edge')) part.style.visibility = isOn || moves ? '' : 'hidden'
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

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

  // Over each card, a light of #f2b866, 220px wide, shows on the surface by 22% and along the edge by 90%, from 60px away.
  const effect = {
    insets: () => [-60, -60, -60, -60],
    parts: [{ part: 'card-glow-surface' }, { part: 'card-glow-surface-pool', inside: 'card-glow-surface' }, { part: 'card-glow-surface-tile', inside: 'card-glow-surface-pool' }, { part: 'card-glow-edge' }, { part: 'card-glow-edge-pool', inside: 'card-glow-edge' }, { part: 'card-glow-edge-tile', inside: 'card-glow-edge-pool' }],
    places: new Map(),
    values: [
      { property: '--card-glow-x', read: ({ x }) => x },
      { property: '--card-glow-y', read: ({ y }) => y },
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
