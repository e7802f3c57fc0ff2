/** Changes between the light and the dark theme and remembers the choice on this device. */
export function enhance(root) {
  root.hidden = false
  const page = document.documentElement
  const words = root.lastChild
  const tell = () => { words.textContent = page.dataset.bsTheme === 'dark' ? 'Light' : 'Dark' }
  root.addEventListener('click', () => {
    page.dataset.bsTheme = page.dataset.bsTheme === 'dark' ? 'light' : 'dark'
    try { localStorage.setItem('destino-theme', page.dataset.bsTheme) } catch { /* not remembered, still changed */ }
    tell()
  })
  tell()
}
