/** Sends a small form of choices as soon as one changes; its button is for those without a script. */
export function enhance(root) {
  root.querySelectorAll('[data-without-script]').forEach(button => { button.hidden = true })
  root.addEventListener('change', event => { if (event.target.matches('select, input[type=checkbox]')) root.requestSubmit() })
}
