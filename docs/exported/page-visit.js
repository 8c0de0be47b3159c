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
  function draw(now) {
    nextFrame = 0
    for (const event of events.splice(0)) meet(event)
    const t = Math.max(now, pointer.time)
    advance(t)
    for (const effect of effects) {
      guarded(effect, drawEffect, t)
    }
  }

  function drawEffect(effect, t) {
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType, key }) {
    const t = Math.max(pointer.time, timeStamp)
    advance(t)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      forgetFrames(t)
      for (const effect of effects) findAll(effect)
    }
    pointer.time = t
    if (type === 'keydown') {
      pressKey(key ?? '', t)
      return
    }
    if (type.startsWith('focus')) {
      for (const effect of effects)
        meetFocus(effect, type === 'focusin' && target.matches(':focus-visible') ? target : null)
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
    hearTap(type, t)
    for (const effect of effects) {
      meetTap(effect, target)
      guarded(effect, meetEffect, t)
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll(effect) {
    const areas = new Set(
      effect.isWindow ? [document.documentElement] : [...document.querySelectorAll(effect.select)],
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
    for (const place of effect.places.values()) layBeside(effect, place)
  }

  function standIn(effect, t) {
    findAll(effect)
    if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Whether nothing foreign lies on an element where the pointer is: what it hits is around it, or of those that the effect is about.
  const isClear = (effect, over, element) => over.contains(element) || over.closest(effect.notForeign) !== null

  // Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can.
  function isMet(effect, over, area) {
    const isOnIt = (element) => hasPointer(frameOf(element, effect.measure))
    if (!effect.insets || isOnIt(area)) return isClear(effect, over, area)
    return true
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect(effect) {
    const isElsewhere = effect.except && pointer.over?.closest(effect.except) ? true : effect.fine && pointer.isTouch
    const over = isElsewhere ? null : pointer.over
    if (!effect.findsAll) {
      const hit = over?.closest(effect.select)
      if (hit && !effect.places.has(hit)) begin(effect, hit)
    }
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area, beside }) => holds(effect, area, beside) && (effect.amongAll ? isMet(effect, over, area) : isClear(effect, over, area)))
      : []
    // How far it has to reach for the pointer, and those that have to reach the least.
    const wayTo = ({ area }) => {
      const { toFrame, width, height } = frameOf(area, effect.measure)
      const { x, y } = toFrame.transformPoint(pointer)
      return Math.max(0, -x, x - width, -y, y - height)
    }
    const ways = holding.map(wayTo)
    const near = holding.filter((_, i) => ways[i] === Math.min(...ways))
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = effect.amongAll
      ? undefined
      : (holding.findLast(({ area }) => area.contains(over)) ?? near.find((place) => place.isOn) ?? near.at(-1))
    for (const place of all) {
      const has = effect.amongAll ? holding.includes(place) : place.area === first?.area
      if (has || place.isOn) meetPlace(effect, place, has)
    }
  }

  function meetPlace(effect, place, has) {
    const arrives = has && !place.isOn
    place.isOn = has
    if (arrives || Math.hypot(pointer.x - place.stood.x, pointer.y - place.stood.y) >= 3)
      place.stood = { x: pointer.x, y: pointer.y, t: pointer.time }
    turnPlace(effect, place, pointer.time, arrives)
    if (effect.turnsLooks) followCauses(effect, place, pointer.time)
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height, border }, insets) {
    const { x, y } = toFrame.transformPoint(pointer)
    const [top, right, bottom, left] = border
    const [above, after, below, before] = insets ? insets(left + width + right, top + height + bottom) : [0, 0, 0, 0]
    return (
      x >= before - left - 1 / 64 && x <= width + right - after + 1 / 64 && y >= above - top - 1 / 64 && y <= height + bottom - below + 1 / 64
    )
  }

  // In the window a point is where it is.
  const asItIs = new DOMMatrix()

  const measureWindow = () => ({ toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight, border: none })
  // Where an area lies: its element, the box around a group, or the window.
  function areaFrame(effect, area) {
    if (effect.isWindow) return frameOf(document, measureWindow)
    return frameOf(area, effect.measure)
  }

  // Whether the pointer is on an area: on its element, on one of a group, or on what is bridged or joined to it.
  function holds(effect, area, beside) {
    if (effect.isWindow) return hasPointer(frameOf(document, measureWindow), effect.insets)
    if (beside && hasPointer(frameOf(beside, effect.measure))) return true
    return hasPointer(frameOf(area, effect.measure), effect.insets)
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: !!effect.stands,
      focused: false,
      followers: effect.values.map((value) => ({
      value,
      target: shapedOf(value, 0),
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
      gaps: new Array(value.links ?? 0).fill(0),
      halfLifeMs: value.halfLifeMs,
    })),
      stood: { x: 0, y: 0, t: 0 },
      look: { state: 'off', shown: 'off', dueAt: Infinity, tapped: false },
    }
    if (effect.joined) place.beside = linkedTo(effect, place, effect.joined)[0]
    effect.places.set(element, place)
  }

  const shapedOf = ({ curve }, reading) => (curve ? curve(reading) : reading)

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(effect, place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = areaFrame(effect, place.area)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    const target = shapedOf(value, reading)
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (value.links && arrives && (seen && !valueAt(seen, at.t)))
      follower.gaps?.fill(0)
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target, gap: 0, speed: 0 })
    follower.reading = reading
    if (value.links) turnChain(follower, target, (at.place.isOn ? value.halfLifeMs : undefined) ?? value.halfLifeMs ?? 1, at.t)
    else {
      // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
      const feel = at.place.isOn ? value.feel : (value.going ?? value.feel)
      const t = at.t
      if (target !== follower.target || feel !== follower.feel) {
        const { gap, speed } = follower.feel(follower, t)
        shorten(follower, target, gap)
        Object.assign(follower, { target, feel, since: t, gap: gap + follower.target - target, speed })
      }
    }
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  const set = (target, value, shown) =>
    target.style.setProperty(value.property, shown.toFixed(value.digits) + (value.isLength ? 'px' : ''))

  // What a value is written on: parts are looked for once, as long as they are there.
  function seenOnParts(place, follower) {
    if (!follower.seen?.[0]?.isConnected) follower.seen = [...targetsOf(place, follower.value)]
    return follower.seen
  }

  // Writes the links of a chain: one of them, or each on an element of its own.
  function writeChain(place, chain, t) {
    const { value } = chain
    const last = (value.links ?? 1) - 1
    let k = 0
    for (const target of value.isOfParts ? seenOnParts(place, chain) : targetsOf(place, value))
      set(target, value, linkAt(chain, Math.min(k++, last), t))
    if (motionOf(chain, last, t).moves) place.moves = true
  }

  // Says on an element that an effect is at work on it: from now on its rules count.
  function mark(effect, place) {
    place.element.setAttribute(effect.mark, '')
    for (const target of seenOn(effect, place)) target.setAttribute(effect.mark, '')
    if (place.beside) tie(effect, place, place.beside)
    if (effect.parts && !(effect.meets)) addParts(place.area, effect.parts, effect.measure)
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute(effect.mark)) mark(effect, place)
    place.moves = false
    if (effect.meets) meetParts(effect, place)
    for (const follower of place.followers) {
      const { value } = follower
      if (value.links) writeChain(place, follower, t)
      else {
        const { gap, moves } = follower.feel(follower, t)
        if (value.property)
          for (const target of value.isOfParts ? seenOnParts(place, follower) : targetsOf(place, value))
            set(target, value, moves ? follower.target + gap : follower.target)
        if (moves) place.moves = true
      }
    }
    if (effect.turnsLooks && place.look.dueAt < Infinity) place.moves = true
    if (effect.meets && !place.moves) meetParts(effect, place)
    tellNear(effect, place, t)
    tellMet(effect, place)
    if (place.isOn) stayOnTop(effect)
    if (effect.shownWhileOn) showParts(effect, place, effect.shownWhileOn)
    if (effect.turnsLooks) showLook(effect, place)
    layBeside(effect, place)
    tellZones(effect, place)
    if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
    return place.moves
  }

  // Adds the parts of an effect to an element, once.
  function addParts(host, parts, measure) {
    const made = new Map()
    const isThere = ({ inside, host: elsewhere, is }) => !inside && !elsewhere && !is
    if (parts.some(isThere) && getComputedStyle(host).position === 'static') {
      host.style.position = 'relative'
    }
    for (const part of parts) {
      const home = (part.inside && made.get(part.inside)) || (part.host ? homeOf(part.host) : host)
      if (part.lays) {
        keepLaid(host, home, part, measure)
        continue
      }
      made.set(part.part, addPart(home, part))
      for (let n = 1; n < (part.count ?? 1); n++) addPart(home, part)
      if (part.isNumbered)
        home.querySelectorAll(`:scope > .${part.part}`).forEach(({ style }, n) => {
          style.setProperty(`--${part.part}-index`, String(n))
        })
    }
  }

  // What lies over all else goes over what has come there since: a dialog, a popover, what fills the screen.
  function stayOnTop(effect) {
    const top = pointer.over?.closest(':modal, :popover-open, :fullscreen') ?? null
    if (top === effect.under) return
    effect.under = top
    if (!top) return
    for (const { part, host, is } of effect.parts ?? []) {
      if (host !== 'top' && !is) continue
      for (const element of document.querySelectorAll(`.${part}`)) {
        element.hidePopover()
        element.showPopover()
      }
    }
  }

  // Where on the page a part stands that does not stand in its area.
  const homeOf = (host) =>
    host === 'top' ? document.body : (document.querySelector(host) ?? document.body)

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    home,
    { part, host: place },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    home.append(element)
    if (place === 'top') {
      element.popover = 'manual'
      element.showPopover()
    }
    return element
  }

  // Parts that are there only with the pointer come with it, and are gone once all has come to rest; of more places than may have them the oldest one loses them.
  function meetParts(effect, place) {
    const alive = (effect.alive ??= [])
    const isWanted = effect.turnsLooks ? place.look.shown !== 'off' : place.isOn
    const isThere = alive.includes(place)
    if (isWanted && !isThere) {
      addParts(place.area, effect.parts ?? [], effect.measure)
      alive.push(place)
    }
    const ends = alive.length > (effect.meets ?? 1) ? alive.shift() : !isWanted && isThere && !place.moves ? place : undefined
    if (!ends) return
    effect.alive = alive.filter((each) => each !== ends)
    endParts(ends, effect.parts)
  }

  const endParts = ({ area }, parts = []) =>
    parts.forEach(({ part }) => area.querySelectorAll(`:scope > .${part}`).forEach((element) => element.remove()))

  // What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing.
  function showParts({ turnsLooks }, { area, isOn, look, moves }, parts) {
    const isSeen = turnsLooks ? look.shown !== 'off' : isOn
    for (const part of partsOf(area, parts)) part.style.visibility = isSeen || moves ? '' : 'hidden'
  }

  // The parts of an area that a selector means: in it, or elsewhere on the page.
  const partsOf = (area, select) =>
    !select.includes(':scope')
      ? document.querySelectorAll(select)
      : [...area.querySelectorAll(select), ...document.querySelectorAll(select.replaceAll(':scope', ':not(*)'))]

  // Until when all that changes by itself has been followed.
  let advanced = 0

  // Takes what happens by itself until t, in the order of time.
  function advance(t) {
    for (const effect of effects) {
      if (effect.turnsLooks) advanceLooks(effect, advanced, t)
    }
    advanced = Math.max(advanced, t)
  }

  let tied = 0
  // Ties what is joined to a place to it: by a name for the stylesheet, and for assistive technology.
  function tie({ name, describes }, { area }, beside) {
    const anchor = `${name}-${++tied}`
    for (const { style } of [area, beside]) {
      style.setProperty('--note-anchor', `--${anchor}`)
    }
    if (!describes) return
    const focusable = 'a[href], button, input, select, textarea, summary, [tabindex]'
    const described = area.matches(focusable) ? area : (area.querySelector(focusable) ?? area)
    const before = described.getAttribute('aria-describedby')
    beside.id ||= anchor
    described.setAttribute('aria-describedby', `${before ?? ''} ${beside.id}`.trim())
  }

  // Lays what is joined to a place beside it, where the browser's stylesheets cannot: on the other side where it fits there alone, and within
  // the window.
  function layBeside({ side, align, gapPx = 0 }, { area, beside, look }) {
    if (!side || !beside || look.shown === 'off' || CSS.supports('position-area', 'top')) return
    const { left, right, top, bottom } = area.getBoundingClientRect()
    const { offsetWidth: width, offsetHeight: height } = beside
    const { clientWidth, clientHeight } = document.documentElement
    const isLevel = side === 'left' || side === 'right'
    const [start, end, size, room] = isLevel ? [left, right, width, clientWidth] : [top, bottom, height, clientHeight]
    const [before, after] = [start - gapPx - size, end + gapPx]
    const isBefore = side === 'left' || side === 'top'
    const goesBefore = isBefore ? before >= 0 || after + size > room : after + size > room && before >= 0
    const [from, to, length, breadth] = isLevel ? [top, bottom, height, clientHeight] : [left, right, width, clientWidth]
    const wanted = align === 'start' ? from : align === 'end' ? to - length : (from + to - length) / 2
    const along = Math.max(0, Math.min(wanted, breadth - length))
    const away = goesBefore ? before : after
    beside.style.setProperty('--note-gap', '0px')
    beside.style.setProperty('--note-left', `${isLevel ? away : along}px`)
    beside.style.setProperty('--note-top', `${isLevel ? along : away}px`)
  }

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(effect, target) {
    if (!effect.focuses) return
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        [place.area, place.beside].some((home) => home?.contains(target)) &&
        true
      if (focused !== place.focused) {
        place.focused = focused
        if (effect.turnsLooks) followCauses(effect, place, pointer.time)
        turnPlace(effect, place, pointer.time, false)
      }
    }
  }

  // Where and when a finger went down; whether it has just come up again there.
  let finger = { x: 0, y: 0, t: -Infinity }

  let isTap = false
  function hearTap(type, t) {
    isTap = type === 'pointerup' && pointer.isTouch && t - finger.t <= 500 && Math.hypot(pointer.x - finger.x, pointer.y - finger.y) <= 10
    if (type === 'pointerdown') finger = { x: pointer.x, y: pointer.y, t }
  }

  // Whether the finger went down on something that its tap is to open.
  let opens = false

  // A tap that opens something follows no link; the next one does. What is open is asked as the finger goes down: frames go by before its click.
  function keepTap(event) {
    const { type, pointerType, detail, target } = event
    if (type === 'click') {
      // A click by a key has no detail.
      if (opens && detail) event.preventDefault()
      return
    }
    opens = false
    for (const effect of effects) {
      const area = pointerType === 'touch' && target.closest(effect.select)
      if (area) opens ||= !effect.places.get(area)?.look.tapped
    }
  }

  // A tap turns on what had the finger, unless it was meant for something else; a tap elsewhere ends that.
  function meetTap(effect, target) {
    if (!isTap || !effect.taps) return
    const isPlain = !target.closest(effect.taps)
    for (const place of effect.places.values()) {
      const tapped = isPlain && place.isOn
      if (tapped === place.look.tapped) continue
      place.look.tapped = tapped
      if (effect.turnsLooks) followCauses(effect, place, pointer.time)
    }
  }

  // What link k of a chain of equal glides is missing after so many half-lives: e^-x * sum over j of x^j / j! * gap(k - j). It is at rest where the
  // sizes of all of them come to less than what can be seen, once every one of them falls.
  function motionOf({ gaps = [], halfLifeMs = 1, since, band }, k, t) {
    const x = (Math.LN2 * Math.max(0, t - since)) / halfLifeMs
    let [gap, bound, term] = [0, 0, Math.exp(-x)]
    for (let j = 0; j <= k; j++) {
      const missing = term * (gaps[k - j] ?? 0)
      gap += missing
      bound += Math.abs(missing)
      term *= x / (j + 1)
    }
    return { gap, moves: bound > band || (bound > 0 && x < k) }
  }

  // Where link k is: at the target, once it is too near to be seen apart.
  function linkAt(chain, k, t) {
    const { gap, moves } = motionOf(chain, k, t)
    return moves ? chain.target + gap : chain.target
  }

  // Turns a chain to a new target: each link goes on from where it is.
  function turnChain(chain, target, halfLifeMs, t) {
    if (chain.target === target && chain.halfLifeMs === halfLifeMs) return
    const gaps = (chain.gaps ?? []).map((_, k) => linkAt(chain, k, t) - target)
    Object.assign(chain, { target, halfLifeMs, gaps, since: t })
  }

  const isPart = (node) => node.dataset?.part === ''

  // cubic-bezier(x1, y1, x2, y2): the time is found by Newton's method inside a shrinking bracket. Outside 0..1 it holds.
  function bezier(x1, y1, x2) {
    const on = (a, b, s) => 3 * (1 - s) * s * ((1 - s) * a + s * b) + s ** 3
    return (share) => {
      let [low, high, s] = [0, 1, share]
      for (let step = 0; step < 40; step++) {
        const error = on(x1, x2, s) - share
        if (error > 0) high = s
        else low = s
        const next = s - error / (3 * (1 - s) ** 2 * x1 + 6 * (1 - s) * s * (x2 - x1) + 3 * s * s * (1 - x2))
        s = next > low && next < high ? next : (low + high) / 2
      }
      return on(y1, 1, s)
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

  // What is missing halves every 40 ms.
  // The gap halves again and again, in the same time each.
  function glide({ gap, since, band }, t) {
    const left = gap * 2 ** ((since - t) / 40)
    return { gap: left, speed: 0, moves: Math.abs(left) > band }
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

  // Hears a key that an effect asks for, but for what is written with it.
  function hearKey(event) {
    const { type, timeStamp, key, target, altKey, ctrlKey, metaKey } = event
    if (altKey || ctrlKey || metaKey || target.closest('input, textarea, select, [contenteditable]')) return
    if (key !== 'Escape') return
    events.push({ type, timeStamp, key, target, clientX: pointer.x, clientY: pointer.y, buttons: 0 })
    wake()
  }

  // What was last told of an element, and when.
  const lastTold = new WeakMap()

  // What the stylesheet says of some properties of an element: asked for five times a second at most, since that may have styles worked out. It is
  // the same list as long as it says the same.
  function toldBySheet(element, properties, t) {
    const last = lastTold.get(element)
    if (last && t - last.askedAt <= 200) return last.told
    const style = getComputedStyle(element)
    const told = properties.map((name) => style.getPropertyValue(name).trim())
    const same = last?.told.join() === told.join() ? last.told : told
    lastTold.set(element, { told: same, askedAt: t })
    return same
  }

  // What is not taken apart: letters that fonts join, and words of scripts whose letters change beside others.
  const joined = /ff[il]?|f[il]|[\p{Script=Arabic}\p{Script=Syriac}\p{Script=Mongolian}\p{Script=Nko}\p{Mn}]+/gu

  // Where pieces of a text begin.
  function beginsOf(text, by) {
    const segments = [...new Intl.Segmenter(undefined, {  }).segment(text)]
    if (by === 'letters') {
      const inner = new Set(
        [...text.matchAll(joined)].flatMap(({ 0: { length }, index }) => Array.from({ length: length - 1 }, (_, i) => index + i + 1)),
      )
      return segments.map(({ index }) => index).filter((index) => !inner.has(index))
    }
    // A mark goes with the word before it, or with the next one.
    const isSpace = (at) => !text.charAt(at).trim()
    let hasWord = false
    return segments
      .filter(({ index, isWordLike = false }) => {
        const begins = index === 0 || isSpace(index) || isSpace(index - 1) || (isWordLike && hasWord)
        hasWord = isWordLike || (hasWord && !begins)
        return begins
      })
      .map(({ index }) => index)
  }

  // The pieces of the texts in an element, but for what is empty or not seen.
  function piecesOf(host, by) {
    const walker = document.createTreeWalker(host, NodeFilter.SHOW_TEXT)
    const pieces = []
    let top = NaN
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement
      if (!parent || parent.closest('[data-part], style, script')) continue
      const { data } = node
      const begins = beginsOf(data, by)
      begins.forEach((from, i) => {
        const end = from + data.slice(from, begins[i + 1]).trimEnd().length
        const range = document.createRange()
        range.setStart(node, from)
        range.setEnd(node, end)
        const [rect] = range.getClientRects()
        const last = pieces.at(-1)
        if (!rect?.width) return
        // Of one line all is one piece.
        if (by === 'lines' && last?.range.endContainer === node && Math.abs(rect.top - top) < 1) last.range.setEnd(node, end)
        else if (end > from) pieces.push({ range, parent })
        top = rect.top
      })
    }
    return pieces
  }

  // Lays each letter, word or line of a host once more over where it stands, as long as that is there: they can be moved without the text.
  function keepLaid(host, home, part, measure) {
    home.dataset.letters = ''
    layLetters(host, home, part, measure)
    const sizeOf = () => `${host.clientWidth} ${host.clientHeight}`
    let size = sizeOf()
    const changes = new MutationObserver((records) => {
      const isOwn = ({ target, addedNodes, removedNodes }) =>
        home.contains(target) || [...addedNodes, ...removedNodes].some(isPart)
      if (!home.isConnected || !records.every(isOwn)) layAnew()
    })
    const sizes = new ResizeObserver(() => {
      if (size !== sizeOf()) layAnew()
      size = sizeOf()
    })
    const layAnew = () => {
      if (home.isConnected) layLetters(host, home, part, measure)
      else {
        changes.disconnect()
        sizes.disconnect()
      }
    }
    changes.observe(host, { subtree: true, childList: true, characterData: true })
    sizes.observe(host)
  }

  // The letters that are laid over a text, by what holds it.
  const laid = new WeakMap()

  function layLetters(host, home, { part, lays }, measure) {
    const { toFrame } = frameOf(host, measure)
    const isUpright = Math.abs(toFrame.b) + Math.abs(toFrame.c) < 1e-6
    const letters = piecesOf(host, lays).map(({ range, parent }) => {
      const { left, top, width, height } = range.getBoundingClientRect()
      const { x, y } = toFrame.transformPoint({ x: left + width / 2, y: top + height / 2 })
      const { color, fontFamily, fontSize, fontStyle, fontWeight, letterSpacing, textTransform } = getComputedStyle(parent)
      const element = document.createElement('span')
      element.className = part
      element.dataset.part = ''
      element.textContent = range.toString().replace(/\s+/g, ' ')
      element.style.left = `${x}px`
      element.style.top = `${y}px`
      if (isUpright) element.style.lineHeight = `${height * toFrame.d}px`
      if (parent !== host) {
        element.style.fontFamily = fontFamily
        element.style.fontSize = fontSize
        element.style.fontStyle = fontStyle
        element.style.letterSpacing = letterSpacing
        element.style.textTransform = textTransform
      }
      element.style.setProperty('--letter-weight', fontWeight)
      element.style.setProperty('--letter-colour', color)
      return { element, x, y, near: 0 }
    })
    laid.set(host, letters)
    home.replaceChildren(...letters.map(({ element }) => element))
  }

  // Tells each letter of a place that the pointer reaches, or did, how near it is.
  function tellNear({ parts = [] }, { area, followers }, t) {
    const letters = laid.get(area) ?? []
    const part = parts.find(({ reach }) => reach)
    const home = letters[0]?.element.parentElement
    if (!home?.isConnected || !part?.reach) return
    const reachPx = parseFloat(toldBySheet(home, [part.reach], t)[0] ?? '') || 1
    const at = { x: 0, y: 0, here: 0 }
    for (const follower of followers) if (follower.value.nears) at[follower.value.nears] = valueAt(follower, t)
    for (const letter of letters) {
      const dx = letter.x - at.x
      const dy = letter.y - at.y
      const far = Math.hypot(dx, dy)
      const near = far < reachPx ? at.here * (0.5 + 0.5 * Math.cos((Math.PI * far) / reachPx)) : 0
      if (near === letter.near) continue
      letter.near = near
      const { style } = letter.element
      style.setProperty('--near', near.toFixed(4))
    }
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

  function turnLook(effect, place, event, t) {
    const { look } = place
    let changed = change(look, event)
    if (look.state === 'going') {
      if (event === 'go') look.dueAt = t + (effect.goDelayMs ?? 0)
      if (look.dueAt <= t) changed = change(look, 'due') || changed
    }
    if (look.state === 'on') look.dueAt = effect.stillMs && place.isOn ? Math.max(t, place.stood.t + effect.stillMs) : Infinity
    else if (look.state !== 'going') look.dueAt = Infinity
    return changed
  }

  // Brings the look of a place in line with the pointer, its buttons, the focus and taps.
  function followCauses(effect, place, t) {
    const { look, isOn } = place
    const wasOff = look.shown === 'off'
    const isCaused = isOn || (effect.takesKeys && place.focused) || look.tapped
    if (!isCaused) look.dismissed = false
    if (look.dismissed) return
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    let changed = causes.map((event) => turnLook(effect, place, event, t)).includes(true)
    if (look.state === 'still' && (!isCaused || place.stood.t + (effect.stillMs ?? 0) > t))
      changed = turnLook(effect, place, 'move', t) || changed
    if (changed) show(effect, place, t, wasOff)
  }

  // Escape puts off what shows anything.
  function dismissAll(effect, t) {
    if (!effect.escapes) return
    for (const place of effect.places.values()) {
      if (!turnLook(effect, place, 'dismiss', t)) continue
      place.look.tapped = false
      place.look.dismissed = place.isOn || place.focused
      show(effect, place, t)
    }
  }

  // Follows a look that has changed, in its place and in the others; where one at most is on, the others go off.
  function show(effect, place, t, wasOff = false) {
    const { look } = place
    turnPlace(effect, place, t, false)
    for (const other of effect.places.values()) {
      if (other.area === place.area) continue
      const isDismissed = effect.atMostOne && look.shown !== 'off' && wasOff && turnLook(effect, other, 'dismiss', t)
      if (isDismissed) other.look.tapped = false
      if (isDismissed) turnPlace(effect, other, t, false)
    }
  }

  // Takes what is due by itself until t, the first one first: the end of a delay, or of standing still. Gives when that was last.
  function advanceLooks(effect, from, until) {
    for (let at = from; ;) {
      const due = [...effect.places.values()].reduce(
        (first, place) => (place.look.dueAt <= (first?.look.dueAt ?? until) ? place : first),
        undefined,
      )
      if (!due) return at
      const t = due.look.dueAt
      at = t
      due.look.dueAt = Infinity
      if (turnLook(effect, due, due.look.state === 'going' ? 'due' : 'rest', t)) show(effect, due, t)
    }
  }

  // No borders, and no round corners.
  const none = [0, 0, 0, 0]

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

  // Where an element would lie if it were not slid: its size is that of the box that is seen.
  function sliding(element) {
    const { x, y, width, height } = element.getBoundingClientRect()
    const { e, f } = new DOMMatrix(getComputedStyle(element).transform)
    return paddingBox(new DOMMatrix([1, 0, 0, 1, e - x, f - y]), width, height, element)
  }

  // A text of the stylesheet, without its quotes and with what is escaped in it.
  const toldOf = (element, property) =>
    getComputedStyle(element)
      .getPropertyValue(property)
      .replaceAll(/^\s*["']|["']\s*$/g, '')
      .replaceAll(/\\(?:([0-9a-f]{1,6}) ?|(.))/gi, (_, code, character) =>
        code === undefined ? character : String.fromCodePoint(Number(`0x${code}`)),
      )

  // Has parts say what the element says that the pointer is on, by the number of what asks for that; they go on saying it until another one says something.
  function tellMet(effect, place) {
    for (const part of effect.parts ?? []) {
      const { asks, says = [] } = part
      if (!asks) continue
      const element = place.isOn && pointer.over?.closest(asks.join(', '))
      if (!element || element === part.met) continue
      part.met = element
      const say = says[overOf(asks) - 1]
      for (const each of partsOf(place.area, effect.isWindow ? `.${part.part}` : `:scope .${part.part}`)) {
        if (say) each.textContent = say(element)?.trim() ?? ''
      }
    }
  }

  // Which of several selectors the innermost element under the pointer matches, the last of those that do, from 1; 0 for none. While a pointer goes, as it was.
  function overOf(among, before = 0) {
    if (!pointer.over) return before
    const element = pointer.over.closest(among.join(', '))
    return element ? 1 + among.findLastIndex((select) => element.matches(select)) : 0
  }

  // Takes a key to the effects; gives where it moves the pointer to.
  function pressKey(key, t) {
    if (key === 'Escape') for (const effect of effects) dismissAll(effect, t)
    return undefined
  }

  const rest = { gap: 0, speed: 0, moves: false }
  // The value itself, at once.
  const direct = () => rest

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(effect, place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute(effect.mark) === shown) return
    const told = effect.linkedLooks ? [element, ...seenOn(effect, place)] : [element]
    for (const target of told) {
      target.setAttribute(effect.mark, shown)
    }
  }

  // The elements that a value is written on.
  function targetsOf(
    place,
    { onSelf, within, onParts },
  ) {
    return [
      ...(onSelf ? [place.element] : []),
      ...(within ? place.element.querySelectorAll(within) : []),
      ...(onParts ? partsOf(place.area, onParts) : []),
    ]
  }

  // The elements that something of an effect is seen on, besides its parts.
  const seenOn = (effect, place) => [
    ...(effect.seenOnSelf ? [place.element] : []),
    ...(effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : []),
    ...(effect.seenLinked ? effect.seenLinked.flatMap((select) => linkedTo(effect, place, select)) : []),
  ]

  // The element that is in step with an area: the first with the first, the second with the second.
  function linkedTo(effect, { area }, select) {
    const index = effect.isWindow ? 0 : [...document.querySelectorAll(effect.select)].indexOf(area)
    return [...document.querySelectorAll(select)].slice(index, index + 1)
  }

  // Tells the zones that the pointer is in, by attributes that the stylesheet can use.
  function tellZones(effect, place) {
    for (const follower of place.followers) {
      const { value, reading, told } = follower
      if (value.zone && reading !== undefined && reading !== told) {
        const attribute = `${effect.mark}-${value.zone}`
        follower.told = reading
        place.element.setAttribute(attribute, String(reading))
      }
    }
  }

  // From where it is to the target in a given time, after a delay.
  function timed(
    { gap, since, share: part = 1 },
    t,
    durationMs,
    ease,
  ) {
    const share = (t - since) / (durationMs * part)
    return gap && share < 1 ? { gap: gap * (1 - (share > 0 ? ease(share) : 0)), speed: 0, moves: true } : rest
  }

  // What turns back to where it came from takes its time for as much of the way as it has gone, as transitions do.
  function shorten(follower, target, missing) {
    const { gap, share = 1, from = NaN, band } = follower
    const isBack = missing && gap && Math.abs(target - from) <= band
    follower.share = isBack ? Math.min(1, Math.abs((1 - missing / gap) * share + 1 - share)) : 1
    follower.from = isBack ? follower.target : follower.target + missing
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

  const bend = (x) => Math.min(75, Math.max(-75, x))
  const follows = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.9 * 0.62, 2 * Math.PI * 2.9 * Math.sqrt(1 - 0.62 ** 2)) // settles in 328 ms, 8 % overshoot
  const soft = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.27 * 0.715, 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)) // settles in 416 ms, 4 % overshoot
  const ease = bezier(0, 0, 0.58) // ease-out
  const comes = (follower, t) => timed(follower, t, 140, ease)
  const ease2 = bezier(0.2, 0.7, 0.2)
  const comes2 = (follower, t) => timed(follower, t, 200, ease2)
  const goes = (follower, t) => timed(follower, t, 900, ease2)

  const effects = [
    // Beside each term its meaning comes up above it, 10px away, and travels 7px; both are one place to the pointer.
    {
      select: '.term',
      name: 'term-note',
      mark: 'data-term-note',
      notForeign: '.term, .explained > .note, .action, .action > span, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      linkedLooks: true,
      joined: '.explained > .note',
      describes: true,
      side: 'top',
      align: 'center',
      gapPx: 10,
      taps: 'input, select, textarea, summary, label',
      focuses: true,
      measure: plain,
      turnsLooks: true,
      goDelayMs: 320,
      atMostOne: true,
      takesKeys: true,
      escapes: true,
      seenLinked: ['.explained > .note'],
      places: new Map(),
      values: [
      ],
    },
    // From 44px around it each button comes 24% of the way to the pointer, at most 18px; its words 9% more.
    {
      select: '.action',
      name: 'action-pull',
      mark: 'data-action-pull',
      notForeign: '.action, .action > span, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      seenOnSelf: true,
      fine: true,
      insets: () => [-44, -44, -44, -44],
      measure: sliding,
      seenWithin: '.action > span',
      places: new Map(),
      values: [
        { property: '--action-pull-x', read: ({ x, width }) => x - width / 2, isLength: true, curve: bend, band: 0.015, digits: 3, feel: follows, onSelf: true, within: '.action > span' },
        { property: '--action-pull-y', read: ({ y, height }) => y - height / 2, isLength: true, curve: bend, band: 0.015, digits: 3, feel: follows, onSelf: true, within: '.action > span' },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .action, .action > span, .sky .sky-near, .sky .sky-far',
      fine: true,
      measure: plain,
      seenWithin: '.sky-near, .sky-far',
      places: new Map(),
      values: [
        { property: '--sky-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), band: 0.0002, digits: 4, feel: soft, within: '.sky-near, .sky-far' },
      ],
    },
    // On every page the cursor is a dot of 12px in #e0a63a; over each sheet it is a disc with a text of 78px in #1d3b2c that says this text: Unfold; over each ticket it is a disc with a text of 78px in #ffe0a0 that says this text: Step in; over the wing it is a ring of 16px in #2c2a22.
    {
      select: ':root',
      name: 'cursor',
      mark: 'data-cursor',
      notForeign: '*',
      findsAll: true,
      keeps: true,
      isWindow: true,
      except: 'input, textarea, select, option, [contenteditable], iframe, frame, embed, object, video[controls], audio[controls], input *, [contenteditable] *',
      fine: true,
      measure: plain,
      parts: [{ part: 'cursor-point', host: 'top' }, { part: 'cursor-shape', inside: 'cursor-point' }, { part: 'cursor-text', inside: 'cursor-shape', asks: ['.sheet', '.ticket', '.under-glass'], says: [(element) => toldOf(element, '--cursor-sheet-text'), (element) => toldOf(element, '--cursor-ticket-text'), undefined] }],
      shownWhileOn: '.cursor-point',
      places: new Map(),
      values: [
        { property: '--cursor-x', read: ({ x }) => x, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { property: '--cursor-y', read: ({ y }) => y, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { property: '--cursor-there', read: () => 1, band: 0.0001, digits: 5, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { read: (at, { reading }) => overOf(['.sheet', '.ticket', '.under-glass'], reading), zone: 'over', band: 0.0003, digits: 4, feel: direct, onSelf: true },
        { property: '--cursor-press', read: () => (pointer.buttons ? 1 : 0), band: 0.0001, digits: 5, feel: comes, onParts: '.cursor-point > .cursor-shape', isOfParts: true },
      ],
    },
    // Within 210px of the pointer each letter of the closing line is 100% as large, of the weight 620, and rises by 5px; its colour is #f0c36d.
    {
      select: '.closing',
      name: 'closing-letters',
      mark: 'data-closing-letters',
      notForeign: '.closing, .action, .action > span, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      amongAll: true,
      fine: true,
      insets: () => [-210, -210, -210, -210],
      measure: plain,
      parts: [{ part: 'closing-letters-letters' }, { part: 'closing-letters-letter', inside: 'closing-letters-letters', lays: 'letters', reach: '--closing-letters-reach' }],
      meets: 3,
      places: new Map(),
      values: [
        { read: () => 1, nears: 'here', band: 0.0001, digits: 5, feel: comes2, going: goes, onSelf: true },
        { read: ({ x }) => x, nears: 'x', holds: true, band: 0.01, digits: 3, feel: glide, seenBy: 0, onSelf: true },
        { read: ({ y }) => y, nears: 'y', holds: true, band: 0.01, digits: 3, feel: glide, seenBy: 0, onSelf: true },
      ],
    },
    // Behind the pointer over every page, dots, 10 pieces from 6px to 3px in #e8c25a; they follow one another.
    {
      select: ':root',
      name: 'trail',
      mark: 'data-trail',
      notForeign: '*',
      findsAll: true,
      stands: true,
      keeps: true,
      isWindow: true,
      fine: true,
      measure: plain,
      turnsLooks: true,
      stillMs: 400,
      parts: [{ part: 'trail-pieces', host: 'top' }, { part: 'trail-piece', inside: 'trail-pieces', count: 10, isNumbered: true }],
      places: new Map(),
      values: [
        { property: '--trail-x', read: ({ x }) => x, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 10, halfLifeMs: 23.567004139, seenBy: 2, onParts: '.trail-pieces > .trail-piece', isOfParts: true },
        { property: '--trail-y', read: ({ y }) => y, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 10, halfLifeMs: 23.567004139, seenBy: 2, onParts: '.trail-pieces > .trail-piece', isOfParts: true },
        { read: () => 1, band: 0.0001, digits: 5, feel: direct, onSelf: true },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    guarded(effect, standIn, pointer.time)
  }
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
  addEventListener('pointerdown', keepTap, true)
  addEventListener('click', keepTap, true)
  addEventListener('keydown', hearKey, { capture: true })
})()
