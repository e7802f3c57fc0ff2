/** A fold that is a button: what is to be filled in has the focus as it opens, and the others of its row close. */
export function enhance(root) {
  root.addEventListener('toggle', () => {
    if (!root.open) return
    for (const other of root.parentElement.querySelectorAll(':scope > details[open]')) if (other !== root) other.open = false
    root.querySelector('input:not([type=hidden])')?.focus()
  })
}
