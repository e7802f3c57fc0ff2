import { send } from '../outbox.js'

/** A round through the racks: each tap is kept at once, a second one takes it back, and a rack can be told in one. */
export function enhance(root) {
  for (const one of root.querySelectorAll('[data-with-script]')) one.hidden = false
  for (const one of root.querySelectorAll('[data-without-script]')) one.hidden = true
  root.addEventListener('submit', event => event.preventDefault())
  const kept = new Set()
  const count = root.querySelector('[data-count]')
  const value = name => root.querySelector(`[name="${name}"]`)?.value ?? ''

  const say = (row, text, isAsked) => {
    const place = row.querySelector('[data-said]')
    place.textContent = text
    place.classList.toggle('text-odd', isAsked)
  }
  const write = async (rows, what) => {
    const fields = [['form_token', value('form_token')], ['on', value('on')], ['prey', value('prey')]]
    for (const [row, chosen] of rows) {
      fields.push([`rows[${row.dataset.row}]`, chosen])
      say(row, '…', false)
    }
    const unit = rows[0][0].querySelector('[data-unit]')?.textContent ?? ''
    const words = what || `${rows[0][1] || 'taken back'} ${rows[0][1] ? unit : ''}`.trim()
    const about = rows.length === 1 ? `${rows[0][0].querySelector('strong').textContent}: ${words}` : `${rows.length} animals: ${words}`
    const result = await send({ url: root.action, fields, about, what: words })
    for (const [row, chosen] of rows) {
      const answer = result.answer?.rows?.[row.dataset.row]
      const asks = result.answer?.asks?.[row.dataset.row]
      const why = ['refused', 'left'].includes(result.state) ? result.why : answer?.why
      if (!why) chosen ? kept.add(row) : kept.delete(row)
      say(row, why ?? asks ?? (result.state === 'waits' ? 'waiting on this device' : (chosen ? 'kept' : 'taken back')), Boolean(why ?? asks))
    }
    count.textContent = kept.size ? `${kept.size} logged` : ''
  }

  const begin = row => {
    let before = row.querySelector('input:checked') ?? null
    for (const radio of row.querySelectorAll('input[type=radio]')) {
      radio.addEventListener('click', () => {
        if (before === radio) { // a second tap clears it
          radio.checked = false
          before = null
          write([[row, '']], '')
        } else {
          before = radio
          write([[row, radio.value]], radio.value)
        }
      })
    }
    row.addEventListener('round:set', () => { before = row.querySelector('input:checked') })
    const grams = row.querySelector('input[inputmode=decimal]')
    grams?.addEventListener('change', () => write([[row, grams.value.trim()]], ''))
    grams?.addEventListener('keydown', event => { // the scale is read one animal after another
      if (event.key !== 'Enter' || event.isComposing) return
      event.preventDefault()
      const fields = [...root.querySelectorAll('[data-row]:not([hidden]) input[inputmode=decimal]')]
      const next = fields[fields.indexOf(grams) + 1]
      next ? next.focus() : grams.blur() // leaving the field saves it
      next?.select()
    })
  }
  for (const row of root.querySelectorAll('[data-row]')) begin(row)
  const all = bringRest(root, begin)
  const tellAll = button => {
    button.hidden = false
    button.addEventListener('click', async () => {
      await all() // a rack that goes on in the next part is told as a whole
      const rows = [...button.closest('[data-rack]').querySelectorAll('[data-row]')].filter(row => !row.hidden && !row.querySelector('input:checked'))
      for (const row of rows) {
        row.querySelector(`input[value="${button.dataset.all}"]`).checked = true
        row.dispatchEvent(new Event('round:set'))
      }
      if (rows.length) await write(rows.map(row => [row, button.dataset.all]), button.textContent)
      const isCut = root.querySelector('[data-next]') && button.closest('[data-rack]') === [...root.querySelectorAll('[data-rack]')].pop()
      if (isCut) count.textContent += ' The rest of this rack could not be loaded, and is not logged.'
    })
  }
  for (const button of root.querySelectorAll('[data-all]')) tellAll(button)
  root.addEventListener('round:rack', event => event.target.querySelectorAll('[data-all]').forEach(tellAll))
  const find = root.querySelector('[data-find]')
  find?.addEventListener('input', async () => {
    await all()
    const asked = find.value.trim().toLowerCase()
    for (const row of root.querySelectorAll('[data-row]')) row.hidden = asked !== '' && !row.textContent.toLowerCase().includes(asked)
    for (const rack of root.querySelectorAll('[data-rack]')) rack.hidden = !rack.querySelector('[data-row]:not([hidden])')
  })
}

/**
 * A large round comes in parts, one after the other, so that the first is there at once and all of it without a connection later.
 *
 * @param {HTMLElement} root
 * @param {(row: HTMLElement) => void} begin
 * @returns {() => Promise<void>} done once all parts are there, or one of them cannot be had: then its link stays
 */
function bringRest(root, begin) {
  const bringNext = async () => {
    const link = root.querySelector('[data-next] a')
    if (!link) return false
    const response = await fetch(link.href, { headers: { Accept: 'text/html', 'X-Background': '1' } })
    const form = response.ok ? new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('form.round') : null
    if (!form) return false
    const next = root.querySelector('[data-next]')
    for (const rack of form.querySelectorAll('[data-rack]')) {
      const rows = [...rack.querySelectorAll('[data-row]')]
      const last = [...root.querySelectorAll('[data-rack]')].pop()
      if (last?.dataset.rack === rack.dataset.rack) {
        last.append(...rows)
        const count = last.querySelector('[data-in-rack]')
        count.textContent = String(last.querySelectorAll('[data-row]').length)
      } else {
        next.before(rack)
        rack.dispatchEvent(new Event('round:rack', { bubbles: true }))
      }
      rows.forEach(begin)
    }
    const further = form.querySelector('[data-next]')
    further ? next.replaceWith(further) : next.remove()
    return true
  }
  let going = null
  const all = () => {
    going ??= (async () => {
      try { while (await bringNext()) { /* the next one */ } } catch { /* the link to it stays */ }
      going = null
    })()
    return going
  }
  setTimeout(all, 300)
  return all
}
