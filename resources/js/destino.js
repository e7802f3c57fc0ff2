import { enhanceAll } from './loader.js'
import { watch } from './outbox.js'

enhanceAll(document.querySelectorAll('[data-module]'), name => import(`./modules/${name}.js`))
watch(document.querySelector('[data-outbox]'))
// Pages of the snake room open without a connection too, where the browser allows it: at this machine, or over TLS.
if ('serviceWorker' in navigator && isSecureContext) navigator.serviceWorker.register('/worker.js').catch(() => {})
