// The same, by the cheapest way known: one transform a frame, and what is hit is asked once.
const cursor = document.createElement('div')
cursor.className = 'cursor'
const label = document.createElement('span')
cursor.append(label)
document.body.append(cursor)
let [event, over] = [null, null]
addEventListener(
  'pointermove',
  (next) => {
    if (!event) requestAnimationFrame(paint)
    event = next
  },
  { passive: true },
)
function paint() {
  cursor.style.transform = `translate(${event.clientX}px, ${event.clientY}px)`
  const link = event.target.closest('.card')
  event = null
  if (link === over) return
  over = link
  cursor.classList.toggle('large', !!link)
  if (link) label.textContent = link.querySelector('h2').textContent
}
