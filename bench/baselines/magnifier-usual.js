// The usual way: at every event the area is measured, and the lens and what is in it are laid out where they belong.
const area = document.querySelector('.area')
const lens = document.createElement('div')
lens.className = 'lens'
const copy = document.createElement('div')
copy.className = 'copy'
copy.innerHTML = area.innerHTML
lens.append(copy)
document.body.append(lens)
area.addEventListener('mousemove', (event) => {
  const box = area.getBoundingClientRect()
  const [x, y] = [event.clientX - box.left, event.clientY - box.top]
  copy.style.width = `${area.offsetWidth}px`
  lens.style.left = `${event.clientX - 95}px`
  lens.style.top = `${event.clientY - 95}px`
  copy.style.left = `${95 - x * 2.5}px`
  copy.style.top = `${95 - y * 2.5}px`
})
