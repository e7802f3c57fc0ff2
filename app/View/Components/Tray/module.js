/** Reads out the piece of the tray under the pointer or the focus. */
export function enhance(root) {
  const place = root.querySelector('[data-tray-reading]')
  if (!place) throw new Error('needs an element with data-tray-reading')
  const first = place.textContent
  for (const piece of root.querySelectorAll('.scute')) {
    const read = () => { place.textContent = piece.dataset.reading }
    piece.addEventListener('pointerenter', read)
    piece.addEventListener('focus', read)
  }
  root.addEventListener('pointerleave', () => { place.textContent = first })
}
