/** Shows one rung of the odds ladder at a time. The server has drawn every rung: nothing is computed here. */
export function enhance(root) {
  const eggs = root.querySelector('input[type=range]')
  if (!eggs) throw new Error('needs an input of type range')
  root.querySelector('[data-slider]').hidden = false
  const show = () => {
    root.querySelectorAll('[data-rung]').forEach(rung => { rung.hidden = rung.dataset.rung !== eggs.value })
    root.querySelectorAll('[data-column]').forEach(column => column.classList.toggle('on', column.dataset.column === eggs.value))
    const typed = document.querySelector('input[name=eggs]')
    if (typed) typed.value = eggs.value
  }
  eggs.addEventListener('input', show)
}
