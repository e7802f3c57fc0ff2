/** Sends a form once, however often its button is pressed. */
export function enhance(root) {
  root.addEventListener('submit', () => {
    const button = root.querySelector('button[type=submit]')
    setTimeout(() => { button.disabled = true })
  })
  addEventListener('pageshow', () => { root.querySelector('button[type=submit]').disabled = false })
}
