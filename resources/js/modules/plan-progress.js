/** Follows a plan that is still being worked out, and shows the page anew when it is done. Without a script: reload. */
export function enhance(root) {
  const bar = root.querySelector('[data-bar]')
  if (!bar) throw new Error('needs an element with data-bar')
  const ask = async () => {
    try {
      const response = await fetch(root.dataset.address, { headers: { Accept: 'application/json' } })
      const answer = await response.json()
      if (!['waiting', 'running'].includes(answer.state)) { location.reload(); return }
      bar.value = answer.progress
    } catch { /* asked again below */ }
    setTimeout(ask, 1500)
  }
  setTimeout(ask, 1500)
}
