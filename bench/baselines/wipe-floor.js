// The same, by the cheapest way known: the box is read once, and the clip path written once a frame.
const front = document.querySelector('.front')
const { left, right } = front.getBoundingClientRect()
let x = null
addEventListener('pointermove', (event) => {
  if (x === null) requestAnimationFrame(paint)
  x = event.clientX
}, { passive: true })
function paint() {
  if (x > left && x < right) front.style.clipPath = `inset(0 ${right - x}px 0 0)`
  x = null
}
