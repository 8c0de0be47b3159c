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
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel'
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
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
      ? all.filter(({ area }) => hasPointer(frameOf(area, effect.measure)) && (over.contains(area) || over.closest(effect.notForeign) !== null))
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
        const frame = frameOf(place.area, effect.measure)
        const { x, y } = frame.toFrame.transformPoint(pointer)
        const at = { ...frame, x, y, t, place }
        place.moves = true
        for (const follower of place.followers) turnValue(follower, at)
      }
    }
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height, border }) {
    const { x, y } = toFrame.transformPoint(pointer)
    const [top, right, bottom, left] = border
    return (
      x >= -left - 1 / 64 && x <= width + right + 1 / 64 && y >= -top - 1 / 64 && y <= height + bottom + 1 / 64
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
    for (const target of [...(effect.seenOnSelf ? [place.element] : []), ...(effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : [])]) target.setAttribute(effect.mark, '')
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
    // How it comes and goes is in the stylesheet.
    if (effect.comes && (place.element.getAttribute(effect.mark) === 'on') !== place.isOn)
      place.element.setAttribute(effect.mark, place.isOn ? 'on' : '')
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
    { part, coversBorder },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    if (coversBorder && (getComputedStyle(host).overflow === 'visible')) {
      const { borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
      element.style.inset = [borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth].map((width) => `-${width}`).join(' ')
    }
    home.append(element)
    return element
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

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
      console.error(`${effect.name} was turned off:`, error)
    }
  }

  // A padding box: what takes a point of the window to the upper left corner of the border box, and the size of that, without the borders.
  function paddingBox(toBox, width, height, element) {
    const style = getComputedStyle(element)
    const border = [
    parseFloat(style.borderTopWidth) || 0,
    parseFloat(style.borderRightWidth) || 0,
    parseFloat(style.borderBottomWidth) || 0,
    parseFloat(style.borderLeftWidth) || 0,
  ]
    return {
      toFrame: new DOMMatrix([1, 0, 0, 1, -border[3], -border[0]]).multiply(toBox),
      width: width - border[1] - border[3],
      height: height - border[0] - border[2],
      border,
    }
  }

  // Where an element lies that nothing turns or moves.
  function plain(element) {
    const { left, top, width, height } = element.getBoundingClientRect()
    return paddingBox(new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height, element)
  }

  // Where an element would lie if it did not lean: by the box that is seen, less what the lean makes of it.
  function leaning(element) {
    const { offsetWidth: width, offsetHeight: height } = element
    // The box around where a matrix draws an element of this size, about its middle.
    const drawn = new DOMMatrix(getComputedStyle(element).transform)
    const corners = [-0.5, 0.5].flatMap((x) => [-0.5, 0.5].map((y) => drawn.transformPoint({ x: x * width, y: y * height })))
    const [xs, ys] = [corners.map(({ x, w }) => x / w), corners.map(({ y, w }) => y / w)]
    const hull = { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) }
    const box = element.getBoundingClientRect()
    const toBox = new DOMMatrix()
      .translate(width / 2 + hull.left, height / 2 + hull.top)
      .scale((hull.right - hull.left) / box.width, (hull.bottom - hull.top) / box.height)
      .translate(-box.x, -box.y)
    return paddingBox(toBox, width, height, element)
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
    // Over each plate, the edge under the pointer sinks by 10°, seen from 820px, lifted by 18px; the moth floats 42px above it, and 2 more; a sheen of 26% goes against the pointer.
    {
      select: '.plate',
      name: 'plate-tilt',
      mark: 'data-plate-tilt',
      notForeign: '.plate, .plate .moth, .plate .shadow, .plate .label, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      seenOnSelf: true,
      measure: leaning,
      comes: true,
      seenWithin: '.plate .moth, .plate .shadow, .plate .label',
      parts: [{ part: 'plate-tilt-glass', coversBorder: true }, { part: 'plate-tilt-sheen', inside: 'plate-tilt-glass' }],
      places: new Map(),
      values: [
        { property: '--plate-tilt-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), onSelf: true, onParts: ':scope > .plate-tilt-glass > .plate-tilt-sheen' },
        { property: '--plate-tilt-y', read: ({ y, height }) => Math.min(1, Math.max(-1, 2 * y / height - 1)), onSelf: true, onParts: ':scope > .plate-tilt-glass > .plate-tilt-sheen' },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .plate, .plate .moth, .plate .shadow, .plate .label, .sky .sky-near, .sky .sky-far',
      measure: plain,
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
