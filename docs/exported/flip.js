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
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-flip')
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
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place) {
    place.moves = true
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place) {
    if (!place.element.hasAttribute('data-card-flip')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-flip', '')
    }
    place.moves = false
    showLook(place)
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
    for (const place of effect.places.values()) {
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
    const frame = turned(element)
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

  const px = (text) => parseFloat(text) || 0

  // The box around where a matrix draws an element of this size, about its middle.
  function hullOf(
    drawn,
    width,
    height,
  ) {
    const corners = [-0.5, 0.5].flatMap((x) => [-0.5, 0.5].map((y) => drawn.transformPoint({ x: x * width, y: y * height })))
    const [xs, ys] = [corners.map(({ x, w }) => x / w), corners.map(({ y, w }) => y / w)]
    return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) }
  }

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute('data-card-flip') === shown) return
    element.setAttribute('data-card-flip', shown)
    // Does with elements what goes with the look of a place; what goes with another one is over.
    const deeds = effect.deeds
    const isNow = ({ looks }) => looks.includes(place.look.shown)
    for (const deed of deeds.filter((each) => !isNow(each)))
      for (const target of targetsOf(place, deed)) for (const [name] of deed.attributes) {
        const before = kept.get(target)?.get(name)
        if (before === null) target.removeAttribute(name)
        else if (before !== undefined) target.setAttribute(name, before)
        kept.get(target)?.delete(name)
      }
    for (const deed of deeds.filter(isNow))
      for (const target of targetsOf(place, deed)) {
        for (const [name, text] of deed.attributes) {
          const known = kept.get(target) ?? new Map()
          kept.set(target, known)
          if (!known.has(name)) {
            known.set(name, target.getAttribute(name))
          }
          target.setAttribute(name, text)
        }
      }
  }

  // What the page itself gives elements of the attributes that looks set.
  const kept = new Map()

  // The elements that a value is written on.
  function targetsOf(
    place,
    { onSelf, within },
  ) {
    return [...(onSelf ? [place.element] : []), ...(within ? place.element.querySelectorAll(within) : [])]
  }

  // The individual transform properties, and a transform, as one matrix; the page may have turned an element by either.
  function matrixOf({ rotate, scale }, transform) {
    const words = rotate.split(' ')
    const axis = { x: '1, 0, 0', y: '0, 1, 0' }[words[0] ?? ''] ?? words.slice(0, 3).join(', ')
    const turning = rotate === 'none' ? '' : words.length === 1 ? `rotate(${rotate})` : `rotate3d(${axis}, ${words.at(-1) ?? ''})`
    const scaling = scale === 'none' ? '' : `scale(${scale.split(' ').slice(0, 2).join(', ')})`
    return new DOMMatrix(`${turning} ${scaling} ${transform === 'none' ? '' : transform}`.trim())
  }

  // How the page turns and scales what lies in these elements, one in another; `isOwn`: without what effects do.
  function aroundOf(element) {
    let around = new DOMMatrix()
    for (let each = element.parentElement; each; each = each.parentElement) {
      const style = getComputedStyle(each)
      around = matrixOf(style, style.transform).multiply(around)
    }
    const zoom = element.currentCSSZoom ?? 1
    return new DOMMatrix([around.a * zoom, around.b * zoom, around.c * zoom, around.d * zoom, 0, 0])
  }

  // The perspective of what an element stands in, for one whose origin is seen here.
  function throughEye({ parentElement: row }, { x, y }) {
    const { perspective, perspectiveOrigin } = row ? getComputedStyle(row) : { perspective: 'none', perspectiveOrigin: '' }
    if (!row || perspective === 'none') return new DOMMatrix()
    const { left, top } = row.getBoundingClientRect()
    const [eyeX, eyeY] = perspectiveOrigin.split(' ').map(px)
    return new DOMMatrix()
      .translate(left + eyeX - x, top + eyeY - y)
      .multiply(new DOMMatrix(`perspective(${perspective})`))
      .translate(x - left - eyeX, y - top - eyeY)
  }

  // Where an element would lie if effects did nothing, also where the page turns or scales it, or what it lies in.
  function turned(element) {
    const style = getComputedStyle(element)
    const more =
      style.boxSizing === 'border-box'
        ? [0, 0]
        : [
            px(style.paddingLeft) + px(style.paddingRight) + px(style.borderLeftWidth) + px(style.borderRightWidth),
            px(style.paddingTop) + px(style.paddingBottom) + px(style.borderTopWidth) + px(style.borderBottomWidth),
          ]
    const [width, height] = [px(style.width) + more[0], px(style.height) + more[1]]
    const [originX, originY] = style.transformOrigin.split(' ').map(px)
    // From its middle to its origin, about which it is turned, and back.
    const drawn = aroundOf(element)
      .multiply(matrixOf(style, style.transform))
      .translate(width / 2 - originX, height / 2 - originY)
    const box = element.getBoundingClientRect()
    let own = aroundOf(element).multiply(matrixOf(style, style.transform))
    // Where its origin is seen: the middle of both boxes is one.
    const originOf = (seen) => {
      const hull = hullOf(seen, width, height)
      return { x: box.x + box.width / 2 - (hull.left + hull.right) / 2, y: box.y + box.height / 2 - (hull.top + hull.bottom) / 2 }
    }
    let origin = originOf(drawn)
    // How it is seen hangs on where it stands in its row, so both are found in turn.
    for (let round = 0; round < 6; round++) origin = originOf(throughEye(element, origin).multiply(drawn))
    // What the page itself brings nearer or further is seen larger or smaller.
    const { a, b, c, d, e, f, m44: far } = throughEye(element, origin).multiply(own)
    own = new DOMMatrix([a / far, b / far, c / far, d / far, e / far, f / far])
    return { toFrame: new DOMMatrix()
        .translate(originX, originY)
        .multiply(new DOMMatrix([own.a, own.b, own.c, own.d, own.e, own.f]).inverse())
        .translate(-origin.x, -origin.y), width, height }
  }

  // Over each card it turns to the right, from its front to its back, seen from 1100px.
  const effect = {
    deeds: [{ looks: ['off', 'on', 'pressed', 'still'], attributes: [['tabindex', '0']], onSelf: true }, { looks: ['off'], attributes: [['inert', '']], within: '.card .back' }, { looks: ['on', 'pressed', 'still'], attributes: [['inert', '']], within: '.card .front' }],
    places: new Map(),
    values: [
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
