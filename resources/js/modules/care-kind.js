/** Shows the fields of the chosen kind of entry only. Without a script all of them are there. */
export function enhance(root) {
  const show = () => {
    const kind = root.querySelector('input[name=kind]:checked')?.value
    root.querySelectorAll('[data-for]').forEach(part => { part.hidden = part.dataset.for !== kind })
  }
  root.addEventListener('change', show)
  show()
}
