/**
 * Drags an animal from tub to tub; the server moves it, and the page is drawn again. Without a script, and with the
 * keyboard, the tub is chosen on the animal's own page.
 */
export function enhance(root) {
  const said = root.querySelector('[data-said]')
  let carried = null

  for (const animal of root.querySelectorAll('[data-animal]')) {
    animal.draggable = true
    animal.addEventListener('dragstart', event => {
      carried = animal
      event.dataTransfer.effectAllowed = 'move'
      event.dataTransfer.setData('text/plain', animal.dataset.animal)
      animal.classList.add('is-carried')
    })
    animal.addEventListener('dragend', () => { animal.classList.remove('is-carried'); carried = null })
  }
  for (const tub of root.querySelectorAll('[data-tub]')) {
    tub.addEventListener('dragover', event => { if (carried) { event.preventDefault(); tub.classList.add('is-over') } })
    tub.addEventListener('dragleave', () => tub.classList.remove('is-over'))
    tub.addEventListener('drop', async event => {
      event.preventDefault()
      tub.classList.remove('is-over')
      if (!carried) return
      const moved = carried
      try {
        const response = await fetch(moved.dataset.place, {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': root.dataset.token },
          body: JSON.stringify({ to: tub.dataset.tub }),
        })
        const answer = await response.json()
        if (said) said.textContent = answer.said ?? answer.message
        if (response.ok) location.reload()
        else tell(answer.message)
      } catch { tell('Not moved: no connection. Try again.') }
    })
  }
  const tell = message => {
    if (!said) return
    said.textContent = message
    said.classList.remove('visually-hidden')
  }
}
