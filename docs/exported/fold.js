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
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest('.card') !== null))
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
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-fold')
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
  function turnPlace(place, t) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(place.area)
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

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-fold')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-fold', '')
      // Adds the parts of an effect to an element, once.
      const host = place.area
      const parts = effect.parts
      const made = new Map()
      for (const part of parts) {
        const home = (part.inside && made.get(part.inside)) || host
        made.set(part.part, addPart(host, home, part))
      }
    }
    place.moves = false
    for (const follower of place.followers) {
      const { gap, moves } = underdamped(follower, t)
      for (const target of place.area.querySelectorAll(':scope > .card-fold-wall-1 > .card-fold-words-1, :scope > .card-fold-wall-2 > .card-fold-words-2'))
          target.style.setProperty('--card-fold-x', (moves ? follower.target + gap : follower.target).toFixed(4) + '')
      if (moves) place.moves = true
    }
    return place.moves
  }

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    host,
    home,
    { part, copies },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    if (copies) keepCopy(host, element)
    home.append(element)
    return element
  }

  const isPart = (node) => node.dataset?.part === ''
  // Fills a part, now and whenever what its host holds has changed.
  function keepFilled(host, fill) {
    const isOwn = (node) => !(node instanceof Element ? node : node.parentElement)?.closest('[data-part]')
    fill()
    const observer = new MutationObserver((records) => {
      if (records.some(({ target, addedNodes, removedNodes }) => isOwn(target) && ![...addedNodes, ...removedNodes].some(isPart))) fill()
    })
    observer.observe(host, { subtree: true, childList: true, characterData: true })
  }

  // Fills a part with what its host holds; nobody can focus, select or hear it.
  function keepCopy(host, part) {
    part.inert = true
    keepFilled(host, () => {
      part.replaceChildren(...[...host.childNodes].filter((node) => !isPart(node)).map((node) => node.cloneNode(true)))
      for (const element of part.querySelectorAll('[id]')) element.removeAttribute('id')
    })
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
      moves: fade * Math.hypot(gap, push) >= 0.0002,
    }
  }

  // A corner at 42% folds each card, its walls slanted by 26° and the second one in 30% shade; the words slide by 12% against the pointer.
  const effect = {
    parts: [{ part: 'card-fold-wall-1' }, { part: 'card-fold-words-1', inside: 'card-fold-wall-1', copies: true }, { part: 'card-fold-wall-2' }, { part: 'card-fold-words-2', inside: 'card-fold-wall-2', copies: true }, { part: 'card-fold-shade', inside: 'card-fold-wall-2' }],
    places: new Map(),
    values: [
      { read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)) },
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
