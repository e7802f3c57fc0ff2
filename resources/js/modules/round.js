import { send } from '../outbox.js'

/** A round through the racks: each tap is kept at once, a second one takes it back, and a rack can be told in one. */
export function enhance(root) {
  for (const one of root.querySelectorAll('[data-with-script], [data-all]')) one.hidden = false
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

  for (const row of root.querySelectorAll('[data-row]')) {
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
  for (const button of root.querySelectorAll('[data-all]')) {
    button.addEventListener('click', () => {
      const rows = [...button.closest('[data-rack]').querySelectorAll('[data-row]')].filter(row => !row.hidden && !row.querySelector('input:checked'))
      for (const row of rows) {
        row.querySelector(`input[value="${button.dataset.all}"]`).checked = true
        row.dispatchEvent(new Event('round:set'))
      }
      if (rows.length) write(rows.map(row => [row, button.dataset.all]), button.textContent)
    })
  }
  root.querySelector('[data-find]')?.addEventListener('input', event => {
    const asked = event.target.value.trim().toLowerCase()
    for (const row of root.querySelectorAll('[data-row]')) row.hidden = asked !== '' && !row.textContent.toLowerCase().includes(asked)
    for (const rack of root.querySelectorAll('[data-rack]')) rack.hidden = !rack.querySelector('[data-row]:not([hidden])')
  })
}
