// The same, once a frame at most.
let pointer = null
addEventListener('pointermove', (event) => {
  if (!pointer) requestAnimationFrame(paint)
  pointer = event
})
function paint() {
  for (const card of document.querySelectorAll('.card')) {
    const box = card.getBoundingClientRect()
    card.style.backgroundImage = `radial-gradient(110px at ${pointer.clientX - box.left}px ${pointer.clientY - box.top}px, rgb(255 214 140 / 0.4), transparent)`
  }
  pointer = null
}
