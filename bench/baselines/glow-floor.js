// The same, by the cheapest way known: boxes measured once, cards out of reach skipped and unseen, one tile moved in each.
const reach = 110
const cards = [...document.querySelectorAll('.card')].map((card) => {
  const { left, top, right, bottom } = card.getBoundingClientRect()
  const light = document.createElement('span')
  light.className = 'light'
  const pool = light.appendChild(document.createElement('span'))
  pool.className = 'pool'
  card.append(light)
  return { left, top, right, bottom, light, pool, lit: false }
})
let pointer = null
addEventListener('pointermove', (event) => {
  if (!pointer) requestAnimationFrame(paint)
  pointer = event
}, { passive: true })
function paint() {
  const { clientX: x, clientY: y } = pointer
  pointer = null
  for (const card of cards) {
    const near = x > card.left - reach && x < card.right + reach && y > card.top - reach && y < card.bottom + reach
    if (near !== card.lit) card.light.style.visibility = near ? 'visible' : 'hidden'
    if (near) card.pool.style.transform = `translate(${x - card.left}px, ${y - card.top}px)`
    card.lit = near
  }
}
