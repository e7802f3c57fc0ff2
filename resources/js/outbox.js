/**
 * Entries that are to reach the server whatever the connection does. Each is stored on this device before it is sent, and carries a
 * token of its own, so that it is made once however often it is sent. What cannot be sent waits here, in order; what the server did
 * not keep stays here with the reason until the keeper gives it to another animal or discards it. The box belongs to one person in
 * one collection: whoever signs in next on this device sends nothing of it.
 *
 * @typedef {{id: string, url: string, fields: [string, string][], about: string, what?: string, refused?: string, restore?: string}} Entry
 * @typedef {{state: 'kept' | 'refused' | 'left' | 'waits', answer?: object, why?: string}} Result
 */
const KEY = 'destino.outbox'
const PATIENCE = 8000 // milliseconds
const LEFT = ['gone', 'removed', 'refused'] // states of a row that was not kept
let bar = null
let owner = ''
let sending = null
const asked = new Map() // who waits on this page for an answer, by entry

/** A UUID, where the browser has one only for secure pages too. */
export function token() {
  const b = crypto.getRandomValues(new Uint8Array(16))
  b[6] = (b[6] & 15) | 64
  b[8] = (b[8] & 63) | 128
  const hex = [...b].map(one => one.toString(16).padStart(2, '0')).join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}

/** The day by the clock of this device, or so many days from it. */
export function today(days = 0) {
  const now = new Date()
  now.setDate(now.getDate() + days)
  return [now.getFullYear(), String(now.getMonth() + 1).padStart(2, '0'), String(now.getDate()).padStart(2, '0')].join('-')
}

const read = key => { try { return JSON.parse(localStorage.getItem(key)) ?? [] } catch { return [] } }
/** @returns {Entry[]} */
const all = () => read(`${KEY}.${owner}`)
const isOpen = one => !one.refused
const open = () => all().filter(isOpen)
const store = entries => entries.length
  ? localStorage.setItem(`${KEY}.${owner}`, JSON.stringify(entries))
  : localStorage.removeItem(`${KEY}.${owner}`)
/** Puts other entries in the place of one, in whatever state another window has left the box. */
const replace = (entry, others = []) => {
  const entries = all()
  const at = entries.findIndex(one => one.id === entry.id)
  if (at >= 0) store([...entries.slice(0, at), ...others, ...entries.slice(at + 1)])
}

const csrf = () => {
  const cookie = document.cookie.split('; ').find(one => one.startsWith('XSRF-TOKEN='))
  return { Accept: 'application/json', 'X-Outbox': owner, 'X-XSRF-TOKEN': cookie ? decodeURIComponent(cookie.slice(11)) : '' }
}

/**
 * @param {Entry} entry
 * @returns {Promise<Result & {isGone?: boolean}>}
 */
async function deliver(entry) {
  const fields = entry.fields.filter(([name]) => name !== '_token')
  try {
    const response = await fetch(entry.url, {
      method: 'POST', body: new URLSearchParams(fields), redirect: 'manual', signal: AbortSignal.timeout(PATIENCE), headers: csrf(),
    })
    if (response.ok) return { state: 'kept', answer: await response.json() }
    if (response.type === 'opaqueredirect' || [401, 419].includes(response.status)) return { state: 'waits', why: 'sign in again to send them' }
    if ([429, 502, 503, 504, 507].includes(response.status)) return { state: 'waits', why: 'the server is busy' }
    const answer = await response.json().catch(() => ({}))
    if (response.status === 412) return { state: 'waits', why: answer.message ?? 'they belong to another person' }
    const why = Object.values(answer.errors ?? {}).flat()[0] ?? answer.message ?? `refused (${response.status})`
    return { state: 'refused', answer, why, isGone: response.status === 404 }
  } catch {
    return { state: 'waits', why: 'no connection' }
  }
}

