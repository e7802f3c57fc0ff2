// Before the first paint: the theme that was chosen here, or the one of the system.
(() => {
  let chosen = null
  try { chosen = localStorage.getItem('destino-theme') } catch { /* storage is off: follow the system */ }
  const system = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
  document.documentElement.dataset.bsTheme = chosen ?? system
})()
