// The usual way: every letter is an element of the text, and at every event each of them is measured and written.
const text = document.querySelector('.text')
text.innerHTML = [...text.textContent].map((letter) => `<span>${letter}</span>`).join('')
const letters = [...text.children]
addEventListener('mousemove', (event) => {
  for (const letter of letters) {
    const box = letter.getBoundingClientRect()
    const far = Math.hypot(event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2)
    const near = 0.5 + 0.5 * Math.cos(Math.PI * Math.min(1, far / 160))
    letter.style.transform = `translateY(${-14 * near}px) scale(${1 + 0.2 * near})`
  }
})
