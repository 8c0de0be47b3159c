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
    isByKeys: false,
    pinch: 1,
    turns: 0,
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
  function standStill() {
    ;[pointer.fromX, pointer.fromY] = [pointer.x, pointer.y]
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
  function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType, by, key }) {
    const t = Math.max(pointer.time, timeStamp)
    advance(t)
    // After a scroll, and after a while, the page may lie elsewhere.
    const isTurn = type === 'wheel' || type === 'pinch'
    if (!(type.startsWith('pointer') || isTurn) || t - measured > 200 || t - pointer.time > 200) {
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
    pointer.pinch = (type === 'pinch' && by) || 1
    if (isTurn) pointer.turns++
    if (type.startsWith('pointer') || isTurn) {
      const isOut = type === 'pointerout' || type === 'pointercancel' || (type === 'pointerup' && pointerType === 'touch')
      pointer.isByKeys = false
      // A pointer that comes has no way behind it.
      ;[pointer.fromX, pointer.fromY] = pointer.over || isOut ? [pointer.x, pointer.y] : [clientX, clientY]
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.buttons = buttons
      pointer.isTouch = pointerType === 'touch'
    } else standStill()
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
        if (arrives || !has) {
          // Notes by which side the pointer came into a place, or left it: of all four, of left and right, of top and bottom.
          const frame = areaFrame(effect, place.area)
          const before = frame.toFrame.transformPoint({ x: pointer.fromX, y: pointer.fromY })
          const now = frame.toFrame.transformPoint(pointer)
          const [outside, inner] = arrives ? [before, now] : [now, before]
          const sides = [sideOf(frame, outside, inner), sideOf(frame, outside, inner, 'x'), sideOf(frame, outside, inner, 'y')]
          if (arrives) place.entry = sides
        }
        place.isOn = has
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

  const measureWindow = () => ({ toFrame: asItIs, width: document.documentElement.clientWidth, height: document.documentElement.clientHeight, border: none })
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
    }
    effect.places.set(element, place)
  }

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
    const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : value.pose
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (value.links && arrives && (seen && !valueAt(seen, at.t)))
      follower.gaps?.fill(0)
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
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
        if (part.copiesLive) keepLive(host, made.get(part.part) ?? host, part)
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
    // How it comes and goes is in the stylesheet.
    if (effect.comes && (place.element.getAttribute(effect.mark) === 'on') !== place.isOn)
      place.element.setAttribute(effect.mark, place.isOn ? 'on' : '')
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
    tellMet(effect, place)
    if (place.isOn) stayOnTop(effect)
    if (effect.shownWhileOn) showParts(effect, place, effect.shownWhileOn)
    if (effect.turnsLooks) showLook(effect, place)
    tellZones(effect, place)
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
    { part, host: place, coversBorder },
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
    if (place === 'top') {
      element.popover = 'manual'
      element.showPopover()
    }
    return element
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
      if (effect.turnsLooks) advanceLooks(effect, advanced, t)
    }
    advanced = Math.max(advanced, t)
  }

  // A copy within copies of all that an element lies in, and beside copies of what stands beside these, so that the page's rules match there as
  // they do here. They have no boxes, and hand down what they do here.
  function withAround(element, copy) {
    let around = copy
    for (let inner = element; inner.parentElement; inner = inner.parentElement) {
      const outer = inner.parentElement
      const shell = outer.cloneNode()
      shell.style.cssText = `display: contents; zoom: 1; font-size: ${getComputedStyle(outer).fontSize}`
      for (const each of outer.children) {
        // Nothing of it runs.
        const beside = document.createElement(/-|script/.test(each.localName) ? 'i' : each.localName)
        beside.id = each.id
        beside.className = each.getAttribute('class') ?? ''
        beside.style.display = 'none'
        shell.append(each === inner ? around : beside)
      }
      around = shell
    }
    return around
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
    const moves =
      (ways.has(key) || zooms.has(key)) &&
      effects.some(({ select, arrowKeys }) => arrowKeys && target.closest(select))
    if (moves) event.preventDefault()
    if (!moves && key !== 'Escape') return
    events.push({ type, timeStamp, key, target, clientX: pointer.x, clientY: pointer.y, buttons: 0 })
    wake()
  }

  // So many elements are copied at the most.
  const mostCopied = 2000

  // So many at a time, and for so long, ms.
  const copiedAtOnce = 80

  const copyingMs = 5
  // Fills a part with what its host holds, apart from the page: what is near the pointer first, in steps that hold nothing up, as long as it is
  // seen. It stays in step with what the page, and whoever uses it, makes of the host. Nobody can focus, select or hear it.
  function keepLive(host, element, { zoom = 1, sharper = '' }) {
    let lens = element
    while (lens.parentElement && lens.parentElement !== host) lens = lens.parentElement
    element.inert = true
    const live = {
      host,
      lens,
      element,
      zoom,
      sharper,
      copies: new WeakMap(),
      unmade: new Map([[host, 0]]),
      films: new Map(),
      left: mostCopied,
      room: 0,
      until: 0,
      isAwaited: false,
    }
    const wakes = new MutationObserver(() => {
      if (live.unmade.size + live.films.size > 0) makeOn(live)
    })
    wakes.observe(lens, { attributeFilter: ['style'] })
  }

  // Begins a copy: with the page's own stylesheets, once these are there, and on the ground that the host is seen on.
  function beginCopy(live) {
    const { host, lens, element } = live
    const copy = host.cloneNode()
    live.copies.set(host, copy)
    const { borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
    // The middle of its padding box is where the part is.
    const translate = `calc((${borderRightWidth} - ${borderLeftWidth}) / 2 - 50%) calc((${borderBottomWidth} - ${borderTopWidth}) / 2 - 50%)`
    // Whatever the page has the host do, its copy lies flat.
    copy.style.cssText += `; position: absolute !important; inset: 0 auto auto 0 !important; margin: 0 !important; z-index: auto !important; opacity: 1 !important; filter: none !important; transform: none !important; translate: ${translate} !important; rotate: none !important; scale: none !important; transition: none !important; animation: none !important; max-width: none !important; max-height: none !important`
    const root = element.attachShadow({ mode: 'closed' })
    const sheets = [...document.querySelectorAll('link[rel~="stylesheet"]:not([rel~="alternate"]), style')].map((each) => each.cloneNode(true))
    const links = sheets.filter(({ localName }) => localName === 'link')
    let waiting = links.length
    const isThere = () => (element.style.visibility = waiting-- > 0 ? 'hidden' : '')
    for (const link of links) link.onload = link.onerror = isThere
    isThere()
    root.append(...sheets, withAround(host, copy))
    root.adoptedStyleSheets = [...document.adoptedStyleSheets]
    let ground = host
    while (ground && /^transparent|, 0\)$/.test(getComputedStyle(ground).backgroundColor)) ground = ground.parentElement
    lens.style.setProperty('--ground', ground ? getComputedStyle(ground).backgroundColor : 'Canvas')
    followHost(live)
  }

  // Hears of all that becomes another in a host.
  function followHost(live) {
    const { host } = live
    const observer = new MutationObserver((records) => {
      for (const record of records) followChange(live, record)
      if (live.unmade.size > 0) makeOn(live)
    })
    observer.observe(host, { subtree: true, childList: true, characterData: true, attributes: true })
    const sizes = new ResizeObserver(() => makeOn(live))
    sizes.observe(host)
    for (const type of ['input', 'change', 'scroll'])
      document.addEventListener(type, ({ target }) => keepState(live, target), true)
  }

  function followChange({ host, copies, unmade }, { type, target, attributeName }) {
    const copy = copies.get(target)
    if (type === 'characterData' && copy) copy.textContent = target.textContent
    else if (type === 'childList' && copy) unmade.set(target, 0)
    else if (attributeName && copy && target !== host && !unmade.has(target)) {
      const text = target.getAttribute(attributeName)
      if (text === null) copy.removeAttribute(attributeName)
      else copy.setAttribute(attributeName, text)
    }
  }

  function makeOn(live) {
    if (live.isAwaited) return
    live.isAwaited = true
    requestAnimationFrame(() => {
      live.isAwaited = false
      const { lens, films, unmade } = live
      if (lens.style.visibility === 'hidden' || !lens.isConnected) return
      if (!live.copies.has(live.host)) beginCopy(live)
      make(live)
      for (const [film, canvas] of films)
        if (film.isConnected) showFilm(film, canvas)
        else films.delete(film)
      if (unmade.size + films.size > 0) makeOn(live)
    })
  }

  // Makes some more of a copy: all is read first, then written.
  function make(live) {
    const { host, copies, unmade } = live
    const { width, height } = getComputedStyle(host)
    const made = []
    live.room = copiedAtOnce
    live.until = performance.now() + copyingMs
    while (unmade.size > 0 && goesOn(live)) {
      const [source] = [...unmade].reduce((nearest, each) => (each[1] < nearest[1] ? each : nearest))
      unmade.delete(source)
      made.push([source, childrenOf(live, source), source.scrollTop !== 0 || source.scrollLeft !== 0 || source.matches('select')])
    }
    for (const [source, children, isOther] of made) {
      const copy = copies.get(source)
      // Once all of it is there it is as large as that again.
      if (source !== host && !unmade.has(source)) copy.style.cssText = source.style.cssText
      const known = [...copy.childNodes]
      if (known.every((node, i) => node === children[i])) copy.append(...children.slice(known.length))
      else copy.replaceChildren(...children)
      if (isOther) keepState(live, source)
    }
    const { style } = copies.get(host)
    style.setProperty('width', width, 'important')
    style.setProperty('height', height, 'important')
  }

  function showFilm(film, canvas) {
    const [width, height] = film instanceof HTMLVideoElement ? [film.videoWidth, film.videoHeight] : [film.width, film.height]
    if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height })
    if (width && height) canvas.getContext('2d')?.drawImage(film, 0, 0)
  }

  // What is nearer than this is copied at once, px.
  const nearPx = 100

  // What is copied without what it holds: it is heard, runs, or has a page of its own.
  const emptied = 'audio, iframe, object, embed, script'

  // Whether more may be copied before the browser goes on.
  const goesOn = ({ room, until }) => room > 0 && performance.now() < until

  // Copies of what an element holds: those that there are go on. What has much in it and is not near is as large as that, and filled later; so is
  // what there is no time for now.
  function childrenOf(live, source) {
    const children = []
    for (const node of source.childNodes) {
      const known = live.copies.get(node)
      if (!known && !goesOn(live)) {
        live.unmade.set(source, farOf(source))
        break
      }
      if (node !== live.lens) children.push(known ?? copyOf(live, node))
    }
    return children
  }

  function copyOf(live, node) {
    if (!(node instanceof Element)) {
      const text = node.cloneNode()
      live.copies.set(node, text)
      return text
    }
    live.left--
    live.room--
    const copy = shellOf(live, node)
    live.copies.set(node, copy)
    if (node.matches('input, textarea')) keepState(live, node)
    if (!node.firstChild || node.matches(`${emptied}, video, canvas`)) return copy
    const { display, width, height } = getComputedStyle(node)
    // What lies in lines has no size of its own.
    if (node.childElementCount === 0 || /^(inline|contents)$/.test(display) || (farOf(node) < nearPx && goesOn(live)))
      copy.append(...childrenOf(live, node))
    else {
      Object.assign(copy.style, { width, height })
      copy.style.overflow = 'clip'
      if (live.left > 0) live.unmade.set(node, farOf(node))
    }
    return copy
  }

  // How far an element is from the pointer, px.
  function farOf(element) {
    const { left, top, right, bottom } = element.getBoundingClientRect()
    const { x, y } = pointer
    return Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom))
  }

  // A copy of an element without what it holds.
  function shellOf(live, element) {
    if (element instanceof HTMLVideoElement || element instanceof HTMLCanvasElement) {
      const canvas = document.createElement('canvas')
      const { width, height, objectFit, objectPosition } = getComputedStyle(element)
      canvas.className = element.className
      Object.assign(canvas.style, { width, height, objectFit, objectPosition })
      live.films.set(element, canvas)
      return canvas
    }
    const copy = element.cloneNode()
    if (element.matches(emptied)) for (const name of ['src', 'srcdoc', 'data']) copy.removeAttribute(name)
    if (element instanceof HTMLImageElement) sharpen(element, copy, live)
    return copy
  }

  // What an element is beside its markup: what was typed or chosen in it, and how far it is scrolled.
  function keepState({ host, lens, copies }, source) {
    const copy = copies.get(source)
    if (!copy) return
    const names = source.matches('input:not([type="file"]), textarea, select')
      ? ['value', 'checked', 'selectedIndex', 'scrollTop', 'scrollLeft']
      : ['scrollTop', 'scrollLeft']
    const [from, to] = [source, copy]
    for (const name of names) if (from && to && name in from && from[name] !== to[name]) to[name] = from[name]
    // What lies in a host that scrolls goes with what it holds.
    if (source === host) lens.style.translate = `${source.scrollLeft}px ${source.scrollTop}px`
  }

  // Has the copy of a picture take the sharpest source that there is for it, and be as large as the picture is.
  function sharpen(image, copy, { zoom }) {
    const { width, height } = getComputedStyle(image)
    Object.assign(copy.style, { width, height })
    copy.loading = 'eager'
    copy.sizes = `${parseFloat(width) * zoom}px`
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
    if (!isCaused) look.dismissed = false
    if (look.dismissed) return
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    let changed = causes.map((event) => turnLook(effect, place, event, t)).includes(true)
    if (look.state === 'still' && (!isCaused || place.stood.t + (effect.stillMs ?? 0) > t))
      changed = turnLook(effect, place, 'move', t) || changed
    if (changed) show(effect, place, t)
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

  // Where an element would lie if it did not lean: by the box that is seen, less what the lean makes of it.
  function leaning(element) {
    const { offsetWidth: width, offsetHeight: height } = element
    const hull = hullOf(new DOMMatrix(getComputedStyle(element).transform), width, height)
    const box = element.getBoundingClientRect()
    const toBox = new DOMMatrix()
      .translate(width / 2 + hull.left, height / 2 + hull.top)
      .scale((hull.right - hull.left) / box.width, (hull.bottom - hull.top) / box.height)
      .translate(-box.x, -box.y)
    return paddingBox(toBox, width, height, element)
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

  // Which way keys move the pointer, in steps; so many that they end at a side where that is meant.
  const ways = new Map([
    ['ArrowLeft', [-1, 0]],
    ['ArrowRight', [1, 0]],
    ['ArrowUp', [0, -1]],
    ['ArrowDown', [0, 1]],
    ['Home', [-1e6, 0]],
    ['End', [1e6, 0]],
  ])

  // How many times as large a key makes what fingers would.
  const zooms = new Map([
    ['+', 1.25],
    ['-', 0.8],
  ])

  // Takes a key to the effects; gives where it moves the pointer to.
  function pressKey(key, t) {
    if (key === 'Escape') for (const effect of effects) dismissAll(effect, t)
    const [right, down] = ways.get(key) ?? [0, 0]
    const by = zooms.get(key)
    if (!right && !down && !by) return undefined
    for (const effect of effects) {
      const place = effect.arrowKeys ? [...effect.places.values()].find(({ focused }) => focused) : undefined
      if (
        !place ||
        !effect.arrowKeys ||
        (by && !effect.pinches)
      )
        continue
      const { toFrame, width, height } = areaFrame(effect, place.area)
      // From where it is, or else from the middle.
      const at =
        pointer.over && place.isOn ? toFrame.transformPoint(pointer) : { x: width / 2, y: height / 2, ...({}) }
      const [across, along] = [right, down]
      const x = Math.min(width, Math.max(0, at.x + across * effect.arrowKeys * width))
      const y = Math.min(height, Math.max(0, at.y + along * effect.arrowKeys * height))
      const to = toFrame.inverse().transformPoint({ x, y })
      if (by) return { type: 'pinch', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, buttons: 0, by }
      return { type: 'pointermove', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, buttons: 0, pointerType: 'mouse' }
    }
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
          if (deed.unless && target.matches(deed.unless)) continue
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
    if (!(element.matches('.plate[data-plate-tilt], .plate .moth[data-plate-tilt], .plate .shadow[data-plate-tilt], .plate .label[data-plate-tilt], .sky .sky-near[data-sky-drift], .sky .sky-far[data-sky-drift]'))) return style.transform
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
    const drawn = aroundOf(element, false)
      .multiply(matrixOf(style, style.transform))
      .translate(width / 2 - originX, height / 2 - originY)
    const box = element.getBoundingClientRect()
    let own = aroundOf(element, true).multiply(matrixOf(style, ownTransform(element, style)))
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

  // What a reading becomes by a turn of the wheel, or of two fingers, that it has not taken yet; it is there again when the pointer comes back.
  function takenTurn({ place }, follower, next) {
    const { turnedTo = 1 } = follower
    if (!place.isOn || follower.turn === pointer.turns) return turnedTo
    follower.turn = pointer.turns
    follower.turnedTo = next(turnedTo)
    return follower.turnedTo
  }

  const pinched = (at, follower) =>
    takenTurn(at, follower, (reading) => Math.min(2.66666666667, Math.max(0.4, reading * pointer.pinch)))

  const decay = 2 * Math.PI * 2.27 * 0.715
  const swing = 2 * Math.PI * 2.27 * Math.sqrt(1 - 0.715 ** 2)
  // Settles in 416 ms, 4 % overshoot.
  // A spring that swings past its mark, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen.
  function underdamped({ gap, speed, since, band }, t) {
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

  // Hears a wheel; with Ctrl it is what two fingers on a pad do, which the page is not to zoom by where an effect does.
  function hearWheel(event) {
    const { timeStamp, clientX, clientY, target, buttons, ctrlKey, deltaY, deltaMode } = event
    const turnedPx = deltaMode ? deltaY * 18 : deltaY
    if (ctrlKey && effects.some(({ select, pinches }) => pinches && target.closest(select)))
      event.preventDefault()
    const by = ctrlKey ? Math.exp(-Math.max(-25, Math.min(25, turnedPx)) / 100) : turnedPx
    events.push({ type: ctrlKey ? 'pinch' : 'wheel', timeStamp, clientX, clientY, target, buttons, by })
    wake()
  }

  // Where two fingers are, by their numbers.
  const fingers = new Map()

  // Hears two fingers; tells whether it is they who lead.
  function hearFingers(event) {
    const { type, pointerId, timeStamp, buttons, target, clientX, clientY } = event
    const apart = () => {
      const [one, other] = [...fingers.values()]
      return one && other ? Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY) : 0
    }
    const before = apart()
    if (type === 'pointerdown' || (type === 'pointermove' && fingers.has(pointerId))) fingers.set(pointerId, event)
    else if (type !== 'pointermove') fingers.delete(pointerId)
    const after = apart()
    const heard = {
      type: 'pinch',
      timeStamp,
      clientX,
      clientY,
      target,
      buttons,
      pointerType: 'touch',
      by: before ? after / before : 1,
    }
    if (type === 'pointermove' && after) {
      events.push(heard)
      wake()
    }
    return type === 'pointermove' && after > 0
  }
  const ease = bezier(0, 0, 0.58) // ease-out
  const comes = (follower, t) => timed(follower, t, 140, ease)
  const ease2 = bezier(0.2, 0.7, 0.2)
  const comes2 = (follower, t) => timed(follower, t, 140, ease2)
  const goes = (follower, t) => timed(follower, t, 180, ease2)

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
      fine: true,
      measure: leaning,
      comes: true,
      seenWithin: '.plate .moth, .plate .shadow, .plate .label',
      parts: [{ part: 'plate-tilt-glass', coversBorder: true }, { part: 'plate-tilt-sheen', inside: 'plate-tilt-glass' }],
      places: new Map(),
      values: [
        { property: '--plate-tilt-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), pose: 0, band: 0.0002, digits: 4, feel: underdamped, onSelf: true, onParts: ':scope > .plate-tilt-glass > .plate-tilt-sheen' },
        { property: '--plate-tilt-y', read: ({ y, height }) => Math.min(1, Math.max(-1, 2 * y / height - 1)), pose: 0, band: 0.0002, digits: 4, feel: underdamped, onSelf: true, onParts: ':scope > .plate-tilt-glass > .plate-tilt-sheen' },
      ],
    },
    // Over each packet it turns away from the side that the pointer comes from, left or right, from its front to the sowing note, seen from 1100px.
    {
      select: '.packet',
      name: 'packet-flip',
      mark: 'data-packet-flip',
      notForeign: '.packet, .plate, .plate .moth, .plate .shadow, .plate .label, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      seenOnSelf: true,
      taps: 'a[href], button, input, select, textarea, summary, label',
      focuses: true,
      measure: turned,
      turnsLooks: true,
      takesKeys: true,
      deeds: [{ looks: ['off', 'on', 'pressed', 'still'], attributes: [['tabindex', '0']], onSelf: true }, { looks: ['off'], attributes: [['inert', '']], within: '.packet > .sowing' }, { looks: ['on', 'pressed', 'still'], attributes: [['inert', '']], within: '.packet > .front' }],
      places: new Map(),
      values: [
        { property: '--packet-flip-side', read: ({ place }) => place.entry[1], pose: 1, holds: true, band: 0.0003, digits: 4, feel: direct, onSelf: true },
      ],
    },
    // In the sky, the swarm slides by 22px and the starry sky by 6px, against the pointer, across only.
    {
      select: '.sky',
      name: 'sky-drift',
      mark: 'data-sky-drift',
      notForeign: '.sky, .plate, .plate .moth, .plate .shadow, .plate .label, .sky .sky-near, .sky .sky-far',
      fine: true,
      measure: plain,
      seenWithin: '.sky-near, .sky-far',
      places: new Map(),
      values: [
        { property: '--sky-drift-x', read: ({ x, width }) => Math.min(1, Math.max(-1, 2 * x / width - 1)), pose: 0, band: 0.0002, digits: 4, feel: underdamped, within: '.sky-near, .sky-far' },
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
        { property: '--cursor-press', read: () => (pointer.buttons ? 1 : 0), pose: 0, band: 0.0001, digits: 5, feel: comes, onParts: '.cursor-point > .cursor-shape', isOfParts: true },
      ],
    },
    // Over the wing a round lens of 230px shows what is under the pointer 3 times as large, with a rim of 7px in #c4a160.
    {
      select: '.under-glass',
      name: 'under-glass-magnifier',
      mark: 'data-under-glass-magnifier',
      notForeign: '.under-glass, .plate, .plate .moth, .plate .shadow, .plate .label, .sky .sky-near, .sky .sky-far',
      findsAll: true,
      stands: true,
      keeps: true,
      focuses: true,
      arrowKeys: 0.02,
      pinches: true,
      measure: plain,
      turnsLooks: true,
      takesKeys: true,
      escapes: true,
      parts: [{ part: 'under-glass-magnifier-hand' }, { part: 'under-glass-magnifier-lens', inside: 'under-glass-magnifier-hand' }, { part: 'under-glass-magnifier-near', inside: 'under-glass-magnifier-lens' }, { part: 'under-glass-magnifier-glass', inside: 'under-glass-magnifier-near', copiesLive: true, zoom: 3 }, { part: 'under-glass-magnifier-rim', inside: 'under-glass-magnifier-lens' }],
      deeds: [{ looks: ['off', 'on', 'pressed', 'still'], attributes: [['tabindex', '0'], ['role', 'group'], ['aria-label', 'Magnifier: arrow keys move it, plus and minus change how large']], unless: 'a[href], button, input, select, textarea, summary, [tabindex]', onSelf: true }],
      shownWhileOn: ':scope > .under-glass-magnifier-hand',
      places: new Map(),
      values: [
        { property: '--under-glass-magnifier-here', read: ({ place }) => ({ on: 1 })[place.look?.shown ?? 'off'] ?? 0, leave: ({ place }) => ({ on: 1 })[place.look?.shown ?? 'off'] ?? 0, byLook: true, pose: 0, band: 0.0001, digits: 5, feel: comes2, going: goes, onParts: ':scope > .under-glass-magnifier-hand', isOfParts: true },
        { property: '--under-glass-magnifier-x', read: ({ x, width }) => x - width / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, seenBy: 0, onParts: ':scope > .under-glass-magnifier-hand, :scope > .under-glass-magnifier-hand > .under-glass-magnifier-lens > .under-glass-magnifier-near > .under-glass-magnifier-glass', isOfParts: true },
        { property: '--under-glass-magnifier-y', read: ({ y, height }) => y - height / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, seenBy: 0, onParts: ':scope > .under-glass-magnifier-hand, :scope > .under-glass-magnifier-hand > .under-glass-magnifier-lens > .under-glass-magnifier-near > .under-glass-magnifier-glass', isOfParts: true },
        { property: '--under-glass-magnifier-pinch', read: (at, follower) => pinched(at, follower), pose: 1, holds: true, band: 0.000226666666667, digits: 4, feel: glide, onParts: ':scope > .under-glass-magnifier-hand > .under-glass-magnifier-lens > .under-glass-magnifier-near', isOfParts: true },
        { property: '--under-glass-magnifier-finger', read: () => (pointer.isTouch ? (pointer.y < 278 ? 1 : -1) : 0), pose: 0, holds: true, band: 0.0002, digits: 4, feel: glide, onParts: ':scope > .under-glass-magnifier-hand', isOfParts: true },
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
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'focusin', 'focusout', 'scroll', 'resize'])
    addEventListener(
      type,
      (event) => {
        const { relatedTarget, pointerType, isPrimary } = event
        // On its way from one element to another the pointer is not gone.
        if (type === 'pointerout' && relatedTarget) return
        if (pointerType === 'touch' && hearFingers(event)) return
        // Of several fingers the first one leads.
        if (isPrimary === false) return
        // A fast mouse moves more than once a frame.
        events.push(...(event.getCoalescedEvents?.().slice(0, -1) ?? []), event)
        wake()
      },
      { passive: true, capture: true },
    )
  addEventListener('keydown', hearKey, { capture: true })
  addEventListener('wheel', hearWheel, { passive: false, capture: true })
})()
