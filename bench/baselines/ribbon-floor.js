// A ribbon by the cheapest way known that is as sharp: one canvas as large as the window, of which all is painted anew.
const canvas = document.createElement('canvas')
canvas.className = 'sheet'
document.body.append(canvas)
canvas.width = innerWidth
canvas.height = innerHeight
const context = canvas.getContext('2d')
const way = []
let frame = 0
addEventListener(
  'pointermove',
  (event) => {
    way.unshift([event.clientX, event.clientY])
    way.length = Math.min(way.length, 40)
    frame ||= requestAnimationFrame(paint)
  },
  { passive: true },
)
function paint() {
  frame = 0
  context.clearRect(0, 0, canvas.width, canvas.height)
  context.lineCap = 'round'
  for (let k = 1; k < way.length; k++) {
    context.lineWidth = 22 - (21 * k) / 40
    context.strokeStyle = '#c98b5a'
    context.beginPath()
    context.moveTo(...way[k - 1])
    context.lineTo(...way[k])
    context.stroke()
  }
}
