/*
 * Lets the page open without a network, every view of it: its files are kept when this is installed, the page itself comes from
 * the network while there is one. What was read and what waits is kept by the page. The build writes the files of this version here.
 */
const FILES = ['__FILES__']
const CACHE = 'oblume-page'

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(['/', ...FILES]))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => event.waitUntil(forgetOthers().then(() => self.clients.claim())))

/** Files of versions before. */
async function forgetOthers() {
  const cache = await caches.open(CACHE)
  const kept = new Set(['/', ...FILES])
  const others = (await cache.keys()).filter((request) => !kept.has(new URL(request.url).pathname))
  await Promise.all(others.map((request) => cache.delete(request)))
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== location.origin || url.pathname.startsWith('/api/')) return
  if (url.pathname.startsWith('/assets/')) event.respondWith(fromCache(request))
  else if (request.mode === 'navigate') event.respondWith(fetch(request).then(keepPage, () => caches.match('/')))
})

async function fromCache(request) {
  const kept = await caches.match(request)
  if (kept) return kept
  const answer = await fetch(request)
  if (answer.ok) (await caches.open(CACHE)).put(request, answer.clone())
  return answer
}

async function keepPage(answer) {
  if (answer.ok) (await caches.open(CACHE)).put('/', answer.clone())
  return answer
}
