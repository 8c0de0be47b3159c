(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    isTouch: false,
    isByKeys: false,
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

  // Takes a key to the effects, and the pointer to where it moves that to.
  function takeKey(key, t) {
    const moved = pressKey(key, t)
    if (moved) {
      meet(moved)
      pointer.isByKeys = true
    }
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, key }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      forgetFrames(t)
      for (const effect of effects) findAll(effect)
    }
    pointer.time = t
    if (type === 'keydown') {
      takeKey(key ?? '', t)
      return
    }
    if (type.startsWith('focus')) {
      for (const effect of effects)
        meetFocus(effect, type === 'focusin' && target.matches(':focus-visible') ? target : null)
      // Where the keys took the pointer it is as long as the focus.
      if (type === 'focusout' && pointer.isByKeys)
        meet({ type: 'pointerout', timeStamp: t, clientX: pointer.x, clientY: pointer.y, target, pointerType: 'mouse' })
      return
    }
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel'
      pointer.isByKeys = false
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
    } else {
      // Where the pointer stands while the page moves is where it was then.
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    if (!(type.startsWith('pointer'))) for (const effect of effects) followSizes(effect, t)
    for (const effect of effects) {
      guarded(effect, meetEffect, t)
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll(effect) {
    const areas = new Set(
      [...document.querySelectorAll('.card .ground')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-wipe')
      }
    for (const area of areas) {
        const elements = effect.readsIn ? [...area.querySelectorAll(effect.readsIn)] : [area]
        // One in which there is nothing to read has the pointer all the same.
        if (effect.readsIn && elements.length === 0) elements.push(area)
        for (const element of elements) if (!effect.places.has(element)) begin(effect, area, element)
      }
  }

  function standIn(effect, t) {
    findAll(effect)
    if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect(effect) {
    const over = pointer.over
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area, effect.measure)) && (over.contains(area) || over.closest('.card .ground, .card .rider') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        place.isOn = has
        place.byTouch = pointer.isTouch
        turnPlace(effect, place, pointer.time)
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
      focused: false,
      followers: effect.readsIn && element === area ? [] : effect.values.map((value) => ({
      value,
      target: 0.08,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
    }
    for (const follower of place.followers)
        if (follower.value.bySize && follower.value.leave)
          follower.target = follower.value.leave(atOf(effect, place, 0), follower)
    effect.places.set(element, place)
  }

  // The pointer as an element sees it.
  function atOf(effect, place, t) {
    // Where the values of a place are read.
    const box = effect.readsIn ? place.element : undefined
    const frame = box ? frameOf(box, effect.measure) : frameOf(place.area, effect.measure)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    return { ...frame, x, y, t, place }
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(effect, place, t) {
    place.moves = true
    const at = atOf(effect, place, t)
    for (const follower of place.followers) turnValue(follower, at)
  }

  function turnValue(follower, at) {
    const { value } = follower
    if (!at.place.isOn && at.place.byTouch) return
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : 0.08
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = value.feel
    const t = at.t
    if (reading !== follower.target || feel !== follower.feel) {
      const { gap, speed } = follower.feel(follower, t)
      Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute('data-card-wipe')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-wipe', '')
      if (effect.parts) {
        // Adds the parts of an effect to an element, once.
        const host = place.area
        const parts = effect.parts
        const made = new Map()
        for (const part of parts) {
          const home = (part.inside && made.get(part.inside)) || host
          made.set(part.part, addPart(host, home, part))
        }
      }
    }
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = follower.feel(follower, t)
      if (value.property)
        place.element.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(value.digits) + (value.isLength ? 'px' : ''))
      if (moves) place.moves = true
    }
    if (place.focused || !place.moves) tellSlider(place)
    return place.moves
  }

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    host,
    home,
    { part, reached, role, namedBy, shows },
  ) {
    const element = document.createElement('span')
    element.className = part
    if (!(reached)) element.setAttribute('aria-hidden', 'true')
    if (role) element.setAttribute('role', role)
    if (namedBy) makeSlider(host, element, namedBy, shows)
    element.dataset.part = ''
    home.append(element)
    return element
  }

  // Makes a part a slider that can be focused, named by the headings of what these select, or by their words.
  function makeSlider(host, element, namedBy, shows = '') {
    const words = namedBy.map((select) => {
      const named = host.querySelector(select)
      return (named?.querySelector('h1, h2, h3, h4, h5, h6') ?? named)?.textContent?.trim().slice(0, 60)
    })
    element.tabIndex = 0
    element.ariaLabel = words.join(' / ')
    element.ariaValueMin = '0'
    element.ariaValueMax = '1'
    element.ariaValueNow = shows
  }

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(effect, target) {
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        target.matches('.card-wipe-line')
      if (focused !== place.focused) {
        place.focused = focused
        turnPlace(effect, place, pointer.time)
      }
    }
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

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function forgetFrames(t) {
    frames.clear()
    measured = t
  }

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
      console.error(`${'card-wipe'} was turned off:`, error)
    }
  }

  // Hears a key that an effect asks for, but for what is written with it.
  function hearKey(event) {
    const { type, timeStamp, key, target, altKey, ctrlKey, metaKey } = event
    if (altKey || ctrlKey || metaKey || target.closest('input, textarea, select, [contenteditable]')) return
    const moves =
      ways.has(key) &&
      effects.some(() => target.closest('.card-wipe-line'))
    if (moves) event.preventDefault()
    if (!moves && key !== 'Escape') return
    events.push({ type, timeStamp, key, target, clientX: pointer.x, clientY: pointer.y })
    wake()
  }

  // Where an element lies that nothing turns or moves.
  function plain(element) {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
  }

  // Where an element would lie if it were not slid: its size is that of the box that is seen.
  function sliding(element) {
    const { x, y, width, height } = element.getBoundingClientRect()
    const { e, f } = new DOMMatrix(getComputedStyle(element).transform)
    return { toFrame: new DOMMatrix([1, 0, 0, 1, e - x, f - y]), width, height }
  }

  // Where a share of an area along both of its sides lies in an element of it, px.
  function shareOfArea({ toFrame, place: { area } }, measure) {
    const { toFrame: toArea, width, height } = frameOf(area, measure)
    return toFrame.multiply(toArea.inverse()).transformPoint({ x: 0.08 * width, y: 0.08 * height })
  }

  // Which way keys move the pointer, in steps; so many that they end at a side where that is meant.
  const ways = new Map([
    ['ArrowLeft', [-1, 0]],
    ['ArrowRight', [1, 0]],
    ['ArrowUp', [0, -1]],
    ['ArrowDown', [0, 1]],
    ['Home', [-1e6, 0]],
    ['End', [1e6, 0]],
  ])

  // Takes a key to the effects; gives where it moves the pointer to.
  function pressKey(key, t) {
    const [right, down] = ways.get(key) ?? [0, 0]
    if (!right && !down) return undefined
    for (const effect of effects) {
      const place = [...effect.places.values()].find(({ focused }) => focused)
      if (
        !place ||
        (!effect.values.some(({ slides }) => slides))
      )
        continue
      const { toFrame, width, height } = frameOf(place.area, effect.measure)
      // From where it is, or else from the middle.
      const at =
        pointer.over && place.isOn ? toFrame.transformPoint(pointer) : { x: width / 2, y: height / 2, ...slideAt(place, width, height) }
      const [across, along] = slid(place, right, down)
      const x = Math.min(width, Math.max(0, at.x + across * 0.05 * width))
      const y = Math.min(height, Math.max(0, at.y + along * 0.05 * height))
      const to = toFrame.inverse().transformPoint({ x, y })
      return { type: 'pointermove', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, pointerType: 'mouse' }
    }
    return undefined
  }

  // A slider goes along its own side by every key: to the right, and up as well, it goes on; one that goes down goes on downward.
  function slid({ followers }, right, down) {
    const { slides } = followers.find(({ value }) => value.slides)?.value ?? {}
    return slides === 'x' ? [right - down, 0] : slides === 'y' ? [0, right + down] : [right, down]
  }

  // Where the slider of a place is, px.
  function slideAt({ followers }, width, height) {
    const shown = followers.find(({ value }) => value.slides)
    if (!shown) return {}
    return shown.value.slides === 'x' ? { x: shown.target * width } : { y: shown.target * height }
  }

  const rest = { gap: 0, speed: 0, moves: false }
  // The value itself, at once.
  const direct = () => rest

  // What hangs on how large things are follows that where the pointer is not.
  function followSizes(effect, t) {
    for (const place of effect.places.values()) {
      if (place.isOn) continue
      for (const follower of place.followers) {
        if (!follower.value.bySize) continue
        turnValue(follower, atOf(effect, place, t))
        place.moves = true
      }
    }
  }

  // Has the slider of a place say where it is.
  function tellSlider({ area, followers }) {
    const shown = followers.find(({ value }) => value.slides)
    const slider = area.querySelector('.card-wipe-line')
    const text = shown?.target.toFixed(2)
    if (slider && text !== undefined && slider.ariaValueNow !== text) slider.ariaValueNow = text
  }

  const effects = [
    // In its what they stand in, along a line that goes toward 90°, each card gives way to its back, softened over 0px; its rider rides on it, its companions of the front and its companions of the back are cut with it.
    {
      stands: true,
      readsIn: '.card',
      measure: plain,
      parts: [{ part: 'card-wipe-line', reached: true, role: 'slider', shows: '0.08', namedBy: ['.card', '.card .back'] }],
      places: new Map(),
      values: [
        { property: '--card-wipe-front-x', read: ({ x, width }) => x - width / 2, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, band: 0.01, digits: 3, feel: critical },
      ],
    },
    {
      readsIn: '.card .back',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--card-wipe-back-x', read: ({ x, width }) => x - width / 2, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, band: 0.01, digits: 3, feel: critical },
      ],
    },
    {
      readsIn: '.card .ahead',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--card-wipe-ahead-x', read: ({ x, width }) => x - width / 2, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, band: 0.01, digits: 3, feel: critical },
      ],
    },
    {
      readsIn: '.card .behind',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--card-wipe-behind-x', read: ({ x, width }) => x - width / 2, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, band: 0.01, digits: 3, feel: critical },
      ],
    },
    {
      readsIn: '.card .rider',
      measure: sliding,
      places: new Map(),
      values: [
        { property: '--card-wipe-rider-x', read: ({ x, width }) => x - width / 2, isLength: true, leave: (at) => shareOfArea(at, sliding).x - at.width / 2, bySize: true, band: 0.01, digits: 3, feel: critical },
      ],
    },
    {
      measure: plain,
      places: new Map(),
      values: [
        { read: ({ x, width }) => Math.min(1, Math.max(0, x / width)), slides: 'x', band: 0.0001, digits: 5, feel: direct },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    guarded(effect, standIn, pointer.time)
  }
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointercancel', 'focusin', 'focusout', 'scroll', 'resize', 'load'])
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
  addEventListener('keydown', hearKey, { capture: true })
})()
