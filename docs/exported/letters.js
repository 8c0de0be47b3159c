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
  function draw(now) {
    nextFrame = 0
    for (const event of events.splice(0)) meet(event)
    const t = Math.max(now, pointer.time)
    for (const place of effect.places.values()) if (place.moves && write(place, t)) wake()
  }

  // Takes an event to all effects, in the order of time.
  function meet({ type, timeStamp, clientX, clientY, target }) {
    const t = Math.max(pointer.time, timeStamp)
    if (!(type.startsWith('pointer')) || t - measured > 200 || t - pointer.time > 200) {
      frames.clear()
      measured = t
      findAll()
    }
    pointer.time = t
    if (type.startsWith('pointer')) {
      const isOut = type === 'pointerout' || type === 'pointercancel'
      Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
    } else {
      // Where the pointer stands while the page moves is where it was then.
      pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
    }
    // Takes the pointer to the elements of an effect that have it, and away from those that had it.
    const over = pointer.over
    const all = [...effect.places.values()]
    const holding = over
      ? all.filter(({ area }) => hasPointer(frameOf(area), effect.insets) && isMet(over, area))
      : []
    for (const place of all) {
      const has = holding.includes(place)
      if (has || place.isOn) {
        const arrives = has && !place.isOn
        place.isOn = has
        turnPlace(place, pointer.time, arrives)
      }
    }
  }

  // Finds all elements of an effect that there are by now, and lets go of those that are none any more.
  function findAll() {
    const areas = new Set(
      [...document.querySelectorAll('.card')],
    )
    for (const [element, place] of effect.places)
      if (!element.isConnected || !areas.has(place.area)) {
        effect.places.delete(element)
        element.removeAttribute('data-card-letters')
      }
    for (const area of areas) {
        if (!effect.places.has(area)) begin(area, area)
      }
  }

  // Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can.
  function isMet(over, area) {
    const isOnIt = (element) => hasPointer(frameOf(element))
    if (isOnIt(area)) return over.contains(area) || over.closest('.card') !== null
    return true
  }

  // Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px.
  function hasPointer({ toFrame, width, height }, insets) {
    const { x, y } = toFrame.transformPoint(pointer)
    const [above, after, below, before] = insets ? insets(width, height) : [0, 0, 0, 0]
    return (
      x >= before - 1 / 64 && x <= width - after + 1 / 64 && y >= above - 1 / 64 && y <= height - below + 1 / 64
    )
  }

  // Begins to follow the pointer in an element: everything lies at its pose.
  function begin(area, element = area) {
    const place = {
      element,
      area,
      isOn: false,
      moves: false,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
      feel: value.feel,
      band: value.band,
    })),
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
    const reading = at.place.isOn ? value.read(at, follower) : 0
    // What nobody sees begins where the pointer is.
    const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
    if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const feel = at.place.isOn ? value.feel : (value.going ?? value.feel)
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

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-letters')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-letters', '')
    }
    place.moves = false
    meetParts(place)
    for (const follower of place.followers) {
      const { moves } = follower.feel(follower, t)
      if (moves) place.moves = true
    }
    if (!place.moves) meetParts(place)
    tellNear(effect, place, t)
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

  // Parts that are there only with the pointer come with it, and are gone once all has come to rest; of more places than may have them the oldest one loses them.
  function meetParts(place) {
    const alive = (effect.alive ??= [])
    const isWanted = place.isOn
    const isThere = alive.includes(place)
    if (isWanted && !isThere) {
      // Adds the parts of an effect to an element, once.
      const host = place.area
      const parts = effect.parts ?? []
      const made = new Map()
      for (const part of parts) {
        const home = (part.inside && made.get(part.inside)) || host
        if (part.lays) {
          keepLaid(host, home, part)
          continue
        }
        made.set(part.part, addPart(home, part))
      }
      alive.push(place)
    }
    const ends = alive.length > 3 ? alive.shift() : !isWanted && isThere && !place.moves ? place : undefined
    if (!ends) return
    effect.alive = alive.filter((each) => each !== ends)
    endParts(ends, effect.parts)
  }

  const endParts = ({ area }, parts = []) =>
    parts.forEach(({ part }) => area.querySelectorAll(`:scope > .${part}`).forEach((element) => element.remove()))

  const isPart = (node) => node.dataset?.part === ''

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
  function keepLaid(host, home, part) {
    home.dataset.letters = ''
    layLetters(host, home, part)
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
      if (home.isConnected) layLetters(host, home, part)
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

  function layLetters(host, home, { part, lays }) {
    const { toFrame } = frameOf(host)
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

  const rest = { gap: 0, speed: 0, moves: false }

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

  const ease = bezier()
  const comes = (follower, t) => timed(follower, t, 200)
  const goes = (follower, t) => timed(follower, t, 500)

  // Within 160px of the pointer each letter of each card is 100% as large, of the weight 0, and rises by 0px.
  const effect = {
    insets: () => [-160, -160, -160, -160],
    parts: [{ part: 'card-letters-letters' }, { part: 'card-letters-letter', inside: 'card-letters-letters', lays: 'letters', reach: '--card-letters-reach' }],
    places: new Map(),
    values: [
      { read: () => 1, nears: 'here', band: 0.0001, feel: comes, going: goes },
      { read: ({ x }) => x, nears: 'x', holds: true, band: 0.01, feel: glide, seenBy: 0 },
      { read: ({ y }) => y, nears: 'y', holds: true, band: 0.01, feel: glide, seenBy: 0 },
    ],
  }

  // What is seen without the pointer stands from the start.
  findAll()
  // Hears what happens, for the next frame.
  for (const type of ['pointermove', 'pointerover', 'pointerout', 'pointercancel', 'scroll', 'resize'])
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
})()
