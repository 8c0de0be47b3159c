// The same, by the cheapest way known: the box is read once, and a clip path written once a frame.
const back = document.querySelector('.back')
const { left, top } = back.getBoundingClientRect()
let at = null
addEventListener('pointermove', (event) => {
  if (!at) requestAnimationFrame(paint)
  at = event
}, { passive: true })
function paint() {
  back.style.clipPath = `circle(120px at ${at.clientX - left}px ${at.clientY - top}px)`
  at = null
}
