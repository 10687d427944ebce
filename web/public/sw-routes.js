// Read by the service worker. Where the browser can, files come from the kept build, and pages from whoever answers
// first, without waiting for the worker to wake up.
self.addEventListener('install', (event) => {
  if (typeof event.addRoutes !== 'function') return
  const kept = { cacheName: `workbox-precache-v2-${self.registration.scope}` }
  event.waitUntil(
    event.addRoutes([
      { condition: { urlPattern: new URLPattern({ pathname: '/assets/*' }) }, source: kept },
      { condition: { requestMode: 'navigate' }, source: 'race-network-and-fetch-handler' },
    ]),
  )
})
