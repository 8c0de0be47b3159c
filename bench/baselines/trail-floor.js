// The same, by the cheapest way known: one transform for each piece a frame, only as long as something moves.
const count = Number(document.body.dataset.pieces)
const pieces = Array.from({ length: count }, () => {
  const piece = document.createElement('div')
  piece.className = 'piece'
  document.body.append(piece)
  return { style: piece.style, x: 0, y: 0 }
})
let [mouseX, mouseY, frame, last] = [0, 0, 0, 0]
addEventListener(
  'pointermove',
  (event) => {
    mouseX = event.clientX
    mouseY = event.clientY
    frame ||= requestAnimationFrame(paint)
  },
  { passive: true },
)
function paint(now) {
  const share = 1 - 2 ** (-Math.min(50, now - last) / 20)
  last = now
  let [x, y, moves] = [mouseX, mouseY, false]
  for (const each of pieces) {
    each.x += (x - each.x) * share
    each.y += (y - each.y) * share
    each.style.transform = `translate(${each.x.toFixed(2)}px, ${each.y.toFixed(2)}px)`
    moves ||= Math.abs(each.x - x) + Math.abs(each.y - y) > 0.05
    x = each.x
    y = each.y
  }
  frame = moves ? requestAnimationFrame(paint) : 0
}
