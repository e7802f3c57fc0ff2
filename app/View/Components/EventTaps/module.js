import { send, today, token } from '../outbox.js'

/**
 * One tap, one entry: stored on the device, then sent. What the server refuses is sent again as a plain form, so that the page shows
 * why at its place; what is about a record that is not here any more stays in the outbox.
 */
export function enhance(root) {
  const yesterday = root.querySelector('[data-yesterday]')
  if (yesterday) {
    yesterday.hidden = false
    yesterday.addEventListener('click', () => { root.querySelector('[name=on]').value = today(-1) })
  }
  root.addEventListener('submit', async event => {
    event.preventDefault()
    const button = event.submitter
    const form = new FormData(root, button)
    if (!form.get('on')) form.set('on', today())
    if (!form.get('form_token')) form.set('form_token', token())
    const words = button?.textContent.trim() || 'entry'
    const what = words[0].toLowerCase() + words.slice(1)
    const about = `${what}, ${root.dataset.about ?? ''}`
    for (const one of root.querySelectorAll('button[type=submit]')) one.disabled = true
    const result = await send({ url: root.action, fields: [...form.entries()], about, what })
    if (result.state === 'kept') return location.assign(result.answer.to ?? location.href)
    for (const one of root.querySelectorAll('button[type=submit]')) one.disabled = false
    if (result.state === 'refused') {
      const kind = document.createElement('input')
      Object.assign(kind, { type: 'hidden', name: button?.name ?? '', value: button?.value ?? '' })
      root.append(kind)
      root.submit() // without this handler
      return
    }
    if ('clears' in root.dataset) root.reset() // what was typed waits on this device, and is not typed twice
    root.querySelector('[name=form_token]').value = token() // the next tap is another entry
    button?.classList.add('is-waiting')
  })
}
