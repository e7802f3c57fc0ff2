/** A button that prints the page. */
export function enhance(root) {
  root.hidden = false
  root.addEventListener('click', () => print())
}
