/**
 * Keeps the pages of the snake room, as they were last seen, for when there is no connection; and styles, scripts and fonts.
 * What is entered meanwhile waits in the page's outbox. Pages belong to the person who opened them: each comes with a mark of
 * whose it is, and when another signs in, or somebody signs out, they are forgotten.
 */
const PAGES = 'destino-pages'
const PARTS = 'destino-parts'
const OWNER = '/owner-of-kept-pages' // an address in PARTS under which the mark of who is here is kept
const MARK = 'Destino-Owner'
const PATIENCE = 6000 // milliseconds

const isRoom = path => path === '/today' || path.startsWith('/round/') || /^\/clutches\/\d+(\/eggs|\/bench|\/first|\/identify(\/\d+)?)?$/.test(path)
const isPicture = path => path.startsWith('/genes/states/')
const PICTURES = 400 // of one person; the oldest go
const isPart = path => /^\/(build|vendor)\//.test(path) || path === '/icon.svg'

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()))
// Every page says whose it is; one of nobody (the door) shows nothing of anybody.
self.addEventListener('message', event => { if (typeof event.data?.owner === 'string') event.waitUntil(isHere(event.data.owner)) })
self.addEventListener('fetch', event => {
  const { request } = event
  const url = new URL(request.url)
  if (url.origin !== location.origin) return
  if (request.method === 'POST' && url.pathname === '/sign-out') event.waitUntil(forgetPages())
  if (request.method !== 'GET') return
  // A large round brings the rest of itself in: it is to be whole without a connection too.
  const isRest = url.pathname.startsWith('/round/') && request.headers.has('X-Background')
  if (isRest || (request.mode === 'navigate' && isRoom(url.pathname))) event.respondWith(page(request))
  else if (isPicture(url.pathname)) event.respondWith(picture(request))
  else if (isPart(url.pathname)) event.respondWith(part(request))
})

const pagesOf = owner => `${PAGES}-${owner}`

async function owner() {
  const kept = await (await caches.open(PARTS)).match(OWNER)
  return kept ? kept.text() : ''
}

/** Somebody is here: what was kept of others goes. Nobody is here: it stays for whoever signs in again, and is not shown. */
async function isHere(mark) {
  if (mark) await forgetPages(pagesOf(mark))
  await (await caches.open(PARTS)).put(OWNER, new Response(mark))
}

async function forgetPages(but = '') {
  for (const name of await caches.keys()) if (name.startsWith(PAGES) && name !== but) await caches.delete(name)
}

async function page(request) {
  try {
    const late = new Promise((_, reject) => { setTimeout(() => reject(new Error('late')), PATIENCE) })
    const response = await Promise.race([fetch(request), late])
    const mark = response.headers.get(MARK)
    if (response.ok && !response.redirected && mark) {
      await isHere(mark)
      await (await caches.open(pagesOf(mark))).put(request, response.clone())
    }
    return response
  } catch {
    const mark = await owner()
    const kept = mark ? await caches.open(pagesOf(mark)) : null
    return await kept?.match(request) ?? (request.mode === 'navigate' ? await kept?.match('/today') : null) ?? new Response(
      '<!doctype html><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No connection · Destino</title><p>No connection, and this page was not opened on this device before. What you have entered is stored here and sent later.',
      { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
    )
  }
}

/** A picture of a state, whose address says all that it shows: it belongs to the pages that show it. */
async function picture(request) {
  const mark = await owner()
  if (!mark) return fetch(request)
  const cache = await caches.open(pagesOf(mark))
  const kept = await cache.match(request)
  if (kept) return kept
  const response = await fetch(request)
  if (response.ok && !response.redirected) {
    const before = (await cache.keys()).filter(one => isPicture(new URL(one.url).pathname))
    if (before.length >= PICTURES) await cache.delete(before[0])
    await cache.put(request, response.clone())
  }
  return response
}

async function part(request) {
  const cache = await caches.open(PARTS)
  const kept = new URL(request.url).pathname.startsWith('/build/') ? await cache.match(request) : null
  if (kept) return kept // its address changes with it
  try {
    const response = await fetch(request)
    if (response.ok) await cache.put(request, response.clone())
    return response
  } catch {
    return await cache.match(request) ?? Response.error()
  }
}
