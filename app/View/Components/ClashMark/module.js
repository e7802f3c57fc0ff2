import { enhanceAll } from '../loader.js'

/** Opens what a mark stands for where it stands; without an answer the link leads there as it does without scripts. */
export function enhance(root) {
  root.addEventListener('click', async (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return
    event.preventDefault()
    try {
      const answer = await fetch(root.dataset.address, { headers: { 'X-Requested-With': 'XMLHttpRequest' } })
      if (!answer.ok) throw new Error(String(answer.status))
      show(root, await answer.text())
    } catch {
      location.href = root.href
    }
  })
}

function show(root, html) {
  const dialog = document.createElement('dialog')
  dialog.className = 'in-place'
  dialog.setAttribute('aria-label', `What does not fit at ${root.dataset.title}`)
  dialog.innerHTML = `<div class="head"><h2></h2><button class="button slim" type="button">Close</button></div>${html}`
  dialog.querySelector('h2').textContent = root.dataset.title
  document.body.append(dialog)
  dialog.addEventListener('close', () => { dialog.remove(); root.focus() })
  dialog.querySelector('button').addEventListener('click', () => dialog.close())
  dialog.showModal()
  enhanceAll(dialog.querySelectorAll('[data-module]'), (name) => import(`./${name}.js`))
}
