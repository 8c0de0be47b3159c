(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    buttons: 0,
    isTouch: false,
    time: 0,
  }

  // A picture, a link or selected text is not dragged where an effect is another while it is pressed: that would be over.
  function keepPress(event) {
    if (pointer.over?.closest('.card')) event.preventDefault()
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
    for (const place of places.values()) if (place.moves && write(place)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType }) {
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
      pointer.buttons = buttons
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
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of places)
      if (!element.isConnected || !areas.has(place.area)) {
        places.delete(element)
        element.removeAttribute('data-card-hover-look')
      }
    for (const area of areas) {
        if (!places.has(area)) begin(area, area)
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
        turnPlace(place)
        followCauses(place, pointer.time)
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
      focused: false,
      look: { state: 'off', shown: 'off', dueAt: Infinity, tapped: false },
    }
    places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place) {
    place.moves = true
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place) {
    if (!place.element.hasAttribute('data-card-hover-look')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-hover-look', '')
      for (const target of seenOn(place)) target.setAttribute('data-card-hover-look', '')
    }
    place.moves = false
    showLook(place)
    return place.moves
  }

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(target) {
    for (const place of places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        true
      if (focused !== place.focused) {
        place.focused = focused
        followCauses(place, pointer.time)
        turnPlace(place)
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
    for (const place of places.values()) {
      const tapped = isPlain && place.isOn
      if (tapped === place.look.tapped) continue
      place.look.tapped = tapped
      followCauses(place, pointer.time)
    }
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

  // What an event makes of a hover state; what is not named changes nothing. `going` still shows what was shown.
  const states = {
    off: { come: 'on' },
    on: { go: 'going', press: 'pressed', rest: 'still', dismiss: 'off' },
    still: { go: 'going', press: 'pressed', move: 'on', dismiss: 'off' },
    pressed: { go: 'going', release: 'on', dismiss: 'off' },
    going: { come: 'on', due: 'off', dismiss: 'off' },
  }
  // Takes an event to a state; tells whether what is shown changed.
  function change(look, event) {
    const next = states[look.state][event]
    if (!next) return false
    look.state = next
    if (next === 'going' || next === look.shown) return false
    look.shown = next
    return true
  }

  function turnLook(place, event, t) {
    const { look } = place
    let changed = change(look, event)
    if (look.state === 'going') {
      if (event === 'go') look.dueAt = t
      if (look.dueAt <= t) changed = change(look, 'due') || changed
    }
    if (look.state === 'on') look.dueAt = Infinity
    else if (look.state !== 'going') look.dueAt = Infinity
    return changed
  }

  // Brings the look of a place in line with the pointer, its buttons, the focus and taps.
  function followCauses(place, t) {
    const { look, isOn } = place
    const isCaused = isOn || place.focused || look.tapped
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    const changed = causes.map((event) => turnLook(place, event, t)).includes(true)
    if (changed) {
      // Follows a look that has changed, in its place and in the others; where one at most is on, the others go off.
      turnPlace(place)
    }
  }

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute('data-card-hover-look') === shown) return
    const told = [element, ...seenOn(place)]
    for (const target of told) {
      target.setAttribute('data-card-hover-look', shown)
    }
  }

  // The elements that something of an effect is seen on, besides its parts.
  const seenOn = (place) => seenLinked.flatMap((select) => linkedTo(place, select))

  // The element that is in step with an area: the first with the first, the second with the second.
  function linkedTo({ area }, select) {
    const index = [...document.querySelectorAll('.card')].indexOf(area)
    return [...document.querySelectorAll(select)].slice(index, index + 1)
  }

  // Over each card it rises by 4px; the others stay as they are.
  const seenLinked = ['.card .linked']
  const places = new Map()

  // What is seen without the pointer stands from the start.
  findAll()
  for (const place of places.values()) if (place.moves && write(place)) wake()
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
  addEventListener('dragstart', keepPress, true)
})()
