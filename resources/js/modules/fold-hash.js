/** Opens where the address leads to something in it. */
export function enhance(root) {
  const open = () => { if (location.hash && root.querySelector(`#${CSS.escape(location.hash.slice(1))}`)) root.open = true }
  open()
  addEventListener('hashchange', open)
}
