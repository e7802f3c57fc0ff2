/** Sends a small form of choices as soon as one changes; its button is for those without a script. */
export function enhance(root) {
  root.querySelectorAll('[data-without-script]').forEach(button => { button.hidden = true })
  root.addEventListener('change', event => { if (event.target.matches('select, input[type=checkbox]')) root.requestSubmit() })
  if (!differs(root)) return
  // Chosen before this was there: send it. Left over from before a step back or a reload: the numbers shown are those of
  // the address, so the choices go back to theirs.
  const [visit] = performance.getEntriesByType('navigation')
  visit?.type === 'navigate' ? root.requestSubmit() : root.reset()
}

/** Whether a choice is another than the page came with. */
function differs(root) {
  const first = select => Math.max(0, [...select.options].findIndex(option => option.defaultSelected))
  return [...root.querySelectorAll('select')].some(select => select.selectedIndex !== first(select))
    || [...root.querySelectorAll('input[type=checkbox]')].some(box => box.checked !== box.defaultChecked)
}
