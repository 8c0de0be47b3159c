// A wipe as it is usually written: the clip path is written anew with every move, by a box that is read with it.
const ground = document.querySelector('.ground')
const front = document.querySelector('.front')
ground.addEventListener('pointermove', (event) => {
  const box = ground.getBoundingClientRect()
  const share = ((event.clientX - box.left) / box.width) * 100
  front.style.clipPath = `inset(0 ${100 - share}% 0 0)`
})
