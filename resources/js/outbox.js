/**
 * Entries that are to reach the server whatever the connection does. Each carries a token of its own, so that it is made once
 * however often it is sent; what cannot be sent waits on this device, in order, and is shown as waiting.
 *
 * @typedef {{url: string, fields: [string, string][], about: string, refused?: string}} Entry
 */
const KEY = 'destino.outbox'
const PATIENCE = 8000 // milliseconds
let bar = null
let sending = null

/** A UUID, where the browser has one only for secure pages too. */
export function token() {
  const b = crypto.getRandomValues(new Uint8Array(16))
  b[6] = (b[6] & 15) | 64
  b[8] = (b[8] & 63) | 128
  const hex = [...b].map(one => one.toString(16).padStart(2, '0')).join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}

/** The day by the clock of this device. */
export function today() {
  const now = new Date()
  return [now.getFullYear(), String(now.getMonth() + 1).padStart(2, '0'), String(now.getDate()).padStart(2, '0')].join('-')
}

/** @returns {Entry[]} */
const waiting = () => { try { return JSON.parse(localStorage.getItem(KEY)) ?? [] } catch { return [] } }
const keep = (entries, why = '') => {
  localStorage.setItem(KEY, JSON.stringify(entries))
  show(why)
}

/**
 * @param {Entry} entry
 * @returns {Promise<{state: 'kept' | 'refused' | 'waits', answer?: object, why?: string}>}
 */
async function deliver(entry) {
  const cookie = document.cookie.split('; ').find(one => one.startsWith('XSRF-TOKEN='))
  const fields = entry.fields.filter(([name]) => name !== '_token')
  try {
    const response = await fetch(entry.url, {
      method: 'POST', body: new URLSearchParams(fields), redirect: 'manual', signal: AbortSignal.timeout(PATIENCE),
      headers: { Accept: 'application/json', 'X-Outbox': '1', 'X-XSRF-TOKEN': cookie ? decodeURIComponent(cookie.slice(11)) : '' },
    })
    if (response.ok) return { state: 'kept', answer: await response.json() }
    if ([401, 419, 429, 502, 503, 504].includes(response.status) || response.type === 'opaqueredirect') {
      return { state: 'waits', why: [401, 419].includes(response.status) || response.type === 'opaqueredirect' ? 'sign in again to send them' : 'the server is busy' }
    }
    const answer = await response.json().catch(() => ({}))
    return { state: 'refused', answer, why: Object.values(answer.errors ?? {}).flat()[0] ?? answer.message ?? `refused (${response.status})` }
  } catch {
    return { state: 'waits', why: 'no connection' }
  }
}

/**
 * Sends an entry, after those that wait already.
 *
 * @param {Entry} entry
 */
export async function send(entry) {
  if (waiting().some(one => !one.refused)) {
    keep([...waiting(), entry])
    flush()
    return { state: 'waits', why: 'behind others' }
  }
  const result = await deliver(entry)
  if (result.state === 'waits') keep([...waiting(), entry], result.why)
  return result
}

/** Sends what waits, the oldest first, until one cannot be sent. */
export function flush() {
  return sending ??= (async () => {
    let sent = 0
    let why = ''
    for (;;) {
      const [first] = waiting().filter(one => !one.refused)
      if (!first) break
      const result = await deliver(first)
      if (result.state === 'waits') { why = result.why; break }
      const same = one => JSON.stringify(one) === JSON.stringify(first)
      const rest = waiting()
      const at = rest.findIndex(same)
      if (result.state === 'refused') rest[at] = { ...first, refused: result.why }
      else rest.splice(at, 1)
      sent += result.state === 'kept' ? 1 : 0
      keep(rest)
    }
    sending = null
    show(why, sent)
    return sent
  })()
}

function show(why = '', sent = 0) {
  if (!bar) return
  const entries = waiting()
  const open = entries.filter(one => !one.refused)
  const refused = entries.filter(one => one.refused)
  const list = some => some.slice(0, 4).map(one => one.about).join('; ') + (some.length > 4 ? ` and ${some.length - 4} more` : '')
  const says = []
  if (open.length) says.push(`${open.length} ${open.length === 1 ? 'entry waits' : 'entries wait'} on this device${why ? ` (${why})` : ''}: ${list(open)}.`)
  if (refused.length) says.push(`Not taken: ${refused.map(one => `${one.about}: ${one.refused}`).join('; ')}`)
  if (sent && !open.length) says.push(`${sent} ${sent === 1 ? 'entry that waited is' : 'entries that waited are'} sent. Open the page again to see ${sent === 1 ? 'it' : 'them'}.`)
  bar.hidden = says.length === 0
  bar.querySelector('[data-outbox-says]').textContent = says.join(' ')
  const button = bar.querySelector('[data-outbox-send]')
  button.hidden = !entries.length
  button.textContent = open.length ? 'Send now' : 'Put aside'
}

/** Shows what waits and sends it whenever the connection may be back. */
export function watch(root) {
  bar = root
  bar?.querySelector('[data-outbox-send]').addEventListener('click', () => {
    if (waiting().some(one => !one.refused)) flush()
    else keep([])
  })
  show()
  if (waiting().some(one => !one.refused)) flush()
  addEventListener('online', flush)
  setInterval(() => { if (waiting().some(one => !one.refused)) flush() }, 20000)
}
