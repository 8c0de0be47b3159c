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
  function draw() {
    nextFrame = 0
    for (const event of events.splice(0)) {
      // Takes an event to all effects, in the order of time.
      const { type, timeStamp, clientX, clientY, target, pointerType } = event
      const t = Math.max(pointer.time, timeStamp)
      if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
        frames.clear()
        measured = t
        findAll()
      }
      pointer.time = t
      if (type.startsWith('pointer')) {
        const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
        Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      } else {
        // Where the pointer stands while the page moves is where it was then.
        pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
      }
      if (!(type.startsWith('pointer'))) followSizes()
      meetEffect()
    }
    for (const place of places.values()) if (place.moves && write(place)) wake()
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of places)
      if (!element.isConnected || !areas.has(place.area)) {
        places.delete(element)
        element.removeAttribute('data-card-pan-sizes')
      }
    for (const area of areas) {
        const elements = [...area.querySelectorAll('.card .picture')]
        // One in which there is nothing to read has the pointer all the same.
        if (elements.length === 0) elements.push(area)
        for (const element of elements) if (!places.has(element)) begin(area, element)
      }
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect() {
    const over = pointer.over
    const all = [...places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area)) && (over.contains(area) || over.closest('.card') !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        place.isOn = has
        // Turns all that follows the pointer in a place to where it should be now.
        place.moves = true
        const at = atOf(place)
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
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: true,
      followers: element === area ? [] : values.map((value) => ({
      value,
      target: 0,
      gap: 0,
      speed: 0,
    })),
    }
    for (const follower of place.followers)
        if (follower.value.leave)
          follower.target = follower.value.leave(atOf(place), follower)
    places.set(element, place)
  }

  // The pointer as an element sees it.
  function atOf(place) {
    // Where the values of a place are read.
    const box = place.element
    const frame = box ? frameOf(box) : frameOf(place.area)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    return { ...frame, x, y, place }
  }

  function turnValue(follower, at) {
    const { value } = follower
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : 0
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    if (reading !== follower.target) {
      const { gap, speed } = rest
      Object.assign(follower, { target: reading, gap: gap + follower.target - reading, speed })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place) {
    if (!place.element.hasAttribute('data-card-pan-sizes')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-pan-sizes', '')
    }
    place.moves = false
    for (const follower of place.followers) {
      const { gap, moves } = rest
      place.element.style.setProperty('--card-pan-way', (moves ? follower.target + gap : follower.target).toFixed(3) + '')
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
    // Where an element lies that nothing turns or moves.
    const { left, top, width, height } = element.getBoundingClientRect()
    const frame = { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
    frames.set(element, frame)
    return frame
  }

  const rest = { gap: 0, speed: 0, moves: false }

  const excessY = ({ height, place: { area } }) => Math.max(0, height - frameOf(area).height)
  // What hangs on how large things are follows that where the pointer is not.
  function followSizes() {
    for (const place of places.values()) {
      if (place.isOn) continue
      for (const follower of place.followers) {
        turnValue(follower, atOf(place))
        place.moves = true
      }
    }
  }

  const places = new Map()
  const values = [
    { read: (at) => excessY(at), leave: (at) => excessY(at) },
  ]

  // What is seen without the pointer stands from the start.
  findAll()
  for (const place of places.values()) if (place.moves && write(place)) wake()
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerup', 'pointercancel', 'scroll', 'resize', 'load'])
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
