// A porthole as it is usually written: a mask of the whole layer is written anew with every move, by a box that is read with it.
const ground = document.querySelector('.ground')
const back = document.querySelector('.back')
ground.addEventListener('pointermove', (event) => {
  const box = ground.getBoundingClientRect()
  const at = `${event.clientX - box.left}px ${event.clientY - box.top}px`
  back.style.maskImage = `radial-gradient(circle 120px at ${at}, #000 100%, transparent 100%)`
})
