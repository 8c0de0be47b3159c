(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
    over: null,
    buttons: 0,
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
    advance(t)
    for (const effect of effects) {
      guarded(effect, drawEffect, t)
    }
  }

  function drawEffect(effect, t) {
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Where the pointer stands while the page moves is where it was then.
  function standStill(t) {
    if (pointer.over) follow(t, pointer.x, pointer.y, true, true)
    pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
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
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType, key }) {
    const t = Math.max(pointer.time, timeStamp)
    advance(t)
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
        meet({ type: 'pointerout', timeStamp: t, clientX: pointer.x, clientY: pointer.y, target, buttons: 0, pointerType: 'mouse' })
      return
    }
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
      pointer.isByKeys = false
      follow(t, clientX, clientY, !!pointer.over, !isOut)
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.buttons = buttons
      pointer.isTouch = pointerType === 'touch'
    } else standStill(t)
    hearTap(type, t)
    if (!(type.startsWith('pointer'))) for (const effect of effects) followSizes(effect, t)
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
    const isElsewhere = effect.except && pointer.over?.closest(effect.except) ? true : effect.fine && pointer.isTouch
    const over = isElsewhere ? null : pointer.over
    if (!effect.findsAll) {
      const hit = over?.closest(effect.select)
      if (hit && !effect.places.has(hit)) begin(effect, hit)
    }
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => holds(effect, area) && (over.contains(area) || over.closest(effect.notForeign) !== null))
      : []
    // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
    const first = holding.findLast(({ area }) => area.contains(over)) ?? holding.find((place) => place.isOn) ?? holding.at(-1)
    for (const place of all) {
      const has = place.area === first?.area
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        place.byTouch = pointer.isTouch
        if (arrives || Math.hypot(pointer.x - place.stood.x, pointer.y - place.stood.y) >= 3)
          place.stood = { x: pointer.x, y: pointer.y, t: pointer.time }
        turnPlace(effect, place, pointer.time, arrives)
        if (effect.turnsLooks) followCauses(effect, place, pointer.time)
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

  // In the window a point is where it is.
  const asItIs = new DOMMatrix()

  const measureWindow = () => ({ toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight, border: none, radii: none })
  // Where an area lies: its element, the box around a group, or the window.
  function areaFrame(effect, area) {
    if (effect.isWindow) return frameOf(document, measureWindow)
    return frameOf(area, effect.measure)
  }

  // Whether the pointer is on an area: on its element, on one of a group, or on what is bridged or joined to it.
  function holds(effect, area) {
    if (effect.isWindow) return hasPointer(frameOf(document, measureWindow))
    return hasPointer(frameOf(area, effect.measure))
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
      target: shapedOf(value, value.pose),
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
    for (const follower of place.followers) follower.reading = follower.value.zoneFirst
    for (const follower of place.followers)
        if (follower.value.bySize && follower.value.leave && !follower.value.links)
          follower.target = shapedOf(follower.value, follower.value.leave(atOf(effect, place, 0), follower))
    effect.places.set(element, place)
  }

  const shapedOf = ({ curve }, reading) => (curve ? curve(reading) : reading)

  // The pointer as an element sees it.
  function atOf(effect, place, t) {
    // Where the values of a place are read.
    const box = effect.readsIn ? place.element : undefined
    const frame = box ? frameOf(box, effect.measure) : areaFrame(effect, place.area)
    const { x, y } = frame.toFrame.transformPoint(pointer)
    return { ...frame, x, y, t, place }
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(effect, place, t, arrives) {
    place.moves = true
    const at = atOf(effect, place, t)
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }

  function turnValue(follower, at, arrives = false) {
    const { value } = follower
    if (!at.place.isOn && value.holds && (value.holds === true || at.place.byTouch)) return
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : value.pose
    const target = shapedOf(value, reading)
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (value.links && arrives && (seen && !valueAt(seen, at.t)))
      follower.gaps?.fill(0)
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target, gap: 0, speed: 0 })
    follower.reading = reading
    if (value.links) turnChain(follower, target, (at.place.isOn ? value.halfLifeMs : undefined) ?? value.halfLifeMs ?? 1, at.t)
    else turn(
        follower,
        target,
        at.place.isOn ? value.feel : (value.going ?? value.feel),
        at.t,
      )
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
  function turn(follower, target, feel, t) {
    if (target !== follower.target || feel !== follower.feel) {
      const { gap, speed } = follower.feel(follower, t)
      shorten(follower, target, gap)
      Object.assign(follower, { target, feel, since: t, gap: gap + follower.target - target, speed })
    }
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
    for (const target of [...(effect.seenOnSelf ? [place.element] : []), ...(effect.seenWithin ? place.element.querySelectorAll(effect.seenWithin) : [])]) target.setAttribute(effect.mark, '')
    if (effect.parts) {
      // Adds the parts of an effect to an element, once.
      const host = place.area
      const parts = effect.parts
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
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute(effect.mark)) mark(effect, place)
    place.moves = false
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
    if (flowsOn(place, t)) place.moves = true
    tellMet(effect, place)
    if (place.isOn) stayOnTop(effect)
    if (effect.shownWhileOn) showParts(effect, place, effect.shownWhileOn)
    if (effect.turnsLooks) showLook(effect, place)
    tellZones(effect, place)
    if (effect.slider && (place.focused || !place.moves)) tellSlider(place, effect.slider)
    if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
    return place.moves
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
    { part, host: place, copies, reached, role, namedBy, shows },
  ) {
    const element = document.createElement('span')
    element.className = part
    if (!(reached)) element.setAttribute('aria-hidden', 'true')
    if (role) element.setAttribute('role', role)
    if (namedBy) makeSlider(host, element, namedBy, shows)
    element.dataset.part = ''
    if (copies) keepCopy(host, element)
    home.append(element)
    if (place === 'top') {
      element.popover = 'manual'
      element.showPopover()
    }
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
      flowAll(effect, effect.turnsLooks ? advanceLooks(effect, advanced, t) : advanced, t)
    }
    advanced = Math.max(advanced, t)
  }

  // The angle (degrees) nearest to the last one that points the same way; the last one itself, where only its rounding is another.
  function unwrapped(angle, last = angle) {
    const turn = ((((angle - last) % 360) + 540) % 360) - 180
    return Math.abs(turn) < 1e-9 ? last : last + turn
  }

  // Takes the focus to the places that have it; null takes it away.
  function meetFocus(effect, target) {
    if (!effect.focuses) return
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        (!effect.slider || target.matches(effect.slider))
      if (focused !== place.focused) {
        place.focused = focused
        if (effect.turnsLooks) followCauses(effect, place, pointer.time)
        turnPlace(effect, place, pointer.time, false)
      }
      if (target) {
        // What has got the focus chooses its zone, until that goes or the pointer moves.
        for (const follower of place.followers) {
          const { value } = follower
          const { zoneFocus } = value
          const index = zoneFocus ? [...document.querySelectorAll(zoneFocus)].findIndex((each) => each.contains(target)) : -1
          if (index < 0) continue
          follower.reading = index
          turn(follower, shapedOf(value, index), value.feel, pointer.time)
          place.moves = true
        }
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

  // How far a point is from the edge of an element's border box, round corners honoured, px: negative inside.
  function fromEdge({ width, height, border, radii }, { x, y }) {
    const [halfWidth, halfHeight] = [(border[3] + width + border[1]) / 2, (border[0] + height + border[2]) / 2]
    const [dx, dy] = [x + border[3] - halfWidth, y + border[0] - halfHeight]
    const radius = Math.min(radii[dy < 0 ? (dx < 0 ? 0 : 1) : dx < 0 ? 3 : 2], halfWidth, halfHeight)
    const [qx, qy] = [Math.abs(dx) - halfWidth + radius, Math.abs(dy) - halfHeight + radius]
    return Math.hypot(Math.max(qx, 0), Math.max(qy, 0)) + Math.min(Math.max(qx, qy), 0) - radius
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
  // Follows what changes by itself in all places of an effect, from one instant to another.
  function flowAll(effect, from, until) {
    for (const place of effect.places.values()) {
      for (const follower of place.followers) {
        const { value } = follower
        if (value.due && value.due && (place.isOn || value.leave))
          for (let at = atOf(effect, place, from), t = value.due(at, follower); t <= until; t = value.due(at, follower)) {
            // After a long pause the last stretch is enough of what never ends.
            at = { ...at, t: value.isEndless ? Math.max(t, until - 5000) : t }
            turnValue(follower, at)
          }
      }
    }
  }

  // Whether anything in a place will change by itself after t.
  const flowsOn = (place, t) =>
    place.followers.some((follower) => {
      const { value } = follower
      return value.due && value.due && (place.isOn || value.leave) && value.due({ t, place }, follower) < Infinity
    })

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

  // What is missing halves every 90 ms.
  // The gap halves again and again, in the same time each.
  function glide({ gap, since, band }, t) {
    const left = gap * 2 ** ((since - t) / 90)
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
    const moves =
      ways.has(key) &&
      effects.some(({ select, arrowKeys, slider }) => arrowKeys && target.closest(slider || select))
    if (moves) event.preventDefault()
    if (!moves && key !== 'Escape') return
    events.push({ type, timeStamp, key, target, clientX: pointer.x, clientY: pointer.y, buttons: 0 })
    wake()
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
    const isCaused = isOn || (effect.takesKeys && place.focused) || look.tapped
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    let changed = causes.map((event) => turnLook(effect, place, event, t)).includes(true)
    if (look.state === 'still' && (!isCaused || place.stood.t + (effect.stillMs ?? 0) > t))
      changed = turnLook(effect, place, 'move', t) || changed
    if (changed) show(effect, place, t)
  }

  // Follows a look that has changed, in its place and in the others; where one at most is on, the others go off.
  function show(effect, place, t) {
    turnPlace(effect, place, t, false)
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
      flowAll(effect, at, t)
      at = t
      due.look.dueAt = Infinity
      if (turnLook(effect, due, due.look.state === 'going' ? 'due' : 'rest', t)) show(effect, due, t)
    }
  }

  // No borders, and no round corners.
  const none = [0, 0, 0, 0]

  const px = (text) => parseFloat(text) || 0

  // A padding box: what takes a point of the window to the upper left corner of the border box, and the size of that, without the borders.
  function paddingBox(toBox, width, height, element) {
    const style = getComputedStyle(element)
    const border = [
    px(style.borderTopWidth),
    px(style.borderRightWidth),
    px(style.borderBottomWidth),
    px(style.borderLeftWidth),
  ]
    return {
      toFrame: new DOMMatrix([1, 0, 0, 1, -border[3], -border[0]]).multiply(toBox),
      width: width - border[1] - border[3],
      height: height - border[0] - border[2],
      border,
      radii: [
    px(style.borderTopLeftRadius),
    px(style.borderTopRightRadius),
    px(style.borderBottomRightRadius),
    px(style.borderBottomLeftRadius),
  ],
    }
  }

  // Where an element lies that nothing turns or moves.
  function plain(element) {
    const { left, top, width, height } = element.getBoundingClientRect()
    return paddingBox(new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height, element)
  }

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

  // Where a share of an area along both of its sides lies in an element of it, px.
  function shareOfArea({ toFrame, place: { area } }, measure) {
    const { toFrame: toArea, width, height } = frameOf(area, measure)
    return toFrame.multiply(toArea.inverse()).transformPoint({ x: 0.24 * width, y: 0.24 * height })
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
      const place = effect.arrowKeys ? [...effect.places.values()].find(({ focused }) => focused) : undefined
      if (
        !place ||
        !effect.arrowKeys ||
        (effect.slider && !effect.values.some(({ slides }) => slides))
      )
        continue
      const { toFrame, width, height } = areaFrame(effect, place.area)
      // From where it is, or else from the middle.
      const at =
        pointer.over && place.isOn ? toFrame.transformPoint(pointer) : { x: width / 2, y: height / 2, ...slideAt(place, width, height) }
      const [across, along] = slid(place, right, down)
      const x = Math.min(width, Math.max(0, at.x + across * effect.arrowKeys * width))
      const y = Math.min(height, Math.max(0, at.y + along * effect.arrowKeys * height))
      const to = toFrame.inverse().transformPoint({ x, y })
      return { type: 'pointermove', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, buttons: 0, pointerType: 'mouse' }
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

  // Tells the stylesheet which look a place shows, and does what goes with it.
  function showLook(effect, place) {
    const { shown } = place.look
    const { element } = place
    if (element.getAttribute(effect.mark) === shown) return
    element.setAttribute(effect.mark, shown)
    if (effect.deeds) {
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
  }

  // What the page itself gives elements of the attributes that looks set.
  const kept = new Map()

  const excessY = ({ height, place: { area } }) => Math.max(0, height - frameOf(area, plain).height)
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
        if (effect.chosen) {
          // Tells which of the elements that are linked to a zone it chooses; none, where there is no reading.
          const chosen = effect.chosen
          const zone = value.zone
          const chosenMark = `${effect.mark}-chosen`
          for (const [select, of] of chosen)
            if (of === zone) document.querySelectorAll(select).forEach((element, index) => element.toggleAttribute(chosenMark, index === reading))
        }
      }
    }
  }

  // Has the slider of a place say where it is.
  function tellSlider({ area, followers }, select) {
    const shown = followers.find(({ value }) => value.slides)
    const slider = area.querySelector(select)
    const text = shown?.target.toFixed(2)
    if (slider && text !== undefined && slider.ariaValueNow !== text) slider.ariaValueNow = text
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

  // The last samples of the pointer; how fast it was at the last one (px/s), and which way it went (degrees clockwise from up).
  const track = []

  const motion = { speed: 0, since: 0, heading: undefined }
  // How fast the pointer is at t, px/s: it halves every 50 ms after its last sample.
  function speedAt(t) {
    const left = motion.speed * 2 ** ((motion.since - t) / 50)
    return left < 0.05 ? 0 : left
  }
  // Follows the pointer to a sample.
  function follow(t, x, y, wasOn, isOn) {
    motion.speed = speedAt(t)
    const [dx, dy] = [x - pointer.x, y - pointer.y]
    if (wasOn && isOn) {
      // So that a steady movement reads as its true speed.
      motion.speed += (Math.hypot(dx, dy) * Math.LN2 * 1000) / 50
      if ((dx || dy) && motion.speed >= 20) motion.heading = unwrapped((Math.atan2(dx, -dy) * 180) / Math.PI, motion.heading)
    }
    motion.since = t
    track.push({ t, x, y })
    if (track.length > 2048) track.shift()
  }

  // The individual transform properties, and a transform, as one matrix; the page may have turned an element by either.
  function matrixOf({ rotate, scale }, transform) {
    const words = rotate.split(' ')
    const axis = { x: '1, 0, 0', y: '0, 1, 0' }[words[0] ?? ''] ?? words.slice(0, 3).join(', ')
    const turning = rotate === 'none' ? '' : words.length === 1 ? `rotate(${rotate})` : `rotate3d(${axis}, ${words.at(-1) ?? ''})`
    const scaling = scale === 'none' ? '' : `scale(${scale.split(' ').slice(0, 2).join(', ')})`
    return new DOMMatrix(`${turning} ${scaling} ${transform === 'none' ? '' : transform}`.trim())
  }

  // What the page itself gives an element, also while effects move it.
  function ownTransform(element, style) {
    if (!(element.matches('.rider[data-by-day-wipe], .hours .rider[data-by-day-wipe], .plan .lamp[data-lamp-follow], .sky .sky-near[data-sky-drift], .sky .sky-far[data-sky-drift]'))) return style.transform
    const own = style.getPropertyValue('--own-transform') || 'none'
    return inPx(own, element)
  }

  // Translations in % of an element in px: a matrix knows no sizes.
  const inPx = (transform, { offsetWidth, offsetHeight }) =>
    transform.replace(/(translate\w*)\(([^()]*)\)/g, (_, name, list) => {
      const lengths = list.split(',').map((length, i) => {
        const size = name.endsWith('Y') || i === 1 ? offsetHeight : offsetWidth
        return length.includes('%') ? `${(parseFloat(length) / 100) * size}px` : length
      })
      return `${name}(${lengths.join()})`
    })

  // How the page turns and scales what lies in these elements, one in another; `isOwn`: without what effects do.
  function aroundOf(element, isOwn) {
    let around = new DOMMatrix()
    for (let each = element.parentElement; each; each = each.parentElement) {
      const style = getComputedStyle(each)
      around = matrixOf(style, isOwn ? ownTransform(each, style) : style.transform).multiply(around)
    }
    const zoom = element.currentCSSZoom ?? 1
    return new DOMMatrix([around.a * zoom, around.b * zoom, around.c * zoom, around.d * zoom, 0, 0])
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
    const drawn = aroundOf(element, false)
      .multiply(matrixOf(style, style.transform))
      .translate(width / 2 - originX, height / 2 - originY)
    const box = element.getBoundingClientRect()
    const own = aroundOf(element, true).multiply(matrixOf(style, ownTransform(element, style)))
    // Where its origin is seen: the middle of both boxes is one.
    const originOf = (seen) => {
      const hull = hullOf(seen, width, height)
      return { x: box.x + box.width / 2 - (hull.left + hull.right) / 2, y: box.y + box.height / 2 - (hull.top + hull.bottom) / 2 }
    }
    const origin = originOf(drawn)
    return paddingBox(
      new DOMMatrix()
        .translate(originX, originY)
        .multiply(new DOMMatrix([own.a, own.b, own.c, own.d, own.e, own.f]).inverse())
        .translate(-origin.x, -origin.y),
      width,
      height,
      element,
    )
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

  // Which of the elements that `among` selects is nearest to the pointer; the last one still, while no other is nearer by `slackPx`.
  function nearestOf({ reading = NaN }) {
    const ways = [...document.querySelectorAll('.plan .plot')].map((element, i) => {
      const frame = frameOf(element, plain)
      return fromEdge(frame, frame.toFrame.transformPoint(pointer)) - (i === reading ? 8 : 0)
    })
    const least = Math.min(...ways)
    return ways[reading] === least ? reading : Math.max(0, ways.indexOf(least))
  }

  const soft = (follower, t) => underdamped(follower, t, 2 * Math.PI * 2.27 * 0.715, 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)) // settles in 416 ms, 4 % overshoot
  const follows = (follower, t) => critical(follower, t, 2 * Math.PI * 7.74) // settles in 120 ms
  const ease = bezier(0.42, 0, 0.58) // ease-in-out
  const shown = (x) => onCurve([[0, 60, 0.3, -70, ease], [0.3, -70, 0.62, 40, ease], [0.62, 40, 1, -60, ease]], x)
  const ease2 = bezier(0.2, 0.7, 0.2)
  const comes = (follower, t) => timed(follower, t, 240, ease2)
  const goes = (follower, t) => timed(follower, t, 700, ease2)
  const bend = (x) => Math.min(1, Math.max(0, 0.000666666666667 * x))
  const bend2 = (x) => onCurve([[0, -1, 0.5, 1, ease], [0.5, 1, 1, -1, ease]], x)
  const bend3 = (x) => Math.min(600, Math.max(-600, x))
  const follows3 = (follower, t) => underdamped(follower, t, 2 * Math.PI * 1.9 * 0.9, 2 * Math.PI * 1.9 * Math.sqrt(1 - 0.9 ** 2)) // settles in 394 ms
  const ease3 = bezier(0, 0, 0.58) // ease-out
  const comes2 = (follower, t) => timed(follower, t, 140, ease3)

  const effects = [
    // A corner at 44% folds the motto, its walls slanted by 17° and the second one in 40% shade; the words slide by 9% against the pointer.
    {
      select: '.motto',
      name: 'motto-fold',
      mark: 'data-motto-fold',
      notForeign: '.motto, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      fine: true,
      measure: plain,
      parts: [{ part: 'motto-fold-wall-1' }, { part: 'motto-fold-words-1', inside: 'motto-fold-wall-1', copies: true }, { part: 'motto-fold-wall-2' }, { part: 'motto-fold-words-2', inside: 'motto-fold-wall-2', copies: true }, { part: 'motto-fold-shade', inside: 'motto-fold-wall-2' }],
      places: new Map(),
      values: [
        { property: '--motto-fold-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), pose: 0, band: 0.0002, digits: 4, feel: soft, onParts: ':scope > .motto-fold-wall-1 > .motto-fold-words-1, :scope > .motto-fold-wall-2 > .motto-fold-words-2' },
      ],
    },
    // In the glasshouse, along a line that goes toward 90°, the day gives way to the night, softened over 0px; the moth rides on it, companions of the front and companions of the back are cut with it.
    {
      select: '.hours',
      name: 'by-day-wipe',
      mark: 'data-by-day-wipe',
      notForeign: '.hours, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      seenOnSelf: true,
      focuses: true,
      arrowKeys: 0.05,
      slider: '.by-day-wipe-line',
      readsIn: '.by-day',
      measure: plain,
      parts: [{ part: 'by-day-wipe-line', reached: true, role: 'slider', shows: '0.24', namedBy: ['.by-day', '.by-night'] }],
      places: new Map(),
      values: [
        { property: '--by-day-wipe-front-x', read: ({ x, width }) => x - width / 2, pose: 0.24, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, holds: 'touch', band: 0.01, digits: 3, feel: follows, onSelf: true },
      ],
    },
    {
      select: '.hours',
      name: 'by-day-wipe',
      mark: 'data-by-day-wipe',
      notForeign: '.hours, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      seenOnSelf: true,
      focuses: true,
      arrowKeys: 0.05,
      slider: '.by-day-wipe-line',
      readsIn: '.by-night',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--by-day-wipe-back-x', read: ({ x, width }) => x - width / 2, pose: 0.24, isLength: true, leave: (at) => shareOfArea(at, plain).x - at.width / 2, bySize: true, holds: 'touch', band: 0.01, digits: 3, feel: follows, onSelf: true },
      ],
    },
    {
      select: '.hours',
      name: 'by-day-wipe',
      mark: 'data-by-day-wipe',
      notForeign: '.hours, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      seenOnSelf: true,
      focuses: true,
      arrowKeys: 0.05,
      slider: '.by-day-wipe-line',
      readsIn: '.rider',
      measure: turned,
      places: new Map(),
      values: [
        { property: '--by-day-wipe-rider-x', read: ({ x, width }) => x - width / 2, pose: 0.24, isLength: true, leave: (at) => shareOfArea(at, turned).x - at.width / 2, bySize: true, holds: 'touch', band: 0.01, digits: 3, feel: follows, onSelf: true },
      ],
    },
    {
      select: '.hours',
      name: 'by-day-wipe',
      mark: 'data-by-day-wipe',
      notForeign: '.hours, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      focuses: true,
      arrowKeys: 0.05,
      slider: '.by-day-wipe-line',
      measure: plain,
      seenWithin: '.rider',
      places: new Map(),
      values: [
        { property: '--by-day-wipe-run-translateY', read: ({ x, width }) => Math.min(1, Math.max(0, x / width)), pose: 0.24, holds: 'touch', band: 0.0001, feel: follows, as: shown, within: '.rider' },
        { read: ({ x, width }) => Math.min(1, Math.max(0, x / width)), pose: 0.24, slides: 'x', holds: 'touch', band: 0.0001, digits: 5, feel: direct, onSelf: true },
      ],
    },
    {
      select: '.sheet',
      name: 'sheet-pan-sizes',
      mark: 'data-sheet-pan-sizes',
      notForeign: '.sheet, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      seenOnSelf: true,
      readsIn: '.sheet > svg',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--sheet-pan-way', read: (at) => excessY(at), leave: (at) => excessY(at), bySize: true, pose: 0, band: 0.01, digits: 3, feel: direct, onSelf: true },
      ],
    },
    // In the whole bed the bed opens round the pointer: through a circle of 150px, softened over 60px, one sees what lies behind, what lies beneath.
    {
      select: '.bed',
      name: 'above-porthole',
      mark: 'data-above-porthole',
      notForeign: '.bed, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      seenOnSelf: true,
      readsIn: '.below',
      measure: plain,
      places: new Map(),
      values: [
        { property: '--above-porthole-x', read: ({ x, border }) => x + border[3], pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows, seenBy: 2, onSelf: true },
        { property: '--above-porthole-y', read: ({ y, border }) => y + border[0], pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: follows, seenBy: 2, onSelf: true },
        { property: '--above-porthole-here', read: () => 1, pose: 0, band: 0.0001, digits: 5, feel: comes, going: goes, onSelf: true },
        { property: '--above-porthole-fast', read: ({ t }) => speedAt(t), due: ({ t }) => speedAt(Math.floor(t / 4) * 4) ? ((Math.floor(t / 4) + 1) * 4) : Infinity, pose: 0, curve: bend, band: 0.0001, digits: 5, feel: glide, onSelf: true },
        { property: '--above-porthole-wave', read: ({ t }) => (t / 5200) % 1, due: ({ t }) => (Math.floor(t / 4) + 1) * 4, isEndless: true, pose: 0.25, curve: bend2, band: 0.0002, digits: 4, feel: direct, onSelf: true },
      ],
    },
    // The pointer in an area, the plan, chooses one of each bed, by what is nearest to each; the others are seen at 66%, and what is said of it goes with it.
    {
      select: '.plan',
      name: 'plot-zones',
      mark: 'data-plot-zones',
      notForeign: '.plan, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      taps: 'a[href], button, input, select, textarea, summary, label',
      focuses: true,
      arrowKeys: 0.2,
      measure: plain,
      turnsLooks: true,
      takesKeys: true,
      deeds: [{ looks: ['off', 'on', 'pressed', 'still'], attributes: [['tabindex', '0']], onSelf: true }],
      chosen: [['.plan .plot', 'zone'], ['.bed-words article', 'zone']],
      places: new Map(),
      values: [
        { read: (at, follower) => nearestOf(follower), zone: 'zone', zoneFirst: 0, zoneFocus: '.plan .plot', pose: 0, holds: true, band: 0.0001, digits: 5, feel: direct, onSelf: true },
      ],
    },
    // In the plan, the lamp goes wherever the pointer goes, by at most 600px across and 600px up and down; it leans by 0°.
    {
      select: '.plan',
      name: 'lamp-follow',
      mark: 'data-lamp-follow',
      notForeign: '.plan, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      keeps: true,
      seenOnSelf: true,
      fine: true,
      readsIn: '.plan .lamp',
      measure: sliding,
      places: new Map(),
      values: [
        { property: '--lamp-follow-x', read: ({ x, width }) => x - width / 2, pose: 0, isLength: true, curve: bend3, holds: true, band: 0.12, digits: 2, feel: follows3, onSelf: true },
        { property: '--lamp-follow-y', read: ({ y, height }) => y - height / 2, pose: 0, isLength: true, curve: bend3, holds: true, band: 0.12, digits: 2, feel: follows3, onSelf: true },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .rider, .hours .rider, .plan .lamp, .sky .sky-near, .sky .sky-far',
      fine: true,
      measure: plain,
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
      measure: plain,
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
      measure: plain,
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
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'focusin', 'focusout', 'scroll', 'resize', 'load'])
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
  addEventListener('keydown', hearKey, { capture: true })
})()
