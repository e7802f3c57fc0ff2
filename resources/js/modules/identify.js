import { send, today, token } from '../outbox.js'

/**
 * One question at a time, of one hatchling or of two beside each other: a tap is stored and sent, and where all have their answer the
 * next question stands there at once. What is worth asking comes back with each answer; the order stays. "Cannot tell" is remembered on
 * this device for a month, "later" comes again at the end.
 */
const MONTH = 30 * 864e5
const KEY = 'destino.cannot'
const OWN = ['state', 'was', 'form_token', 'from']

const cannot = () => { try { return JSON.parse(localStorage.getItem(KEY)) ?? {} } catch { return {} } }

export function enhance(root) {
  root.classList.add('is-one')
  const questions = [...root.querySelectorAll('[data-question]')]
  const done = root.querySelector('[data-done]')
  const foot = root.querySelector('[data-with-script]')
  const undo = foot.querySelector('[data-undo]')
  const nameOf = one => `${root.dataset.page}-${one.dataset.question}`
  const formsOf = one => [...one.querySelectorAll('form')]
  const taps = []
  const later = []
  let current = null

  const waitsFor = form => 'asked' in form.dataset && !form.dataset.seen
  const isOpen = one => formsOf(one).some(waitsFor) && !(Date.now() - (cannot()[nameOf(one)] ?? 0) < MONTH)
  const show = (one, isMoved = true) => {
    current = one
    for (const other of [...questions, done]) other.hidden = other !== one
    foot.classList.toggle('is-done', one === done)
    if (isMoved) one.querySelector('h2').focus({ preventScroll: true })
    const following = questions.slice(questions.indexOf(one) + 1).find(isOpen)
    for (const picture of following?.querySelectorAll('img') ?? []) picture.loading = 'eager' // ready when it is asked
  }
  const next = (isMoved = true) => {
    const one = questions.find(one => isOpen(one) && !later.includes(one)) ?? later.find(isOpen)
    if (later.includes(one)) later.splice(later.indexOf(one), 1)
    if (!one) root.querySelector('[data-done-says]').textContent = 'Nothing more to look for at this age'
    show(one ?? done, isMoved)
  }
  const mark = (form, state) => {
    form.dataset.seen = state
    form.querySelector('[name=was]').value = state
    for (const button of form.querySelectorAll('.reply')) {
      button.classList.toggle('is-seen', button.value === state)
      button.setAttribute('aria-pressed', String(button.value === state))
    }
  }
  const words = (place, list) => {
    place.replaceChildren(...list.map(text => Object.assign(document.createElement('span'), { textContent: text })))
  }
  const tell = answers => {
    for (const [id, answer] of Object.entries(answers)) {
      const it = root.querySelector(`[data-it="${id}"]`)
      it.querySelector('[data-name]').textContent = answer.name
      words(it.querySelector('[data-shown]'), answer.shown.length ? answer.shown : ['No gene of its parents shows'])
      words(it.querySelector('[data-carried]'), answer.carried)
      root.querySelector(`[data-sibling="${id}"] .how-far`)?.style.setProperty('--share', `${100 * answer.done}%`)
      for (const one of questions) {
        const form = formsOf(one).find(form => form.querySelector('[name=animal]').value === id)
        if (!form) continue
        if (answer.worth.includes(one.dataset.question) || form.dataset.seen) form.dataset.asked = ''
        else if (one !== current) delete form.dataset.asked
      }
    }
  }
  const write = async (one, form, state, was, before) => {
    const fields = [...new FormData(form).entries()].filter(([name]) => !OWN.includes(name))
    fields.push(['state', state], ['was', was], ['form_token', token()], ['on', today()])
    const result = await send({
      url: form.action, fields, about: `${form.dataset.about}, ${one.dataset.cue}: ${state}`, what: one.dataset.cue,
    })
    if (result.state === 'kept') tell(result.answer.answers)
    if (result.state === 'refused') {
      mark(form, before)
      show(one)
      one.querySelector('.soft').textContent = `Not saved: ${result.why}`
    }
  }

  for (const one of questions) {
    for (const form of formsOf(one)) {
      form.addEventListener('submit', event => {
        event.preventDefault()
        const state = event.submitter.value
        const before = form.dataset.seen
        const after = before === state ? '' : state // a second tap takes it back
        taps.push([one, form, before, after])
        undo.disabled = false
        mark(form, after)
        write(one, form, state, before, before)
        if (after && !formsOf(one).some(waitsFor)) next()
      })
    }
  }
  undo.addEventListener('click', () => {
    const [one, form, before, after] = taps.pop()
    undo.disabled = taps.length === 0
    mark(form, before)
    write(one, form, before || after, after, after)
    show(one)
  })
  foot.querySelector('[data-cannot]').addEventListener('click', () => {
    const known = Object.fromEntries(Object.entries(cannot()).filter(([, when]) => Date.now() - when < MONTH))
    localStorage.setItem(KEY, JSON.stringify({ ...known, [nameOf(current)]: Date.now() }))
    next()
  })
  foot.querySelector('[data-later]').addEventListener('click', () => {
    later.push(current)
    next()
  })
  const any = foot.querySelector('[data-any]')
  any.addEventListener('change', () => {
    const one = questions.find(one => one.dataset.question === any.value)
    any.value = ''
    if (one) show(one)
  })
  addEventListener('keydown', event => { // answers by their number, where there are keys
    const number = Number(event.key)
    if (!number || event.ctrlKey || event.metaKey || event.altKey || /^(input|select|textarea)$/i.test(event.target.tagName)) return
    const form = formsOf(current).find(waitsFor) ?? formsOf(current)[0]
    form?.querySelectorAll('.reply')[number - 1]?.click()
  })
  foot.hidden = false
  const asked = questions.find(one => `#${one.id}` === location.hash)
  asked ? show(asked, false) : next(false)
}
