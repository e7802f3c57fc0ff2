/**
 * Drags an egg to where it lies in the box; the place is kept when it is let go. A tap stays a tap. Without a script, and with
 * the keyboard, the place is typed at the egg itself.
 */
export function enhance(root) {
  const box = root.querySelector('svg')
  const said = root.querySelector('[data-said]')
  const { width: wide, height: deep } = box.viewBox.baseVal
  const least = 6 // units that a finger may tremble
  let held = null
  let dropped = null

  const at = event => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(box.getScreenCTM().inverse())
    return { x: point.x, y: point.y }
  }
  const percent = (value, of) => Math.round(Math.min(96, Math.max(4, 100 * value / of)))
  const lay = (egg, across, down) => egg.setAttribute('transform', `translate(${across * wide / 100} ${down * deep / 100})`)

  for (const egg of box.querySelectorAll('[data-egg]')) {
    egg.addEventListener('dragstart', event => event.preventDefault())
    egg.addEventListener('pointerdown', event => {
      held = { egg, from: at(event), before: egg.getAttribute('transform'), moved: false }
    })
    egg.addEventListener('click', event => { if (dropped === egg) event.preventDefault() }) // the click after a drag is no tap
  }
  addEventListener('pointermove', event => {
    if (!held) return
    const now = at(event)
    held.moved ||= Math.hypot(now.x - held.from.x, now.y - held.from.y) > least
    if (!held.moved) return
    held.place = { across: percent(now.x, wide), down: percent(now.y, deep) }
    lay(held.egg, held.place.across, held.place.down)
  })
  addEventListener('pointercancel', () => { if (held) held.egg.setAttribute('transform', held.before); held = null })
  addEventListener('pointerup', async () => {
    const { egg, moved, place, before } = held ?? {}
    held = null
    if (!moved) return
    dropped = egg
    setTimeout(() => { dropped = null })
    try {
      const response = await fetch(egg.dataset.egg, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': root.dataset.token },
        body: JSON.stringify(place),
      })
      if (!response.ok) throw new Error((await response.json()).message)
      tell('Its place is kept.', false)
    } catch (error) {
      egg.setAttribute('transform', before)
      tell(`The place was not kept: ${error.message}`, true)
    }
  })
  box.classList.add('is-movable')
  const tell = (message, shown) => {
    said.textContent = message
    said.classList.toggle('visually-hidden', !shown)
  }
}
