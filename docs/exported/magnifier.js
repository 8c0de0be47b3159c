(() => {
  // The pointer: where it is and was, what it is over, its buttons, and since when.
  const pointer = {
    x: 0,
    y: 0,
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
    for (const effect of effects) {
      for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
    }
  }

  // Where the pointer stands while the page moves is where it was then.
  function standStill() {
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
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
      pointer.buttons = buttons
      pointer.isTouch = pointerType === 'touch'
    } else standStill()
    for (const effect of effects) {
      meetEffect(effect)
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll(effect) {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-magnifier')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(effect, area, area)
      }
  }

  function standIn(effect, t) {
    findAll(effect)
    for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
  }

  // Takes the pointer to the elements of an effect that have it, and away from those that had it.
  function meetEffect(effect) {
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
        const arrives = has && !place.isOn
        place.isOn = has
        turnPlace(place, pointer.time, arrives)
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
  function begin(effect, area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: true,
      focused: false,
      followers: effect.values.map((value) => ({
      value,
      target: value.pose,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
      look: { state: 'off', shown: 'off', before: 'off', dueAt: Infinity, tapped: false },
    }
    effect.places.set(element, place)
  }

  // Turns all that follows the pointer in a place to where it should be now.
  function turnPlace(place, t, arrives) {
    place.moves = true
    // The pointer as an element sees it.
    const frame = frameOf(place.area)
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
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = value.byLook ? feelByLook(value, at.place) : at.place.isOn ? value.feel : (value.going ?? value.feel)
    const t = at.t
    if (reading !== follower.target || feel !== follower.feel) {
      const { gap, speed } = follower.feel(follower, t)
      shorten(follower, reading, gap)
      Object.assign(follower, { target: reading, feel, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Where a value is at t: at its target, once it is too near to be seen apart.
  function valueAt(follower, t) {
    const { gap, moves } = follower.feel(follower, t)
    return moves ? follower.target + gap : follower.target
  }

  // What a value is written on: parts are looked for once, as long as they are there.
  function seenOnParts(place, follower) {
    if (!follower.seen?.[0]?.isConnected) follower.seen = [...targetsOf(place, follower.value)]
    return follower.seen
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(effect, place, t) {
    if (!place.element.hasAttribute('data-card-magnifier')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-magnifier', '')
      if (effect.parts) {
        // Adds the parts of an effect to an element, once.
        const host = place.area
        const parts = effect.parts
        const made = new Map()
        for (const part of parts) {
          const home = (part.inside && made.get(part.inside)) || host
          made.set(part.part, addPart(home, part))
          if (part.copiesLive) keepLive(host, made.get(part.part) ?? host, part)
        }
      }
    }
    place.moves = false
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = follower.feel(follower, t)
      for (const target of seenOnParts(place, follower))
          target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(value.digits) + (value.isLength ? 'px' : ''))
      if (moves) place.moves = true
    }
    showParts(place)
    showLook(effect, place)
    return place.moves
  }

  // Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached.
  function addPart(
    home,
    { part },
  ) {
    const element = document.createElement('span')
    element.className = part
    element.setAttribute('aria-hidden', 'true')
    element.dataset.part = ''
    home.append(element)
    return element
  }

  // What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing.
  function showParts({ area, look, moves }) {
    const isSeen = look.shown !== 'off'
    for (const part of area.querySelectorAll(':scope > .card-magnifier-hand')) part.style.visibility = isSeen || moves ? '' : 'hidden'
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
    for (const place of effect.places.values()) {
      const focused =
        !!target &&
        place.area.contains(target) &&
        true
      if (focused !== place.focused) {
        place.focused = focused
        followCauses(place, pointer.time)
        turnPlace(place, pointer.time, false)
      }
    }
  }

  // cubic-bezier(x1, y1, x2, y2): the time is found by Newton's method inside a shrinking bracket. Outside 0..1 it holds.
  function bezier() {
    const on = (a, b, s) => 3 * (1 - s) * s * ((1 - s) * a + s * b) + s ** 3
    return (share) => {
      let [low, high, s] = [0, 1, share]
      for (let step = 0; step < 40; step++) {
        const error = on(0.2, 0.2, s) - share
        if (error > 0) high = s
        else low = s
        const next = s - error / (3 * (1 - s) ** 2 * 0.2 + 6 * (1 - s) * s * (0.2 - 0.2) + 3 * s * s * (1 - 0.2))
        s = next > low && next < high ? next : (low + high) / 2
      }
      return on(0.7, 1, s)
    }
  }

  // Where elements lie, and since when that is known.
  const frames = new Map()

  let measured = 0

  function forgetFrames(t) {
    frames.clear()
    measured = t
  }

  function frameOf(element) {
    const known = frames.get(element)
    if (known) return known
    // Where an element lies that nothing turns or moves.
    const { left, top, width, height } = element.getBoundingClientRect()
    const frame = { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height }
    frames.set(element, frame)
    return frame
  }

  // What is missing halves every 40 ms.
  // The gap halves again and again, in the same time each.
  function glide({ gap, since, band }, t) {
    const left = gap * 2 ** ((since - t) / 40)
    return { gap: left, speed: 0, moves: Math.abs(left) > band }
  }

  // Hears a key that an effect asks for, but for what is written with it.
  function hearKey(event) {
    const { type, timeStamp, key, target, altKey, ctrlKey, metaKey } = event
    if (altKey || ctrlKey || metaKey || target.closest('input, textarea, select, [contenteditable]')) return
    const moves =
      (ways.has(key) || zooms.has(key)) &&
      effects.some(() => target.closest('.card'))
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
    if (!isCaused) look.dismissed = false
    if (look.dismissed) return
    const causes = [...(isCaused ? ['come'] : ['go']), ...(isOn ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
    const changed = causes.map((event) => turnLook(place, event, t)).includes(true)
    if (changed) show(place, t)
  }

  // Escape puts off what shows anything.
  function dismissAll(effect, t) {
    for (const place of effect.places.values()) {
      if (!turnLook(place, 'dismiss', t)) continue
      place.look.tapped = false
      place.look.dismissed = place.isOn || place.focused
      show(place, t)
    }
  }

  // Follows a look that has changed, in its place and in the others; where one at most is on, the others go off.
  function show(place, t) {
    turnPlace(place, t, false)
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
      const place = [...effect.places.values()].find(({ focused }) => focused)
      if (
        !place
      )
        continue
      const { toFrame, width, height } = frameOf(place.area)
      // From where it is, or else from the middle.
      const at =
        pointer.over && place.isOn ? toFrame.transformPoint(pointer) : { x: width / 2, y: height / 2, ...({}) }
      const [across, along] = [right, down]
      const x = Math.min(width, Math.max(0, at.x + across * 0.02 * width))
      const y = Math.min(height, Math.max(0, at.y + along * 0.02 * height))
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
    if (element.getAttribute('data-card-magnifier') === shown) return
    element.setAttribute('data-card-magnifier', shown)
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

  // The elements that a value is written on.
  function targetsOf(
    place,
    { onSelf, onParts },
  ) {
    return [...(onSelf ? [place.element] : []), ...(onParts ? place.area.querySelectorAll(onParts) : [])]
  }

  // From where it is to the target in a given time, after a delay.
  function timed(
    { gap, since, share: part = 1 },
    t,
    durationMs,
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

  // What a reading becomes by a turn of the wheel, or of two fingers, that it has not taken yet; it is there again when the pointer comes back.
  function takenTurn({ place }, follower, next) {
    const { turnedTo = 1 } = follower
    if (!place.isOn || follower.turn === pointer.turns) return turnedTo
    follower.turn = pointer.turns
    follower.turnedTo = next(turnedTo)
    return follower.turnedTo
  }

  const pinched = (at, follower) =>
    takenTurn(at, follower, (reading) => Math.min(3.2, Math.max(0.48, reading * pointer.pinch)))

  // Hears a wheel; with Ctrl it is what two fingers on a pad do, which the page is not to zoom by where an effect does.
  function hearWheel(event) {
    const { timeStamp, clientX, clientY, target, buttons, ctrlKey, deltaY, deltaMode } = event
    const turnedPx = deltaMode ? deltaY * 18 : deltaY
    if (ctrlKey && effects.some(() => target.closest('.card')))
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

  const ease = bezier()
  const comes = (follower, t) => timed(follower, t, 140)
  const goes = (follower, t) => timed(follower, t, 180)

  // Over each card a round lens of 190px shows what is under the pointer 2.5 times as large, with a rim of 5px in #e9e2d0.
  const effects = [
    {
      parts: [{ part: 'card-magnifier-hand' }, { part: 'card-magnifier-lens', inside: 'card-magnifier-hand' }, { part: 'card-magnifier-near', inside: 'card-magnifier-lens' }, { part: 'card-magnifier-glass', inside: 'card-magnifier-near', copiesLive: true, zoom: 2.5 }, { part: 'card-magnifier-rim', inside: 'card-magnifier-lens' }],
      deeds: [{ looks: ['off', 'on', 'pressed', 'still'], attributes: [['tabindex', '0'], ['role', 'group'], ['aria-label', 'Magnifier: arrow keys move it, plus and minus change how large']], unless: 'a[href], button, input, select, textarea, summary, [tabindex]', onSelf: true }],
      places: new Map(),
      values: [
        { property: '--card-magnifier-here', read: ({ place }) => ({ on: 1 })[place.look?.shown ?? 'off'] ?? 0, leave: ({ place }) => ({ on: 1 })[place.look?.shown ?? 'off'] ?? 0, byLook: true, pose: 0, band: 0.0001, digits: 5, feel: comes, going: goes, onParts: ':scope > .card-magnifier-hand' },
        { property: '--card-magnifier-x', read: ({ x, width }) => x - width / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, seenBy: 0, onParts: ':scope > .card-magnifier-hand, :scope > .card-magnifier-hand > .card-magnifier-lens > .card-magnifier-near > .card-magnifier-glass' },
        { property: '--card-magnifier-y', read: ({ y, height }) => y - height / 2, pose: 0, isLength: true, holds: true, band: 0.01, digits: 3, feel: direct, seenBy: 0, onParts: ':scope > .card-magnifier-hand, :scope > .card-magnifier-hand > .card-magnifier-lens > .card-magnifier-near > .card-magnifier-glass' },
        { property: '--card-magnifier-pinch', read: (at, follower) => pinched(at, follower), pose: 1, holds: true, band: 0.000272, digits: 4, feel: glide, onParts: ':scope > .card-magnifier-hand > .card-magnifier-lens > .card-magnifier-near' },
        { property: '--card-magnifier-finger', read: () => (pointer.isTouch ? (pointer.y < 238 ? 1 : -1) : 0), pose: 0, holds: true, band: 0.0002, digits: 4, feel: glide, onParts: ':scope > .card-magnifier-hand' },
      ],
    },
  ]

  // What is seen without the pointer stands from the start.
  for (const effect of effects) {
    standIn(effect, pointer.time)
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
