// The same, by the cheapest way known: the box measured once, exact in time, asleep when settled.
const card = document.querySelector('.card')
const { left, top, width, height } = card.getBoundingClientRect()
const halfLifeMs = 60
let targetX = 0
let targetY = 0
let x = 0
let y = 0
let last = 0
let frame = 0
addEventListener('pointermove', ({ clientX, clientY }) => {
  const u = (clientX - left) / width
  const v = (clientY - top) / height
  const inside = u >= 0 && u <= 1 && v >= 0 && v <= 1
  targetX = inside ? 2 * u - 1 : 0
  targetY = inside ? 2 * v - 1 : 0
  if (!frame) {
    last = performance.now()
    frame = requestAnimationFrame(step)
  }
}, { passive: true })
function step(now) {
  const left = 2 ** ((last - now) / halfLifeMs)
  last = now
  x = targetX + (x - targetX) * left
  y = targetY + (y - targetY) * left
  const settled = Math.abs(x - targetX) + Math.abs(y - targetY) < 2e-4
  if (settled) [x, y] = [targetX, targetY]
  card.style.transform = `perspective(820px) rotateX(${-9 * y}deg) rotateY(${9 * x}deg)`
  frame = settled ? 0 : requestAnimationFrame(step)
}
