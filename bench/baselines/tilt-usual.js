// A card that leans with smoothing, as it is usually written: a share of the gap on each frame, for ever.
const card = document.querySelector('.card')
let targetX = 0
let targetY = 0
let x = 0
let y = 0
addEventListener('pointermove', (event) => {
  const box = card.getBoundingClientRect()
  const inside = event.clientX >= box.left && event.clientX <= box.right && event.clientY >= box.top && event.clientY <= box.bottom
  targetX = inside ? ((event.clientX - box.left) / box.width) * 2 - 1 : 0
  targetY = inside ? ((event.clientY - box.top) / box.height) * 2 - 1 : 0
})
requestAnimationFrame(function step() {
  x += (targetX - x) * 0.1
  y += (targetY - y) * 0.1
  card.style.transform = `perspective(820px) rotateX(${-9 * y}deg) rotateY(${9 * x}deg)`
  requestAnimationFrame(step)
})
