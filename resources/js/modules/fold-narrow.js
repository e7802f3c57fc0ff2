/** What stands open at the desk is folded on a phone, unless something in it is to be mended or the address leads to it. */
const NARROW = matchMedia('(max-width: 47.99rem)')

export function enhance(root) {
  const isWanted = () => location.hash && (`#${root.id}` === location.hash || root.querySelector(`#${CSS.escape(location.hash.slice(1))}`))
  if (NARROW.matches && !root.querySelector('[aria-invalid], .field-error:not(:empty)') && !isWanted()) root.open = false
  addEventListener('hashchange', () => { if (isWanted()) root.open = true })
}