/** The animal that a field is about: its number, where it has one. */
const animalOf = ([name, value]) => name === 'chosen[]' ? value : /^rows\[(\d+)\]$/.exec(name)?.[1]

/** The rows of an entry that were not kept, each an entry of its own, with the reason. */
function leftOf(entry, rows) {
  const base = entry.fields.filter(field => !animalOf(field))
  return Object.entries(rows ?? {}).filter(([, row]) => LEFT.includes(row.state)).map(([id, row]) => ({
    ...entry, id: token(), fields: [...base, ...entry.fields.filter(field => animalOf(field) === id)],
    about: row.name ? `${row.name}, ${entry.what ?? entry.about}` : entry.about, refused: row.why, restore: row.restore ?? undefined,
  }))
}

/**
 * Stores an entry and sends it, after those that wait already. A refusal is left to whoever asked, so that a page can show it at
 * its place; where nobody on this page asked, it stays in the box.
 *
 * @param {Omit<Entry, 'id'>} entry
 * @returns {Promise<Result>}
 */
export function send(entry) {
  const stored = { id: token(), ...entry }
  store([...all(), stored])
  return new Promise(resolve => {
    asked.set(stored.id, resolve)
    flush()
  })
}

/** What became of an entry is written into the box, and told to whoever asked. */
function settle(entry, result) {
  const answers = asked.get(entry.id)
  asked.delete(entry.id)
  if (result.state === 'kept') {
    const left = leftOf(entry, result.answer?.rows)
    replace(entry, left)
    answers?.({ ...result, left })
  } else if (answers && !result.isGone) {
    replace(entry)
    answers(result)
  } else {
    replace(entry, [{ ...entry, refused: result.why, restore: result.answer?.restore }])
    answers?.({ ...result, state: 'left' })
  }
}

/** Sends what waits, the oldest first, until one cannot be sent. */
export function flush() {
  return sending ??= (async () => {
    let sent = 0
    let why = ''
    for (;;) {
      const [first] = open()
      if (!first) break
      const isOld = !asked.has(first.id)
      const result = await deliver(first)
      if (result.state === 'waits') { why = result.why; break }
      sent += result.state === 'kept' && isOld ? 1 : 0
      settle(first, result)
      show()
    }
    sending = null
    for (const answers of asked.values()) answers({ state: 'waits', why })
    asked.clear()
    show(why, sent)
    return sent
  })()
}

const button = (words, act) => {
  const one = document.createElement('button')
  Object.assign(one, { type: 'button', className: 'button slim', textContent: words })
  one.addEventListener('click', act)
  return one
}

