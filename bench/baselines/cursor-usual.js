// A cursor as it is usually written: left and top with every move, and listeners on every link.
const cursor = document.createElement('div')
cursor.className = 'cursor'
const label = document.createElement('span')
cursor.append(label)
document.body.append(cursor)
document.addEventListener('mousemove', (event) => {
  cursor.style.left = `${event.clientX}px`
  cursor.style.top = `${event.clientY}px`
})
for (const link of document.querySelectorAll('.card')) {
  link.addEventListener('mouseenter', () => {
    label.textContent = link.querySelector('h2').textContent
    cursor.classList.add('large')
  })
  link.addEventListener('mouseleave', () => cursor.classList.remove('large'))
}
