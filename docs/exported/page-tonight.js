(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    fromX: 0,
    fromY: 0,
    over: null,
    buttons: 0,
    isTouch: false,
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
    advance(t)
    for (const effect of effects) {
      guarded(effect, drawEffect, t)
    }
  }

  function drawEffect(effect, t) {
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType }) {
    const t = Math.max(pointer.time, timeStamp)
    advance(t)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      forgetFrames(t)
      for (const effect of effects) findAll(effect)
    }
    pointer.time = t
    if (type.startsWith('focus')) {
      for (const effect of effects)
        meetFocus(effect, type === 'focusin' && target.matches(':focus-visible') ? target : null)
      return
    }
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
      // A pointer that comes has no way behind it.
      ;[pointer.fromX, pointer.fromY] = pointer.over || isOut ? [pointer.x, pointer.y] : [clientX, clientY]
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.buttons = buttons
      pointer.isTouch = pointerType === 'touch'
    } else {
      // Where the pointer stands while the page moves is where it was then.
      ;[pointer.fromX, pointer.fromY] = [pointer.x, pointer.y]
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
  }

  function standIn(effect, t) {
    findAll(effect)
    if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Whether nothing foreign lies on an element where the pointer is: what it hits is around it, or of those that the effect is about.
  const isClear = (effect, over, element) => over.contains(element) || over.closest(effect.notForeign) !== null

  // Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can.
  function isMet(effect, over, area) {
    const isOnIt = (element) => hasPointer(frameOf(element, plain))
    if (!effect.insets || isOnIt(area)) return isClear(effect, over, area)
    return !effect.beyond || [...document.querySelectorAll(effect.beyond)].some(isOnIt)
  }

  // Which the pointer hits, and which it hit before: of others nothing has to be known.
  function nearTo(effect, over) {
    const hit = over?.closest(effect.select)
    const now = hit ? effect.places.get(hit) : undefined
    const near = new Set([effect.hit, now])
    effect.hit = now
    return [...near].filter((each) => each !== undefined)
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect(effect) {
    const isElsewhere = effect.except && pointer.over?.closest(effect.except) ? true : effect.fine && pointer.isTouch
    const over = isElsewhere ? null : pointer.over
    if (!effect.findsAll) {
      const hit = over?.closest(effect.select)
      if (hit && !effect.places.has(hit)) begin(effect, hit)
    }
    const all = effect.byHit ? nearTo(effect, over) : [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => holds(effect, area) && (effect.amongAll ? isMet(effect, over, area) : isClear(effect, over, area)))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = effect.amongAll
      ? undefined
      : (holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1))
    for (const place of all) {
      const has = effect.amongAll ? holding.includes(place) : place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        if (arrives || !has) noteSide(place, areaFrame(effect, place.area), arrives)
        place.isOn = has
        if (arrives || Math.hypot(pointer.x - place.stood.x, pointer.y - place.stood.y) >= 3)
          place.stood = { x: pointer.x, y: pointer.y, t: pointer.time }
        turnPlace(effect, place, pointer.time, arrives)
        if (effect.turnsLooks) followCauses(effect, place, pointer.time)
        if (effect.comesMs && (arrives || !has)) place.comesUntil = pointer.time + ((has ? effect.comesMs : effect.goesMs) ?? 0)
      }
    }
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
    return frameOf(area, plain)
  }

  // Where the values of a place are read.
  function readFrame(effect, place) {
    if (effect.readsInWindow) return frameOf(document, measureWindow)
    return areaFrame(effect, place.area)
  }

  // Whether the pointer is on an area: on its element, on one of a group, or on what is bridged or joined to it.
  function holds(effect, area) {
    if (effect.isWindow) return hasPointer(frameOf(document, measureWindow), effect.insets)
    return hasPointer(frameOf(area, plain), effect.insets)
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: !!effect.stands,
      comesUntil: 0,
      focused: false,
      followers: effect.values.map((value) => ({
      value,
      target: value.pose,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
      gaps: new Array(value.links ?? 0).fill(0),
      halfLifeMs: value.halfLifeMs,
    })),
      stood: { x: 0, y: 0, t: 0 },
      look: { state: 'off', shown: 'off', before: 'off', dueAt: Infinity, tapped: false },
      entry: [0, 3, 0],
      exit: [0, 3, 0],
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(effect, place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = readFrame(effect, place)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    const at = { ...frame, x, y, t, place }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds) return
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : value.pose
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (value.links && arrives && ((seen && !valueAt(seen, at.t)) || (value.beginsUnseen && at.t >= at.place.comesUntil)))
      follower.gaps?.fill(0)
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    if (arrives && value.beginsUnseen && at.t >= at.place.comesUntil) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    if (value.start && !value.links && reading !== follower.reading && !follower.feel(follower, at.t).moves) {
      const start = value.start(at)
      if (start !== undefined) Object.assign(follower, { target: start, gap: 0, speed: 0 })
    }
    follower.reading = reading
    if (value.links) turnChain(follower, reading, (at.place.isOn ? value.halfLifeMs : undefined) ?? value.halfLifeMs ?? 1, at.t)
    else {
      // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
      const feel = value.byLook ? feelByLook(value, at.place) : at.place.isOn ? value.feel : (value.going ?? value.feel)
      const t = at.t
      if (reading !== follower.target || feel !== follower.feel) {
        const { gap, speed } = follower.feel(follower, t)
        shorten(follower, reading, gap)
        Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
      }
    }
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  const set = (target, value, shown) =>
    target.style.setProperty(value.property, value.as ? String(value.as(shown)) : shown.toFixed(value.digits) + (value.isLength ? 'px' : ''))

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
    for (const target of effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : []) target.setAttribute(effect.mark, '')
    if (effect.parts && !(effect.meets)) addParts(place.area, effect.parts)
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute(effect.mark)) mark(effect, place)
    // How it comes and goes is in the stylesheet.
    if (effect.comes && (place.element.getAttribute(effect.mark) === 'on') !== place.isOn)
      place.element.setAttribute(effect.mark, place.isOn ? 'on' : '')
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
    if (effect.comesMs && t < place.comesUntil) place.moves = true
    if (effect.turnsLooks && place.look.dueAt < Infinity) place.moves = true
    if (effect.meets && !place.moves) meetParts(effect, place)
    tellMet(effect, place)
    if (place.isOn) stayOnTop(effect)
    if (effect.shownWhileOn) showParts(effect, place, effect.shownWhileOn)
    if (effect.turnsLooks) showLook(effect, place)
    tellZones(effect, place)
    if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
    return place.moves
  }

  // Adds the parts of an effect to an element, once.
  function addParts(host, parts) {
    const made = new Map()
    const isThere = ({ inside, host: elsewhere, is }) => !inside && !elsewhere && !is
    if (parts.some(isThere) && getComputedStyle(host).position === 'static') {
      host.style.position = 'relative'
    }
    for (const part of parts) {
      const home = (part.inside && made.get(part.inside)) || (part.host ? homeOf(part.host) : host)
      made.set(part.part, addPart(host, home, part))
      for (let n = 1; n < (part.count ?? 1); n++) addPart(host, home, part)
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
    host,
    home,
    { part, host: place, coversBorder, told, source, attribute, passes },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    if (coversBorder && (getComputedStyle(host).overflow === 'visible')) {
      const { borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
      element.style.inset = [borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth].map((width) => `-${width}`).join(' ')
    }
    if (told) keepTold(host, element, told, source, attribute, !(passes))
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
      addParts(place.area, effect.parts ?? [])
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

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(effect, target) {
    if (!effect.focuses) return
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
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
  // Fills a part, now and whenever what its host holds has changed.
  function keepFilled(host, fill, attribute, isKept = true) {
    const isOwn = (node) => !(node instanceof Element ? node : node.parentElement)?.closest('[data-part]')
    fill()
    if (!isKept) return
    const observer = new MutationObserver((records) => {
      if (records.some(({ target, addedNodes, removedNodes }) => isOwn(target) && ![...addedNodes, ...removedNodes].some(isPart))) fill()
    })
    observer.observe(host, { subtree: true, childList: true, characterData: true })
    if (attribute)
      observer.observe(host, { subtree: true, childList: true, characterData: true, attributeFilter: [attribute] })
  }

  // Fills a part with the text or the picture that its host gives, or an element in it.
  function keepTold(
    host,
    part,
    told,
    source,
    attribute,
    isKept = true,
  ) {
    keepFilled(
      host,
      () => {
        const giver = source ? host.querySelector(source) : host
        const { currentSrc, src } = (giver ?? {})
        // What is not shown may not be loaded yet.
        const own = told === 'picture' ? currentSrc || src : giver?.textContent
        const text = (attribute ? giver?.getAttribute(attribute) : own) ?? ''
        if (told === 'text') part.textContent = text.trim()
        else part.style.backgroundImage = text ? `url("${text.replaceAll('"', '%22')}")` : ''
      },
      attribute,
      isKept,
    )
  }

  // A spring that reaches its mark soonest without passing it, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function critical({ gap, speed, since, band }, t, decay) {
    const s = (t - since) / 1000
    const fade = Math.exp(-decay * s)
    const push = speed + decay * gap
    return {
      gap: fade * (gap + push * s),
      speed: fade * (speed - decay * push * s),
      moves: fade * (Math.abs(gap) + Math.abs(push) * (s + 1 / decay)) >= band,
    }
  }

  // The value of a curve at x. Outside its stretches it holds, or goes on straight.
  function onCurve(stretches, x) {
    const [from, low, to, high, ease] = stretches.findLast(([at]) => at <= x) ?? stretches[0]
    const share = (x - from) / (to - from)
    const held = Math.min(1, Math.max(0, share))
    return low + (high - low) * (ease && share > 0 && share < 1 ? ease(share) : held)
  }

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

  // Does something with an effect. One that cannot go on is turned off, and named once; the others play on.
  function guarded(effect, act, t) {
    try {
      act(effect, t)
    } catch (error) {
      effects.splice(effects.indexOf(effect), 1)
      console.error(`${effect.name} was turned off:`, error)
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
    look.before = look.shown
    look.shown = next
    return true
  }

  // The feel for the way from the look before to the one that is shown.
  function feelByLook({ feel, going }, { look }) {
    const own = undefined?.find(([from, to]) => to === look.shown && (from === 'any' || from === look.before))
    return own ? own[2] : look.shown === 'off' ? (going ?? feel) : feel
  }

  // The value of a look; of one that has gone off, the pose that it leaves to, which may hang on the side.
  const leftTo = (values, look, pose) =>
    (look?.shown ?? 'off') === 'off' && look?.before !== 'off' ? pose : (values[look?.shown ?? 'off'] ?? 1)

  // The pose that it comes from, where it has just come on.
  const cameFrom = ({ look }, pose) => (look.before === 'off' && look.shown !== 'off' ? pose : undefined)

  function turnLook(effect, place, event, t) {
    const { look } = place
    let changed = change(look, event)
    if (look.state === 'going') {
      if (event === 'go') look.dueAt = t
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
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    let changed = causes.map((event) => turnLook(effect, place, event, t)).includes(true)
    if (look.state === 'still' && (!isCaused || place.stood.t + (effect.stillMs ?? 0) > t))
      changed = turnLook(effect, place, 'move', t) || changed
    if (changed) show(effect, place, t, wasOff)
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

  // Where an element lies that nothing turns or moves.
  function plain(element) {
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
    return {
      toFrame: new DOMMatrix([1, 0, 0, 1, -border[3], -border[0]]).multiply(toBox),
      width: width - border[1] - border[3],
      height: height - border[0] - border[2],
      border,
    }
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

  const rest = { gap: 0, speed: 0, moves: false }
  // The value itself, at once.
  const direct = () => rest

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(effect, place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute(effect.mark) === shown) return
    element.setAttribute(effect.mark, shown)
  }

  // The share of a way at which it comes between 0 and `length`; -Infinity where it begins there.
  function crossing(from, way, length) {
    if (way > 0 && from < 0) return -from / way
    return way < 0 && from > length ? (length - from) / way : -Infinity
  }

  // The side by which a straight way from outside comes in: 0 top, 1 right, 2 bottom, 3 left; or of one axis alone.
  function sideOf({ width, height }, outside, inner, axis) {
    const [dx, dy] = [inner.x - outside.x, inner.y - outside.y]
    const intoX = axis === 'y' ? -Infinity : crossing(outside.x, dx, width)
    const intoY = axis === 'x' ? -Infinity : crossing(outside.y, dy, height)
    if (intoX > -Infinity || intoY > -Infinity) return intoX > intoY ? (dx > 0 ? 3 : 1) : dy > 0 ? 0 : 2
    // A way that begins inside came by the nearest side.
    const across = axis === 'y' ? Infinity : Math.min(outside.x, width - outside.x)
    const down = axis === 'x' ? Infinity : Math.min(outside.y, height - outside.y)
    return across < down ? (outside.x < width - outside.x ? 3 : 1) : outside.y < height - outside.y ? 0 : 2
  }

  // Notes by which side the pointer came into a place, or left it: of all four, of left and right, of top and bottom.
  function noteSide(place, frame, arrives) {
    const before = frame.toFrame.transformPoint({ x: pointer.fromX, y: pointer.fromY })
    const now = frame.toFrame.transformPoint(pointer)
    const [outside, inner] = arrives ? [before, now] : [now, before]
    const sides = [sideOf(frame, outside, inner), sideOf(frame, outside, inner, 'x'), sideOf(frame, outside, inner, 'y')]
    if (arrives) place.entry = sides
    else place.exit = sides
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

  const follows = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.6 * 0.9, 2 * Math.PI * 2.6 * Math.sqrt(1 - 0.9 ** 2)) // settles in 288 ms
  const follows2 = (follower, t) => underdamped(follower, t, 2 * Math.PI * 3.4 * 0.9, 2 * Math.PI * 3.4 * Math.sqrt(1 - 0.9 ** 2)) // settles in 220 ms
  const soft = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.27 * 0.715, 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)) // settles in 416 ms, 4 % overshoot
  const ease = bezier(0.2, 0.7, 0.2)
  const comes = (follower, t) => timed(follower, t, 300, ease)
  const shown = (x) => onCurve([[-1, 0, 0, 1], [0, 1, 0.0001, -1], [0.0001, -1, 1, 0]], x)
  const follows3 = (follower, t) => critical(follower, t, 2 * Math.PI * 3.2) // settles in 290 ms
  const ease2 = bezier(0, 0, 0.58) // ease-out
  const comes2 = (follower, t) => timed(follower, t, 140, ease2)

  const effects = [
    // Over meadow and gate, all is dark by 90% in #040d10 but for a pool of 110px round the pointer, softened over 150px; pressed, the pool is 70% of that.
    {
      select: '.meadow, .gate',
      name: 'gate-spotlight',
      mark: 'data-gate-spotlight',
      notForeign: '.meadow, .gate, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      amongAll: true,
      beyond: '.meadow, .gate',
      fine: true,
      insets: () => [-260, -260, -260, -260],
      comes: true,
      comesMs: 260,
      goesMs: 700,
      parts: [{ part: 'gate-spotlight-dark', coversBorder: true }, { part: 'gate-spotlight-sheet', inside: 'gate-spotlight-dark' }, { part: 'gate-spotlight-pool', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-above', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-below', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-before', inside: 'gate-spotlight-sheet' }, { part: 'gate-spotlight-after', inside: 'gate-spotlight-sheet' }],
      shownWhileOn: ':scope > .gate-spotlight-dark',
      places: new Map(),
      values: [
        { property: '--gate-spotlight-x', read: ({ x, width }) => x - width / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows, beginsUnseen: true, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet' },
        { property: '--gate-spotlight-y', read: ({ y, height }) => y - height / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows, beginsUnseen: true, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet' },
        { property: '--gate-spotlight-pressed', read: () => (pointer.buttons ? 1 : 0), pose: 0, band: 0.0001, digits: 5, feel: follows2, onParts: ':scope > .gate-spotlight-dark > .gate-spotlight-sheet, :scope > .gate-spotlight-dark' },
      ],
    },
    // Under the meadow lies a linear-gradient(180deg, #0f2c38 0%, #1d4a4b 55%, #2b5a49 100%) with 26% of light grain, and under the pointer a light of #d8ecc0, 420px wide and 34% strong.
    {
      select: '.meadow',
      name: 'meadow-grain-light',
      mark: 'data-meadow-grain-light',
      notForeign: '.meadow, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      fine: true,
      comes: true,
      comesMs: 320,
      goesMs: 900,
      parts: [{ part: 'meadow-grain-light-ground', coversBorder: true }, { part: 'meadow-grain-light-sheet', inside: 'meadow-grain-light-ground' }, { part: 'meadow-grain-light-light', inside: 'meadow-grain-light-sheet' }, { part: 'meadow-grain-light-specks', inside: 'meadow-grain-light-ground' }],
      places: new Map(),
      values: [
        { property: '--meadow-grain-light-x', read: ({ x, width }) => x - width / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .meadow-grain-light-ground > .meadow-grain-light-sheet' },
        { property: '--meadow-grain-light-y', read: ({ y, height }) => y - height / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .meadow-grain-light-ground > .meadow-grain-light-sheet' },
      ],
    },
    // Over each lantern, a light of #f0c36d, 340px wide, shows on the surface by 34% and along the edge by 90%, from 110px away.
    {
      select: '.lantern',
      name: 'lantern-glow',
      mark: 'data-lantern-glow',
      notForeign: '.lantern, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      amongAll: true,
      fine: true,
      insets: () => [-110, -110, -110, -110],
      comes: true,
      comesMs: 180,
      goesMs: 420,
      parts: [{ part: 'lantern-glow-surface', coversBorder: true }, { part: 'lantern-glow-surface-pool', inside: 'lantern-glow-surface' }, { part: 'lantern-glow-surface-tile', inside: 'lantern-glow-surface-pool' }, { part: 'lantern-glow-edge', coversBorder: true }, { part: 'lantern-glow-edge-pool', inside: 'lantern-glow-edge' }, { part: 'lantern-glow-edge-tile', inside: 'lantern-glow-edge-pool' }],
      shownWhileOn: ':scope > .lantern-glow-surface, :scope > .lantern-glow-edge',
      places: new Map(),
      values: [
        { property: '--lantern-glow-x', read: ({ x, border }) => x + border[3], pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .lantern-glow-surface > .lantern-glow-surface-pool, :scope > .lantern-glow-edge > .lantern-glow-edge-pool' },
        { property: '--lantern-glow-y', read: ({ y, border }) => y + border[0], pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: soft, beginsUnseen: true, onParts: ':scope > .lantern-glow-surface > .lantern-glow-surface-pool, :scope > .lantern-glow-edge > .lantern-glow-edge-pool' },
      ],
    },
    // In each hour what happens then rolls in from the side of entry, and its name is pushed out; its picture rides beside the pointer, 280px wide.
    {
      select: '.hour',
      name: 'hour-rows',
      mark: 'data-hour-rows',
      notForeign: '.hour, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      byHit: true,
      taps: 'a[href], button, input, select, textarea, summary, label',
      focuses: true,
      turnsLooks: true,
      atMostOne: true,
      takesKeys: true,
      seenWithin: '.hour > .then, .hour > .now',
      parts: [{ part: 'hour-rows-picture', passes: true }, { part: 'hour-rows-shot', inside: 'hour-rows-picture', told: 'picture', source: '.hour > img', passes: true }],
      meets: 2,
      places: new Map(),
      values: [
        { property: '--hour-rows-roll', read: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), leave: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), byLook: true, start: ({ place }) => cameFrom(place, [-1, 1, 1, -1][place.entry[2]]), pose: 1, band: 0.0001, digits: 5, feel: comes, going: comes, within: '.hour > .then', onParts: ':scope > .hour-rows-picture > .hour-rows-shot' },
        { property: '--hour-rows-roll-translateY', read: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), leave: ({ place }) => leftTo({ on: 0 }, place.look, [-1, 1, 1, -1][place.exit[2]]), byLook: true, start: ({ place }) => cameFrom(place, [-1, 1, 1, -1][place.entry[2]]), pose: 1, band: 0.0001, feel: comes, going: comes, as: shown, within: '.hour > .now' },
      ],
    },
    {
      select: '.hour',
      name: 'hour-rows',
      mark: 'data-hour-rows',
      notForeign: '.hour, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      byHit: true,
      taps: 'a[href], button, input, select, textarea, summary, label',
      focuses: true,
      readsInWindow: true,
      turnsLooks: true,
      atMostOne: true,
      takesKeys: true,
      places: new Map(),
      values: [
        { read: () => 1, pose: 0, band: 0.0001, digits: 5, feel: direct, going: comes, onSelf: true },
        { property: '--hour-rows-x', read: ({ x }) => x, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows3, seenBy: 0, onParts: ':scope > .hour-rows-picture' },
        { property: '--hour-rows-y', read: ({ y }) => y, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows3, seenBy: 0, onParts: ':scope > .hour-rows-picture' },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .hour > .then, .hour > .now, .sky .sky-near, .sky .sky-far',
      fine: true,
      seenWithin: '.sky-near, .sky-far',
      places: new Map(),
      values: [
        { property: '--sky-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), pose: 0, band: 0.0002, digits: 4, feel: soft, within: '.sky-near, .sky-far' },
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
      parts: [{ part: 'cursor-point', host: 'top' }, { part: 'cursor-shape', inside: 'cursor-point' }, { part: 'cursor-text', inside: 'cursor-shape', asks: ['.sheet', '.ticket', '.under-glass'], says: [(element) => toldOf(element, '--cursor-sheet-text'), (element) => toldOf(element, '--cursor-ticket-text'), undefined] }],
      shownWhileOn: '.cursor-point',
      places: new Map(),
      values: [
        { property: '--cursor-x', read: ({ x }) => x, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { property: '--cursor-y', read: ({ y }) => y, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { property: '--cursor-there', read: () => 1, pose: 0, band: 0.0001, digits: 5, feel: direct, onParts: '.cursor-point', isOfParts: true },
        { read: (at, { reading }) => overOf(['.sheet', '.ticket', '.under-glass'], reading), zone: 'over', pose: 0, band: 0.0003, digits: 4, feel: direct, onSelf: true },
        { property: '--cursor-press', read: () => (pointer.buttons ? 1 : 0), pose: 0, band: 0.0001, digits: 5, feel: comes2, onParts: '.cursor-point > .cursor-shape', isOfParts: true },
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
      turnsLooks: true,
      stillMs: 400,
      parts: [{ part: 'trail-pieces', host: 'top' }, { part: 'trail-piece', inside: 'trail-pieces', count: 10, isNumbered: true }],
      places: new Map(),
      values: [
        { property: '--trail-x', read: ({ x }) => x, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 10, halfLifeMs: 23.567004139, seenBy: 2, onParts: '.trail-pieces > .trail-piece', isOfParts: true },
        { property: '--trail-y', read: ({ y }) => y, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, links: 10, halfLifeMs: 23.567004139, seenBy: 2, onParts: '.trail-pieces > .trail-piece', isOfParts: true },
        { read: () => 1, pose: 0, band: 0.0001, digits: 5, feel: direct, onSelf: true },
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
  addEventListener('dragstart', keepPress, true)
})()
