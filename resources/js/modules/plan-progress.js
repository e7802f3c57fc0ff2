import { bringIn } from './behind.js'

/**
 * Follows a plan that is still being worked out, and puts it in its place when it is done: what was just said stays, with its undo.
 * Where something was typed meanwhile or a form is on its way, that is left to the keeper. Without a script: reload.
 */
export function enhance(root) {
  const bar = root.querySelector('[data-bar]')
  if (!bar) throw new Error('needs an element with data-bar')
  const main = root.closest('#main')
  let isTouched = false
  for (const event of ['input', 'change', 'submit']) main.addEventListener(event, () => { isTouched = true }, { capture: true })
  const ask = async () => {
    let isDone = false
    try {
      const response = await fetch(root.dataset.address, { headers: { Accept: 'application/json' } })
      const answer = await response.json()
      isDone = !['waiting', 'running'].includes(answer.state)
      bar.value = answer.progress
    } catch { /* asked again below */ }
    if (!isDone) { setTimeout(ask, 1500); return }
    try { await bringIn(main, () => isTouched) } catch {
      const ready = document.createElement('a')
      Object.assign(ready, { href: location.href, className: 'button slim', textContent: 'The plan is ready: show it' })
      root.append(ready)
    }
  }
  setTimeout(ask, 1500)
}