/** The same entry about another animal, as an entry of its own. */
function about(entry, animal) {
  const fields = entry.fields.map(([name, value]) => name === 'form_token' ? [name, token()]
    : name === 'chosen[]' ? [name, animal.id] : [name.replace(/^rows\[\d+\]$/, `rows[${animal.id}]`), value])
  return {
    url: entry.url.replace(/\/animals\/\d+\//, `/animals/${animal.id}/`), fields, what: entry.what, about: `${animal.label}, ${entry.what ?? entry.about}`,
  }
}

/** A field to name the animal that was meant, with those of the collection as they are typed. */
function chooser(entry, before) {
  const list = Object.assign(document.createElement('datalist'), { id: `given-${entry.id}` })
  const input = Object.assign(document.createElement('input'), { className: 'input slim', type: 'search', autocomplete: 'off', placeholder: 'Name or number' })
  input.setAttribute('list', list.id)
  input.setAttribute('aria-label', `Animal for: ${entry.about}`)
  const ask = async () => {
    const find = input.value.trim()
    const response = await fetch(`/animals/names?find=${encodeURIComponent(find)}`, { headers: { Accept: 'application/json' } }).catch(() => null)
    const found = response?.ok ? (await response.json()).animals : []
    // An answer that comes late is about what was typed before.
    if (find === input.value.trim()) list.replaceChildren(...found.map(one => Object.assign(document.createElement('option'), { value: one.label })))
    return found
  }
  input.addEventListener('input', ask)
  const save = button('Save', async () => {
    const found = await ask()
    const animal = found.find(one => one.label === input.value.trim()) ?? (found.length === 1 ? found[0] : null)
    if (!animal) return input.focus()
    replace(entry)
    const result = await send(about(entry, animal))
    if (result.state === 'refused') store([...all(), { ...about(entry, animal), id: token(), refused: result.why, restore: result.answer?.restore }])
    show()
  })
  before.before(input, list, save)
  input.focus()
}

async function bringBack(entry) {
  const response = await fetch(entry.restore, { method: 'POST', headers: csrf(), redirect: 'manual' }).catch(() => null)
  if (response?.ok || response?.type === 'opaqueredirect') replace(entry)
  show()
}

/** An entry that was not kept: why, and what can be done with it. */
function refusedRow(entry) {
  const row = Object.assign(document.createElement('li'), { className: 'row-flow' })
  row.append(Object.assign(document.createElement('span'), { textContent: `${entry.about}. Not saved: ${entry.refused}` }))
  if (entry.restore) row.append(button('Bring it back', () => bringBack(entry)))
  const discard = button('Discard', () => { replace(entry); show() })
  if (entry.fields.some(animalOf) || /\/animals\/\d+\//.test(entry.url)) {
    row.append(button('Another animal', event => { event.target.remove(); chooser(entry, discard) }))
  }
  row.append(discard)
  return row
}

/** How many entries of others wait on this device; what they are is theirs. */
const ofOthers = () => Object.keys(localStorage).filter(key => key.startsWith(`${KEY}.`) && key !== `${KEY}.${owner}`)
  .reduce((count, key) => count + read(key).filter(isOpen).length, 0)

const count = (n, one, more) => `${n} ${n === 1 ? one : more}`

function show(why = '', sent = 0) {
  if (!bar) return
  const waits = open().filter(one => !asked.has(one.id))
  const refused = all().filter(one => one.refused)
  const others = ofOthers()
  const list = waits.slice(0, 4).map(one => one.about).join('; ') + (waits.length > 4 ? ` and ${waits.length - 4} more` : '')
  const says = []
  if (waits.length) says.push(`${count(waits.length, 'entry', 'entries')} waiting on this device${why ? ` (${why})` : ''}: ${list}.`)
  if (sent && !waits.length) says.push(`${count(sent, 'waiting entry', 'waiting entries')} sent. Reload to see ${sent === 1 ? 'it' : 'them'}.`)
  if (others) says.push(`${count(others, 'entry', 'entries')} of another person waiting on this device: sent when that person signs in here.`)
  bar.hidden = says.length === 0 && refused.length === 0
  bar.querySelector('[data-outbox-says]').textContent = says.join(' ')
  bar.querySelector('[data-outbox-send]').hidden = !waits.length
  const rows = bar.querySelector('[data-outbox-refused]')
  if (rows.dataset.shown === JSON.stringify(refused)) return // a field in it may be typed in just now
  rows.dataset.shown = JSON.stringify(refused)
  rows.hidden = !refused.length
  rows.replaceChildren(...refused.map(refusedRow))
}

/** What waited before boxes had owners is of whoever is here now. */
function adopt() {
  const before = read(KEY)
  if (before.length) store([...all(), ...before.map(one => ({ id: token(), ...one }))])
  localStorage.removeItem(KEY)
}

/** Shows what waits and sends it whenever the connection may be back. */
export function watch(root) {
  if (!root) return
  bar = root
  owner = root.dataset.owner
  adopt()
  bar.querySelector('[data-outbox-send]').addEventListener('click', flush)
  show()
  const again = () => { if (open().length) flush() }
  again()
  addEventListener('online', again)
  setInterval(again, 20000)
}
