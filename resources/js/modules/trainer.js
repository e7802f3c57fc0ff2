/** Keys 1 to 4 choose an answer; Enter goes on, wherever the focus is. */
export function enhance(root) {
  const next = root.querySelector('[data-next]')
  next?.focus()
  document.addEventListener('keydown', (event) => {
    if (event.altKey || event.ctrlKey || event.metaKey || event.target.closest('input, select, textarea')) return
    const choice = root.querySelector(`[data-choice="${event.key}"]`)
    if (choice) { event.preventDefault(); choice.click() }
  })
  let sent = false
  root.addEventListener('submit', (event) => { if (sent) event.preventDefault(); sent = true })
}
