/** Opens where the address leads to it or to something in it. */
export function enhance(root) {
  const leadsHere = () => location.hash
    && (`#${root.id}` === location.hash || root.querySelector(`#${CSS.escape(location.hash.slice(1))}`))
  const open = () => {
    if (!leadsHere()) return
    root.open = true
    if (`#${root.id}` === location.hash) root.scrollIntoView()
  }
  open()
  addEventListener('hashchange', open)
}
