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
    for (const effect of effects) {
      guarded(effect, drawEffect, t)
    }
  }

  function drawEffect(effect, t) {
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      frames.clear()
      measured = t
      for (const effect of effects) findAll(effect)
    }
    pointer.time = t
    const isOut = type === 'pointerout' || type === 'pointercancel'
    if (type.startsWith('pointer')) {
      pointer.x = clientX
      pointer.y = clientY
      pointer.over = isOut ? null : target
    } else {
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    for (const effect of effects) {
      guarded(effect, meetEffect, t)
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll(effect) {
    const areas = new Set(
      [...document.querySelectorAll(effect.select)],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute(effect.mark)
      }
    if (effect.findsAll)
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
    if (!effect.findsAll) {
      const hit = over?.closest(effect.select)
      if (hit && !effect.places.has(hit)) begin(effect, hit)
    }
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest(effect.notForeign) !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        place.isOn = has
        // Turns all that follows the pointer in a place to where it should be now.
        const t = pointer.time
        // The pointer as an element sees it.
        const frame = frameOf(place.area)
        const { x, y } = frame.toFrame.transformPoint(pointer)
        const at = { ...frame, x, y, t, place }
        place.moves = true
        for (const follower of place.followers) turnValue(follower, at)
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
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: !!effect.stands,
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

  function turnValue(follower, at) {
    const { value } = follower
    const reading = at.place.isOn ? value.read(at, follower) : 0
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const t = at.t
    if (reading !== follower.target) {
      const { gap, speed } = underdamped(follower, t)
      Object.assign(follower, { target: reading, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(effect, place) {
    place.element.setAttribute(effect.mark, '')
    for (const target of effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : []) target.setAttribute(effect.mark, '')
    if (effect.parts) {
      // Adds the parts of an effect to an element, once.
      const host = place.area
      const parts = effect.parts
      const made = new Map()
      if (getComputedStyle(host).position === 'static') {
        host.style.position = 'relative'
      }
      for (const part of parts) {
        const home = (part.inside && made.get(part.inside)) || host
        made.set(part.part, addPart(host, home, part))
      }
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute(effect.mark)) mark(effect, place)
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = underdamped(follower, t)
      for (const target of targetsOf(place, value)) target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(4))
      if (moves) place.moves = true
    }
    if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
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

  // Does something with an effect. One that cannot go on is turned off, and named once; the others play on.
  function guarded(effect, act, t) {
    try {
      act(effect, t)
    } catch (error) {
      effects.splice(effects.indexOf(effect), 1)
      console.error(`${effect.name} was turned off:`, error)
    }
  }

  // The elements that a value is written on.
  function targetsOf(
    place,
    { within, onParts },
  ) {
    return [...(within ? place.element.querySelectorAll(within) : []), ...(onParts ? place.area.querySelectorAll(onParts) : [])]
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

  const effects = [
    // A corner at 44% folds the motto, its walls slanted by 17° and the second one in 40% shade; the words slide by 9% against the pointer.
    {
      select: '.motto',
      name: 'motto-fold',
      mark: 'data-motto-fold',
      notForeign: '.motto, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      parts: [{ part: 'motto-fold-wall-1' }, { part: 'motto-fold-words-1', inside: 'motto-fold-wall-1', copies: true }, { part: 'motto-fold-wall-2' }, { part: 'motto-fold-words-2', inside: 'motto-fold-wall-2', copies: true }, { part: 'motto-fold-shade', inside: 'motto-fold-wall-2' }],
      places: new Map(),
      values: [
        { property: '--motto-fold-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), onParts: ':scope > .motto-fold-wall-1 > .motto-fold-words-1, :scope > .motto-fold-wall-2 > .motto-fold-words-2' },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .sky .sky-near, .sky .sky-far',
      seenWithin: '.sky-near, .sky-far',
      places: new Map(),
      values: [
        { property: '--sky-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), within: '.sky-near, .sky-far' },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    guarded(effect, standIn, pointer.time)
  }
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
