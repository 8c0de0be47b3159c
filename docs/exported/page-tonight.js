(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    buttons: 0,
    time: 0,
  }

  // A picture, a link or selected text is not dragged where an effect is another while it is pressed: that would be over.
  function keepPress(event) {
    if (pointer.over?.closest('.meadow, .gate')) event.preventDefault()
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
  function meet({ type, timeStamp, clientX, clientY, target, buttons }) {
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
      pointer.buttons = buttons
    } else {
      // Where the pointer stands while the page moves is where it was then.
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

  // Whether nothing foreign lies on an element where the pointer is: what it hits is around it, or of those that the effect is about.
  const isClear = (effect, over, element) => over.contains(element) || over.closest(effect.notForeign) !== null

  // Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can.
  function isMet(effect, over, area) {
    const isOnIt = (element) => hasPointer(frameOf(element))
    if (!effect.insets || isOnIt(area)) return isClear(effect, over, area)
    return !effect.beyond || [...document.querySelectorAll(effect.beyond)].some(isOnIt)
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
      ? all.filter(({ area }) => hasPointer(frameOf(area), effect.insets) && (effect.amongAll ? isMet(effect, over, area) : isClear(effect, over, area)))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = effect.amongAll
      ? undefined
      : (holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1))
    for (const place of all) {
      const has = effect.amongAll ? holding.includes(place) : place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        // Turns all that follows the pointer in a place to where it should be now.
        const t = pointer.time
        place.moves = true
        // The pointer as an element sees it.
        const frame = frameOf(place.area)
        const { x, y } = frame.toFrame.transformPoint(pointer)
        const at = { ...frame, x, y, t, place }
        for (const follower of place.followers) turnValue(follower, at, arrives)
        if (effect.comesMs && (arrives || !has)) place.comesUntil = pointer.time + ((has ? effect.comesMs : effect.goesMs) ?? 0)
      }
    }
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height, border }, insets) {
    const { x, y } = toFrame.transformPoint(pointer)
    const [top, right, bottom, left] = border
    const [above = 0, after = 0, below = 0, before = 0] = insets ? insets(left + width + right, top + height + bottom) : [0, 0, 0, 0]
    return (
      x >= before - left - 1 / 64 && x <= width + right - after + 1 / 64 && y >= above - top - 1 / 64 && y <= height + bottom - below + 1 / 64
    )
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: !!effect.stands,
      comesUntil: 0,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
    }
    effect.places.set(element, place)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    if (arrives && value.beginsUnseen && at.t >= at.place.comesUntil) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = value.feel
    const t = at.t
    if (reading !== follower.target || feel !== follower.feel) {
      const { gap, speed } = follower.feel(follower, t)
      Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
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
    // How it comes and goes is in the stylesheet.
    if (effect.comes && (place.element.getAttribute(effect.mark) === 'on') !== place.isOn)
      place.element.setAttribute(effect.mark, place.isOn ? 'on' : '')
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = follower.feel(follower, t)
      for (const target of targetsOf(place, value)) target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(value.digits))
      if (moves) place.moves = true
    }
    if (effect.comesMs && t < place.comesUntil) place.moves = true
    if (effect.shownWhileOn) showParts(place, effect.shownWhileOn)
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

  // What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing.
  function showParts({ area, isOn, moves }, parts) {
    for (const part of area.querySelectorAll(parts)) part.style.visibility = isOn || moves ? '' : 'hidden'
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function frameOf(element) {
    const known = frames.get(element)
    if (known) return known
    // Where an element lies that nothing turns or moves.
    const { left, top, width, height } = element.getBoundingClientRect()
    // A padding box: what takes a point of the window to the upper left corner of the border box, and the size of that, without the borders.
    const toBox = new DOMMatrix([1, 0, 0, 1, -left, -top])
    const style = getComputedStyle(element)
    const border = [
    parseFloat(style.borderTopWidth) || 0,
    parseFloat(style.borderRightWidth) || 0,
    parseFloat(style.borderBottomWidth) || 0,
    parseFloat(style.borderLeftWidth) || 0,
    ]
    const frame = {
      toFrame: new DOMMatrix([1, 0, 0, 1, -border[3], -border[0]]).multiply(toBox),
      width: width - border[1] - border[3],
      height: height - border[0] - border[2],
      border,
    }
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

  // A spring that swings past its mark, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function underdamped({ gap, speed, since, band }, t, decay, swing) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = (speed + decay * gap) / swing
    const [cos, sin] = [Math.cos(swing * s), Math.sin(swing * s)]
    return {
      gap: fade * (gap * cos + push * sin),
      speed: fade * (speed * cos - (decay * push + swing * gap) * sin),
      moves: fade * Math.hypot(gap, push) >= band,
    }
  }

  const follows = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.6 * 0.9, 2 * Math.PI * 2.6 * Math.sqrt(1 - 0.9 ** 2)) // settles in 288 ms
  const follows2 = (follower, t) => underdamped(follower, t, 2 * Math.PI * 3.4 * 0.9, 2 * Math.PI * 3.4 * Math.sqrt(1 - 0.9 ** 2)) // settles in 220 ms
  const soft = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.27 * 0.715, 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)) // settles in 416 ms, 4 % overshoot

  const effects = [
    // Over meadow and gate, all is dark by 90% in #040d10 but for a pool of 110px round the pointer, softened over 150px; pressed, the pool is 70% of that.
    {
      select: '.meadow, .gate',
      name: 'gate-spotlight',
      mark: 'data-gate-spotlight',
      notForeign: '.meadow, .gate, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      amongAll: true,
      beyond: '.meadow, .gate',
      insets: () => [-260, -260, -260, -260],
      comes: true,
      comesMs: 260,
      goesMs: 700,
      parts: [{ part: 'gate-spotlight-dark', coversBorder: true }, { part: 'gate-spotlight-sheet', inside: 'gate-spotlight-dark' }, { part: 'gate-spotlight-pool', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-above', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-below', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-before', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-after', inside: 'gate-spotlight-sheet' }],
      shownWhileOn: ':scope > .gate-spotlight-dark',
      places: new Map(),
      values: [
        { property: '--gate-spotlight-x', read: ({ x, width }) => x - width / 2, holds: true, band: 0.01, digits: 3, feel: follows, beginsUnseen: true, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet' },
        { property: '--gate-spotlight-y', read: ({ y, height }) => y - height / 2, holds: true, band: 0.01, digits: 3, feel: follows, beginsUnseen: true, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet' },
        { property: '--gate-spotlight-pressed', read: () => (pointer.buttons ? 1 : 0), band: 0.0001, digits: 5, feel: follows2, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet, :scope > .gate-spotlight-dark' },
      ],
    },
    // Under the meadow lies a linear-gradient(180deg, #0f2c38 0%, #1d4a4b 55%, #2b5a49 100%) with 26% of light grain, and under the pointer a light of #d8ecc0, 420px wide and 34% strong.
    {
      select: '.meadow',
      name: 'meadow-grain-light',
      mark: 'data-meadow-grain-light',
      notForeign: '.meadow, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      comes: true,
      comesMs: 320,
      goesMs: 900,
      parts: [{ part: 'meadow-grain-light-ground', coversBorder: true }, { part: 'meadow-grain-light-sheet', inside: 'meadow-grain-light-ground' }, { part: 'meadow-grain-light-light', inside: 'meadow-grain-light-sheet' }, { part: 'meadow-grain-light-specks', inside: 'meadow-grain-light-ground' }],
      places: new Map(),
      values: [
        { property: '--meadow-grain-light-x', read: ({ x, width }) => x - width / 2, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .meadow-grain-light-ground > .meadow-grain-light-sheet' },
        { property: '--meadow-grain-light-y', read: ({ y, height }) => y - height / 2, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .meadow-grain-light-ground > .meadow-grain-light-sheet' },
      ],
    },
    // Over each lantern, a light of #f0c36d, 340px wide, shows on the surface by 34% and along the edge by 90%, from 110px away.
    {
      select: '.lantern',
      name: 'lantern-glow',
      mark: 'data-lantern-glow',
      notForeign: '.lantern, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      amongAll: true,
      insets: () => [-110, -110, -110, -110],
      comes: true,
      comesMs: 180,
      goesMs: 420,
      parts: [{ part: 'lantern-glow-surface', coversBorder: true }, { part: 'lantern-glow-surface-pool', inside: 'lantern-glow-surface' }, { part: 'lantern-glow-surface-tile', inside: 'lantern-glow-surface-pool' }, { part: 'lantern-glow-edge', coversBorder: true }, { part: 'lantern-glow-edge-pool', inside: 'lantern-glow-edge' }, { part: 'lantern-glow-edge-tile', inside: 'lantern-glow-edge-pool' }],
      shownWhileOn: ':scope > .lantern-glow-surface, :scope > .lantern-glow-edge',
      places: new Map(),
      values: [
        { property: '--lantern-glow-x', read: ({ x, border }) => x + border[3], holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .lantern-glow-surface > .lantern-glow-surface-pool, :scope > .lantern-glow-edge > .lantern-glow-edge-pool' },
        { property: '--lantern-glow-y', read: ({ y, border }) => y + border[0], holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .lantern-glow-surface > .lantern-glow-surface-pool, :scope > .lantern-glow-edge > .lantern-glow-edge-pool' },
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
        { property: '--sky-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), band: 0.0002, digits: 4, feel: soft, within: '.sky-near, .sky-far' },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    guarded(effect, standIn, pointer.time)
  }
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'scroll', 'resize'])
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
  addEventListener('dragstart', keepPress, true)
})()
