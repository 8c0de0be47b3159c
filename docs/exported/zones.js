(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    isTouch: false,
    time: 0,
  }

  // What happened since the last frame.
  const events = []

  let nextFrame = 0
  const wake = () => {
    nextFrame ||= requestAnimationFrame(draw)
  }

  // First all is read, then all is written: the page is laid out once a frame.
  function draw() {
    nextFrame = 0
    for (const event of events.splice(0)) meet(event)
    for (const place of effect.places.values()) if (place.moves && write(place)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, pointerType }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      frames.clear()
      measured = t
      findAll()
    }
    pointer.time = t
    if (type.startsWith('focus')) {
      meetFocus(type === 'focusin' && target.matches(':focus-visible') ? target : null)
      return
    }
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.isTouch = pointerType === 'touch'
    } else {
      // Where the pointer stands while the page moves is where it was then.
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    isTap = type === 'pointerup' && pointer.isTouch && t - finger.t <= 500 && Math.hypot(pointer.x - finger.x, pointer.y - finger.y) <= 10
    if (type === 'pointerdown') finger = { x: pointer.x, y: pointer.y, t }
    meetTap(target)
    meetEffect()
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [document.documentElement],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-zones')
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
      ? all.filter(({ area }) => hasPointer(frameOf(document)) && (over.contains(area) || over.closest('*') !== null))
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

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height }) {
    const { x, y } = toFrame.transformPoint(pointer)
    return (
      x >= -1 / 64 && x <= width + 1 / 64 && y >= -1 / 64 && y <= height + 1 / 64
    )
  }

  // In the window a point is where it is.
  const asItIs = new DOMMatrix()

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: true,
      focused: false,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
    })),
      look: { tapped: false },
    }
    for (const follower of place.followers) follower.reading = follower.value.zoneFirst
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(document)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at)
  }

  function turnValue(follower, at) {
    const { value } = follower
    if (!at.place.isOn) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    follower.reading = reading
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place) {
    if (!place.element.hasAttribute('data-card-zones')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-zones', '')
    }
    place.moves = false
    // Tells the zones that the pointer is in, by attributes that the stylesheet can use.
    for (const follower of place.followers) {
      const { reading, told } = follower
      if (reading !== undefined && reading !== told) {
        const attribute = `${'data-card-zones'}-${'zone'}`
        follower.told = reading
        place.element.setAttribute(attribute, String(reading))
        // Tells which of the elements that are linked to a zone it chooses; none, where there is no reading.
        const chosen = effect.chosen
        const chosenMark = `${'data-card-zones'}-chosen`
        for (const [select, of] of chosen)
          if (of === 'zone') document.querySelectorAll(select).forEach((element, index) => element.toggleAttribute(chosenMark, index === reading))
      }
    }
    return place.moves
  }

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(target) {
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        true
      if (focused !== place.focused) {
        place.focused = focused
        turnPlace(place, pointer.time)
      }
      if (target) {
        // What has got the focus chooses its zone, until that goes or the pointer moves.
        for (const follower of place.followers) {
          const { value } = follower
          const { zoneFocus } = value
          const index = zoneFocus ? [...document.querySelectorAll(zoneFocus)].findIndex((each) => each.contains(target)) : -1
          if (index < 0) continue
          follower.reading = index
          place.moves = true
        }
      }
    }
  }

  // Where and when a finger went down; whether it has just come up again there.
  let finger = { x: 0, y: 0, t: -Infinity }

  let isTap = false

  // A tap turns on what had the finger, unless it was meant for something else; a tap elsewhere ends that.
  function meetTap(target) {
    if (!isTap) return
    const isPlain = !target.closest('a[href], button, input, select, textarea, summary, label')
    for (const place of effect.places.values()) {
      const tapped = isPlain && place.isOn
      if (tapped === place.look.tapped) continue
      place.look.tapped = tapped
    }
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function frameOf(element) {
    const known = frames.get(element)
    if (known) return known
    const frame = { toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight }
    frames.set(element, frame)
    return frame
  }

  // Which of the elements that this selects a finger is on, or is in, by their order; none of them where no finger points.
  function fingerOn() {
    const met = pointer.isTouch ? pointer.over?.closest('.card') : null
    return met ? [...document.querySelectorAll('.card')].indexOf(met) : undefined
  }

  // Which of `count` equal stretches holds a share; the last one still, while it lies within the slack beyond it.
  function stretchOf(count, share, last, slack) {
    if (last >= 0 && last < count && share >= last / count - slack && share <= (last + 1) / count + slack) return last
    return Math.max(0, Math.min(count - 1, Math.floor(share * count)))
  }

  // Which cell of columns x rows the pointer is in, row by row from 0; the last one still, while it is less than `slackPx` beyond it.
  function zoneOf(
    { x, y, width, height },
    [top, right, bottom, left],
  ) {
    const [across, down] = [width - left - right, height - top - bottom]
    const last = NaN
    const column = stretchOf(4, across > 0 ? (x - left) / across : 0.5, last % 4, 0 / Math.max(1, across))
    const row = stretchOf(1, down > 0 ? (y - top) / down : 0.5, Math.floor(last / 4), 0 / Math.max(1, down))
    return row * 4 + column
  }

  // The pointer anywhere in the window chooses one of each card, by columns: 4 within margins of 0px; the others are seen at 40%, and its linked element goes with it.
  const effect = {
    chosen: [['.card', 'zone'], ['.card .linked', 'zone']],
    places: new Map(),
    values: [
      { read: (at) => fingerOn() ?? zoneOf(at, [0, 0, 0, 0]), zoneFirst: 0, zoneFocus: '.card' },
    ],
  }

  // What is seen without the pointer stands from the start.
  findAll()
  for (const place of effect.places.values()) if (place.moves && write(place)) wake()
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'focusin', 'focusout', 'scroll', 'resize'])
    addEventListener(
      type,
      (event) => {
        const { relatedTarget, isPrimary } = event
        // On its way from one element to another the pointer is not gone.
        if (type === 'pointerout' && relatedTarget) return
        // Of several fingers the first one leads.
        if (isPrimary === false) return
        // A fast mouse moves more than once a frame.
        events.push(...(event.getCoalescedEvents?.().slice(0, -1) ?? []), event)
        wake()
      },
      { passive: true, capture: true },
    )
})()
