/** Puts what a chosen animal carries into the text field beside the list. */
export function enhance(root) {
  const list = root.querySelector('select')
  const input = root.querySelector('[data-reads]')
  if (!list || !input) throw new Error('needs a select and an input with data-reads')
  list.addEventListener('change', () => {
    const chosen = list.selectedOptions[0]
    const asked = list.tomselect?.options[list.value]?.genotype // of those that came while somebody typed
    if (list.value !== '') input.value = asked ?? chosen.dataset.genotype
    input.dispatchEvent(new Event('reading:now'))
  })
}
