/** On a phone a search has one field in sight, and the others behind a button. */
export function enhance(root) {
  const button = root.querySelector('[data-filters]')
  const tell = () => button.setAttribute('aria-expanded', String(!root.classList.contains('is-folded')))
  button.addEventListener('click', () => {
    root.classList.toggle('is-folded')
    tell()
  })
  tell()
}
