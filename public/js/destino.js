import { enhanceAll } from './loader.js'

enhanceAll(document.querySelectorAll('[data-module]'), name => import(`./modules/${name}.js`))
