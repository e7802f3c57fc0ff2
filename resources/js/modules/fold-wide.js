/** What stands open on a phone is folded at the desk, where a picture above it says the same, unless the address leads into it. */
const NARROW = matchMedia('(max-width: 47.99rem)')

export function enhance(root) {
  const isWanted = () => location.hash && (`#${root.id}` === location.hash || root.querySelector(`#${CSS.escape(location.hash.slice(1))}`))
  if (!NARROW.matches && !isWanted()) root.open = false
  addEventListener('hashchange', () => { if (isWanted()) root.open = true })
}
