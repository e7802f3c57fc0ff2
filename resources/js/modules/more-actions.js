/** On a phone the header has its main deed, and the others in one menu: the answer of the page begins on the first screen. */
const NARROW = matchMedia('(max-width: 47.99rem)')

export function enhance(root) {
  const all = [...root.children]
  const first = all.find(one => one.classList.contains('main')) ?? all.find(one => !one.classList.contains('ask-guide'))
  const rest = all.filter(one => one !== first)
  const menu = document.createElement('details')
  menu.className = 'more-actions no-print'
  menu.innerHTML = '<summary class="button" aria-label="More"><span aria-hidden="true">⋯</span></summary><div class="more-menu"></div>'
  const place = () => {
    if (NARROW.matches && rest.some(one => !one.classList.contains('ask-guide'))) {
      menu.lastElementChild.append(...rest)
      root.append(menu)
    } else {
      menu.remove()
      root.append(...all)
    }
    root.classList.add('is-placed')
  }
  place()
  NARROW.addEventListener('change', place)
  document.addEventListener('click', event => { if (!menu.contains(event.target)) menu.open = false })
  menu.addEventListener('keydown', event => {
    if (event.key !== 'Escape') return
    menu.open = false
    menu.firstElementChild.focus()
  })
}
