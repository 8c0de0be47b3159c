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
        if (arrives || !has) place.comesUntil = pointer.time + ((has ? 200 : 500) ?? 0)
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
    const [above = 0, after = 0, below = 0, before = 0] = insets ? insets(width, height) : [0, 0, 0, 0]
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
      comesUntil: 0,
      followers: effect.values.map((value) => ({
      value,
      target: 0,
      since: 0,
      gap: 0,
      speed: 0,
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
    if (!at.place.isOn) return
    const reading = at.place.isOn ? value.read(at, follower) : 0
    if (arrives && at.t >= at.place.comesUntil) Object.assign(follower, { target: reading, gap: 0, speed: 0 })
    // Turns a value to a new target at t: it goes on from where it is and as fast as it is.
    const t = at.t
    if (reading !== follower.target) {
      const { gap, speed } = glide(follower, t)
      Object.assign(follower, { target: reading, since: t, gap: gap + follower.target - reading, speed })
    }
  }

  // Writes the values of a place at t; tells whether it goes on.
  function write(place, t) {
    if (!place.element.hasAttribute('data-card-letters')) {
      // Says on an element that an effect is at work on it: from now on its rules count.
      place.element.setAttribute('data-card-letters', '')
    }
    // How it comes and goes is in the stylesheet.
    if ((place.element.getAttribute('data-card-letters') === 'on') !== place.isOn)
      place.element.setAttribute('data-card-letters', place.isOn ? 'on' : '')
    place.moves = false
    meetParts(place)
    for (const follower of place.followers) {
      const { value } = follower
      const { gap, moves } = glide(follower, t)
      for (const target of place.area.querySelectorAll(':scope > .card-letters-letters')) target.style.setProperty(value.property, (moves ? follower.target + gap : follower.target).toFixed(3))
      if (moves) place.moves = true
    }
    if (t < place.comesUntil) place.moves = true
    if (!place.moves) meetParts(place)
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
          // Lays each letter, word or line of a host once more over where it stands, as long as that is there: they can be moved without the text.
          home.dataset.letters = ''
          layLetters(host, home, part)
          const observer = new MutationObserver((records) => {
            if (!home.isConnected) observer.disconnect()
            else if (records.some(({ target }) => !home.contains(target) && target !== host)) layLetters(host, home, part)
          })
          observer.observe(host, { subtree: true, childList: true, characterData: true })
          continue
        }
        made.set(part.part, addPart(home, part))
      }
      alive.push(place)
    }
    const ends = alive.length > (3) ? alive.shift() : !isWanted && isThere && !place.moves ? place : undefined
    if (!ends) return
    effect.alive = alive.filter((each) => each !== ends)
    endParts(ends, effect.parts)
  }

  const endParts = ({ area }, parts = []) =>
    parts.forEach(({ part }) => area.querySelectorAll(`:scope > .${part}`).forEach((element) => element.remove()))

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
  function glide({ gap, since }, t) {
    const left = gap * 2 ** ((since - t) / 40)
    return { gap: left, speed: 0, moves: Math.abs(left) > 0.01 }
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

  function layLetters(host, home, { part, lays }) {
    const { toFrame } = frameOf(host)
    const isUpright = Math.abs(toFrame.b) + Math.abs(toFrame.c) < 1e-6
    const letters = piecesOf(host, lays).map(({ range, parent }) => {
      const { left, top, width, height } = range.getBoundingClientRect()
      const { x, y } = toFrame.transformPoint({ x: left + width / 2, y: top + height / 2 })
      const { color, fontFamily, fontSize, fontStyle, fontWeight, letterSpacing, textTransform } = getComputedStyle(parent)
      const letter = document.createElement('span')
      letter.className = part
      letter.dataset.part = ''
      letter.textContent = range.toString().replace(/\s+/g, ' ')
      if (parent !== host) {
        letter.style.fontFamily = fontFamily
        letter.style.fontSize = fontSize
        letter.style.fontStyle = fontStyle
        letter.style.letterSpacing = letterSpacing
        letter.style.textTransform = textTransform
      }
      if (isUpright) letter.style.lineHeight = `${height * toFrame.d}px`
      letter.style.setProperty('--letter-x', x.toFixed(2))
      letter.style.setProperty('--letter-y', y.toFixed(2))
      letter.style.setProperty('--letter-weight', fontWeight)
      letter.style.setProperty('--letter-colour', color)
      return letter
    })
    home.replaceChildren(...letters)
  }

  // Within 160px of the pointer each letter of each card is 100% as large, of the weight 0, and rises by 0px.
  const effect = {
    insets: () => [-160, -160, -160, -160],
    parts: [{ part: 'card-letters-letters' }, { part: 'card-letters-letter', inside: 'card-letters-letters', lays: 'letters' }],
    places: new Map(),
    values: [
      { property: '--card-letters-x', read: ({ x }) => x },
      { property: '--card-letters-y', read: ({ y }) => y },
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
