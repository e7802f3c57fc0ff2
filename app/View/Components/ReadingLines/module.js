/**
 * Shows under a field what was understood of its text, while it is typed.
 * The element holds one input[data-reads] ("male", "female" or "target") and one [data-reading]; data-address is where
 * to ask. The server reads; nothing is understood here. What was understood of another text is out of sight as soon as
 * the text changes, and goes for good where no answer comes.
 */
export function enhance(root) {
  const input = root.querySelector('[data-reads]')
  const place = root.querySelector('[data-reading]')
  if (!input || !place) throw new Error('needs an input with data-reads and an element with data-reading')
  let timer = 0
  let asked = 0

  const kind = () => {
    const source = input.dataset.sexFrom && document.querySelector(`[name="${input.dataset.sexFrom}"]:checked`)
    return source ? source.value : input.dataset.reads
  }
  const outdate = () => { asked++; place.dataset.old = '' }
  const settle = () => { delete place.dataset.old }
  const read = async () => {
    outdate()
    const turn = asked
    if (input.value.trim() === '') { place.replaceChildren(); settle(); input.removeAttribute('aria-invalid'); return }
    const address = new URL(root.dataset.address, location.href)
    address.searchParams.set('text', input.value)
    address.searchParams.set('as', kind())
    try {
      const response = await fetch(address, { headers: { Accept: 'application/json' } })
      const answer = response.ok ? await response.json() : null
      if (turn !== asked) return
      settle()
      if (answer === null) { place.replaceChildren(); return }
      place.innerHTML = answer.html // drawn and escaped by the server
      const old = root.querySelector('.field-error[data-server]')
      if (old) old.remove()
      input.setAttribute('aria-invalid', String(answer.errors.length > 0))
      offer(answer.errors)
    } catch { // no answer now; the form says everything when it is sent
      if (turn === asked) { place.replaceChildren(); settle() }
    }
  }
  const offer = errors => {
    for (const error of errors) {
      for (const suggestion of error.suggestions) {
        const button = document.createElement('button')
        button.type = 'button'
        button.className = 'offer'
        button.textContent = suggestion
        button.addEventListener('click', () => {
          const letters = [...input.value]
          letters.splice(error.position - 1, [...error.piece].length, suggestion)
          input.value = letters.join('').replace(/\bhet het /gi, 'het ')
          input.focus()
          read()
        })
        place.append(button)
      }
    }
  }
  input.addEventListener('input', () => { outdate(); clearTimeout(timer); timer = setTimeout(read, 250) })
  input.addEventListener('reading:now', read)
  if (input.dataset.sexFrom) document.querySelectorAll(`[name="${input.dataset.sexFrom}"]`).forEach(choice => choice.addEventListener('change', read))
  if (input.value.trim() !== '') read()
}
