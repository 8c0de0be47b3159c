// The cheapest way known: letters that were measured once, and of them only those in reach are written, once a frame.
const text = document.querySelector('.text')
text.innerHTML = [...text.textContent].map((letter) => `<span>${letter}</span>`).join('')
const letters = [...text.children].map((letter) => {
  const { left, top, width, height } = letter.getBoundingClientRect()
  return { style: letter.style, x: left + width / 2, y: top + height / 2, isNear: false }
})
let event = null
addEventListener(
  'pointermove',
  (next) => {
    if (!event) requestAnimationFrame(paint)
    event = next
  },
  { passive: true },
)
function paint() {
  const { clientX, clientY } = event
  event = null
  for (const each of letters) {
    const far = Math.hypot(clientX - each.x, clientY - each.y)
    const isNear = far < 160
    if (!isNear && !each.isNear) continue
    const near = 0.5 + 0.5 * Math.cos(Math.PI * Math.min(1, far / 160))
    each.style.transform = `translateY(${(-14 * near).toFixed(2)}px) scale(${(1 + 0.2 * near).toFixed(4)})`
    each.isNear = isNear
  }
}
