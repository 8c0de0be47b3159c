// A trail as it is usually written: a loop that never ends has each piece go part of the way to the one before, by left and top.
const count = Number(document.body.dataset.pieces)
const pieces = Array.from({ length: count }, () => {
  const piece = document.createElement('div')
  piece.className = 'piece'
  document.body.append(piece)
  return { piece, x: 0, y: 0 }
})
const mouse = { x: 0, y: 0 }
document.addEventListener('mousemove', (event) => {
  mouse.x = event.clientX
  mouse.y = event.clientY
})
function loop() {
  let { x, y } = mouse
  for (const each of pieces) {
    each.x += (x - each.x) * 0.35
    each.y += (y - each.y) * 0.35
    each.piece.style.left = `${each.x}px`
    each.piece.style.top = `${each.y}px`
    x = each.x
    y = each.y
  }
  requestAnimationFrame(loop)
}
loop()
