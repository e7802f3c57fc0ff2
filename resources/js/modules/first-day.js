import { send, token } from '../outbox.js'

/** Hatchlings in a row: each tap is stored and sent, and what is known stands in the line of the hatchling. After the look comes the next one. */
export function enhance(root) {
  const day = root.querySelector('[data-day]')
  const ones = [...root.querySelectorAll('[data-one]')]
  const tell = (one, result, undo) => {
    const refused = one.querySelector('[data-refused]')
    refused.hidden = result.state !== 'refused'
    if (result.state === 'refused') {
      refused.textContent = `Not saved: ${result.why}`
      one.open = true
      undo()
    }
  }
  const words = one => {
    const grams = one.querySelector('[data-grams]').value.trim()
    const parts = [...one.querySelectorAll('button[aria-pressed=true]')].map(button => button.value)
    if (grams) parts.splice(one.querySelector('[name=sex][aria-pressed=true]') ? 1 : 0, 0, `${grams} ${root.dataset.unit}`)
    one.querySelector('[data-words]').textContent = parts.join(' · ') || 'not done yet'
  }
  const next = one => {
    const following = ones[ones.indexOf(one) + 1]
    if (!following) return
    one.open = false
    following.open = true
    following.querySelector('summary').focus({ preventScroll: true })
    following.scrollIntoView({ block: 'nearest' })
  }

  for (const one of ones) {
    for (const form of one.querySelectorAll('form')) {
      form.addEventListener('submit', async event => {
        event.preventDefault()
        const { name, value } = event.submitter
        const was = form.querySelector('[name=was]')
        const before = was.value
        const mark = now => {
          was.value = now
          for (const button of form.querySelectorAll('button')) button.setAttribute('aria-pressed', String(button.value === now))
          words(one)
        }
        mark(before === value ? '' : value)
        if (name === 'look' && before !== value) next(one)
        const fields = [[name, value], ['was', before], ['on', day.value], ['form_token', token()]]
        tell(one, await send({ url: form.action, fields, about: `${one.dataset.about}: ${value}`, what: value }), () => mark(before))
      })
    }
    const grams = one.querySelector('[data-grams]')
    grams.closest('[data-with-script]').hidden = false
    grams.addEventListener('change', async () => {
      const typed = grams.value.trim()
      words(one)
      const fields = [['form_token', root.dataset.token], ['on', day.value], [`rows[${one.dataset.one}]`, typed]]
      const result = await send({ url: root.dataset.weigh, fields, about: `${one.dataset.about}: ${typed} ${root.dataset.unit}`, what: 'weight' })
      const row = result.answer?.rows?.[one.dataset.one]
      const why = result.answer?.asks?.[one.dataset.one] ?? row?.why
      tell(one, why ? { state: 'refused', why } : result, () => {})
    })
    grams.addEventListener('keydown', event => {
      if (event.key !== 'Enter' || event.isComposing) return
      event.preventDefault()
      grams.blur() // leaving the field saves it
      one.querySelector('.first-looks .reply')?.focus()
    })
  }
}
