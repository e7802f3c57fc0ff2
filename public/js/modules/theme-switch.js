/** Changes between the light and the dark theme and remembers the choice on this device. */
export function enhance(root) {
  root.hidden = false
  const page = document.documentElement
  const tell = () => root.setAttribute('aria-pressed', String(page.dataset.bsTheme === 'dark'))
  root.addEventListener('click', () => {
    page.dataset.bsTheme = page.dataset.bsTheme === 'dark' ? 'light' : 'dark'
    try { localStorage.setItem('destino-theme', page.dataset.bsTheme) } catch { /* not remembered, still changed */ }
    tell()
  })
  tell()
}
