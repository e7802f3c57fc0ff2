/** Sorts and filters the rows of a table that the server has drawn whole. */
export function enhance(root) {
  const body = root.querySelector('tbody')
  const filter = root.querySelector('input[type=search]')
  const count = root.querySelector('[data-count]')
  if (!body) throw new Error('needs a table with a tbody')
  const rows = [...body.rows]

  if (filter) {
    filter.closest('[hidden]')?.removeAttribute('hidden')
    filter.addEventListener('input', () => {
      const words = filter.value.toLowerCase().split(/\s+/).filter(Boolean)
      let shown = 0
      for (const row of rows) {
        row.hidden = !words.every(word => row.textContent.toLowerCase().includes(word))
        shown += row.hidden ? 0 : 1
      }
      if (count) count.textContent = words.length ? `${shown} of the ${rows.length} rows listed hold these words.` : ''
    })
    filter.addEventListener('keydown', event => { if (event.key === 'Enter') event.preventDefault() })
  }
  const memory = `destino.sort ${location.pathname}`
  const heads = [...root.querySelectorAll('th[data-sort]')]
  for (const head of heads) {
    const button = document.createElement('button')
    button.type = 'button'
    button.textContent = head.textContent
    head.replaceChildren(button)
    const sort = descending => {
      root.querySelectorAll('th[aria-sort]').forEach(other => other.removeAttribute('aria-sort'))
      head.setAttribute('aria-sort', descending ? 'descending' : 'ascending')
      const value = row => row.cells[head.cellIndex].dataset.value ?? row.cells[head.cellIndex].textContent.trim()
      const compare = (a, b) => (a !== '' && b !== '' && !isNaN(a) && !isNaN(b) ? a - b : a.localeCompare(b))
      const sorted = [...rows].sort((a, b) => compare(value(a), value(b)))
      body.append(...(descending ? sorted.reverse() : sorted))
    }
    button.addEventListener('click', () => {
      const descending = head.getAttribute('aria-sort') === 'ascending'
      sort(descending)
      if (root.dataset.remembers !== undefined) localStorage.setItem(memory, JSON.stringify([heads.indexOf(head), descending]))
    })
    const [kept, descending] = root.dataset.remembers === undefined ? [] : JSON.parse(localStorage.getItem(memory) ?? '[]')
    if (kept === heads.indexOf(head)) sort(descending)
  }
}
