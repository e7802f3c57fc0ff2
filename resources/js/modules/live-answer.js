import { enhanceAll } from '../loader.js'

/**
 * The answer follows while a pairing is typed: the server works it out as it does for the button, and what stands below the form is
 * put in place. Where it cannot be worked out, the answer to the text before stays, and is seen to be old.
 */
const PAUSE = 450 // milliseconds without a key

export function enhance(form) {
  let timer = 0
  let running = null
  const said = document.createElement('p')
  said.className = 'visually-hidden'
  said.setAttribute('role', 'status')
  form.append(said)
  const area = () => form.closest('.stack')
  const first = () => [...area().children].find(one => one.contains(form))
  const below = () => [...area().children].slice([...area().children].indexOf(first()) + 1)
  const query = () => {
    const fields = [...new FormData(form).entries()].filter(([, value]) => value !== '')
    return new URLSearchParams(fields.map(([name, value]) => [name, String(value)]))
  }
  const isWhole = asked => ['sire', 'dam'].every(role => asked.get(role) || asked.get(`${role}_id`))
  const outdate = () => below().forEach(one => { one.dataset.old = '' })

  const ask = async () => {
    running?.abort()
    const asked = query()
    if (!isWhole(asked)) return
    running = new AbortController()
    const address = `${form.getAttribute('action').split('#')[0]}?${asked}`
    try {
      const response = await fetch(address, { signal: running.signal, headers: { 'X-Live': '1' } })
      if (!response.ok || response.redirected) return // what is wrong is told at its field, and the old answer stays pale
      const page = new DOMParser().parseFromString(await response.text(), 'text/html')
      const fresh = page.querySelector('#answer')?.closest('.stack')
      if (!fresh || fresh.closest('#main') === null) return
      put([...fresh.children].slice(1).map(one => document.importNode(one, true)), page)
      history.replaceState(null, '', address)
    } catch (error) {
      if (error.name !== 'AbortError') console.warn(`The answer could not be fetched: ${error.message}`)
    }
  }
  const put = (parts, page) => {
    below().forEach(one => one.remove())
    first().after(...parts)
    const actions = document.querySelector('header .actions')
    const others = page.querySelector('header .actions')
    if (actions && others) {
      const copy = document.importNode(others, true)
      actions.replaceWith(copy)
      enhanceAll([copy], name => import(`./${name}.js`))
    }
    enhanceAll(parts.flatMap(one => [one, ...one.querySelectorAll('[data-module]')]).filter(one => one.matches('[data-module]')),
      name => import(`./${name}.js`))
    said.textContent = document.querySelector('#answer .answer')?.textContent.trim() ?? ''
  }
  const later = () => {
    clearTimeout(timer)
    if (!isWhole(query())) return
    outdate()
    timer = setTimeout(ask, PAUSE)
  }
  form.addEventListener('input', later)
  form.addEventListener('change', later)
  form.addEventListener('submit', () => { clearTimeout(timer); running?.abort() })
}
