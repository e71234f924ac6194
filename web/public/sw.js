/* Lets the page itself open without a network: its files from the cache, the page from the network while there is one. What was read and what waits is kept by the page. */
const CACHE = 'oblume-page'

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.add('/'))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

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
