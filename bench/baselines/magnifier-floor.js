// The cheapest way known: one copy, and two transforms a frame.
const area = document.querySelector('.area')
const lens = document.createElement('div')
lens.className = 'lens'
const copy = document.createElement('div')
copy.className = 'copy'
copy.innerHTML = area.innerHTML
copy.style.width = `${area.offsetWidth}px`
lens.append(copy)
document.body.append(lens)
const box = area.getBoundingClientRect()
let event = null
area.addEventListener(
  'pointermove',
  (next) => {
    if (!event) requestAnimationFrame(paint)
    event = next
  },
  { passive: true },
)
function paint() {
  const { clientX: x, clientY: y } = event
  event = null
  lens.style.transform = `translate(${x - 95}px, ${y - 95}px)`
  copy.style.transform = `translate(${95 - (x - box.left) * 2.5}px, ${95 - (y - box.top) * 2.5}px) scale(2.5)`
}
