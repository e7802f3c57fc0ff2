/**
 * Keeps the pages of the snake room, as they were last seen, for when there is no connection; and styles, scripts and fonts.
 * What is entered meanwhile waits in the page's outbox. Signing out forgets the pages.
 */
const PAGES = 'destino-pages'
const PARTS = 'destino-parts'
const PATIENCE = 6000 // milliseconds

const isRoom = path => path === '/today' || path.startsWith('/round/') || /^\/clutches\/\d+(\/eggs|\/bench)?$/.test(path)
const isPart = path => /^\/(build|vendor)\//.test(path) || path === '/icon.svg'

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()))
self.addEventListener('fetch', event => {
  const { request } = event
  const url = new URL(request.url)
  if (url.origin !== location.origin) return
  if (request.method === 'POST' && url.pathname === '/sign-out') event.waitUntil(caches.delete(PAGES))
  if (request.method !== 'GET') return
  if (request.mode === 'navigate' && isRoom(url.pathname)) event.respondWith(page(request))
  else if (isPart(url.pathname)) event.respondWith(part(request))
})

async function page(request) {
  const cache = await caches.open(PAGES)
  try {
    const late = new Promise((_, reject) => { setTimeout(() => reject(new Error('late')), PATIENCE) })
    const response = await Promise.race([fetch(request), late])
    if (response.ok && !response.redirected) await cache.put(request, response.clone())
    return response
  } catch {
    return await cache.match(request) ?? await cache.match('/today') ?? new Response(
      '<!doctype html><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No connection · Destino</title><p>There is no connection, and this page was not open on this device before. What you have entered waits and is sent later.',
      { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
    )
  }
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
