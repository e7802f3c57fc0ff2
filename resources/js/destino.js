import { enhanceAll } from './loader.js'
import { watch } from './outbox.js'

const started = enhanceAll(document.querySelectorAll('[data-module]'), name => import(`./modules/${name}.js`))
Promise.all(started).then(() => { document.documentElement.dataset.started = 'all' }) // whoever measures a page waits for it
watch(document.querySelector('[data-outbox]'))
document.querySelector('.tabs [aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest', behavior: 'instant' })
// A form that was refused stands where its first fault is, and a screen reader says it.
const wrong = document.querySelector('[aria-invalid=true]')
if (wrong) {
  for (let fold = wrong.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true
  wrong.focus()
  ;(wrong.closest('.field') ?? wrong).scrollIntoView({ block: 'center', behavior: 'instant' })
}
// Pages of the snake room open without a connection too, where the browser allows it: at this machine, or over TLS. What is kept for
// that is of the person whose page this is.
if ('serviceWorker' in navigator && isSecureContext) {
  const owner = document.querySelector('[data-outbox]')?.dataset.owner ?? ''
  navigator.serviceWorker.register('/worker.js').catch(why => console.warn('Pages are not kept for use without a connection:', why))
  navigator.serviceWorker.ready.then(one => one.active?.postMessage({ owner }))
}
