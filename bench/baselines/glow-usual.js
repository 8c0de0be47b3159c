// A grid of cards lit by one pointer, as it is usually written: on each move every card is measured and painted.
addEventListener('pointermove', (event) => {
  for (const card of document.querySelectorAll('.card')) {
    const box = card.getBoundingClientRect()
    card.style.backgroundImage = `radial-gradient(110px at ${event.clientX - box.left}px ${event.clientY - box.top}px, rgb(255 214 140 / 0.4), transparent)`
  }
})
