import { enhanceAll } from '../loader.js'

/** What stays as it is: the head of the page, what waits for a connection, and what was just said, with its undo. */
const KEPT = '.top, [data-outbox], .said'

const movable = main => [...main.children].filter(child => !child.matches(KEPT))

/**
 * Puts the page as it is now in the place of what stands here, but for what is kept.
 *
 * @param {HTMLElement} main
 * @param {() => boolean} isTouched whether the keeper is at work on it; then nothing moves
 */
export async function bringIn(main, isTouched) {
  const response = await fetch(location.href, { headers: { Accept: 'text/html', 'X-Background': '1' } })
  const fresh = new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('#main')
  if (!response.ok || !fresh || isTouched()) throw new Error('left to the keeper')
  for (const child of movable(main)) child.remove()
  main.append(...movable(fresh))
  enhanceAll(main.querySelectorAll(`:scope > :not(${KEPT}) [data-module], :scope > [data-module]`), name => import(`./${name}.js`))
}

/**
 * Waits until what follows from the last change is worked out, and puts it in its place; where something was typed or opened on
 * the page meanwhile, or a form is on its way, it says so and leaves that to the keeper. Without a script: reload.
 */
export function enhance(root) {
  const says = root.querySelector('[data-says]')
  const show = root.querySelector('[data-show]')
  if (!says || !show) throw new Error('needs elements with data-says and data-show')
  const main = root.parentElement
  let isTouched = false
  for (const event of ['input', 'change', 'toggle', 'submit']) main.addEventListener(event, () => { isTouched = true }, { capture: true })
  const ask = async () => {
    let isDone = false
    try {
      const response = await fetch(root.dataset.address, { headers: { Accept: 'application/json' } })
      isDone = (await response.json()).done === true
    } catch { /* asked again below */ }
    if (!isDone) { setTimeout(ask, 1000); return }
    try { await bringIn(main, () => isTouched) } catch {
      says.textContent = 'The odds are updated. Reload to see them.'
      show.href = location.href
      show.hidden = false
    }
  }
  setTimeout(ask, 700)
}
