// Keeps the pages of the bench with all they load, so that a reload at the bench works without the server; for any other
// page there is one of ours with a way to try again. Whatever the server answers itself goes first.
const CACHE = 'tallow-bench-1';
const AWAY = '/away.html';
const BENCH = /^\/bench\/[^/]+$/;
/** Files that were loaded for older versions go when there are more. */
const MOST_KEPT = 400;

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(CACHE);
      await cache.add(new Request(AWAY, { cache: 'reload' }));
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== CACHE) await caches.delete(name);
      await self.clients.claim();
    })(),
  );
});

/** A page at the bench says what it has loaded: it was there before this was. */
self.addEventListener('message', (event) => {
  const { keep } = event.data ?? {};
  if (!Array.isArray(keep)) return;
  event.waitUntil(
    (async () => {
      const cache = await caches.open(CACHE);
      await Promise.all(
        keep.map(async (path) => {
          const url = new URL(String(path), self.location.origin);
          if (url.origin !== self.location.origin || (await cache.match(url))) return;
          const answer = await fetch(url).catch(() => null);
          if (answer?.ok) await cache.put(url, answer);
        }),
      );
      const keys = await cache.keys();
      for (const old of keys.slice(0, Math.max(0, keys.length - MOST_KEPT)))
        if (new URL(old.url).pathname !== AWAY) await cache.delete(old);
      event.source?.postMessage('kept');
    })(),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request, url));
  else if (url.pathname.startsWith('/_astro/')) event.respondWith(file(request));
});

async function page(request, url) {
  const isBench = BENCH.test(url.pathname);
  try {
    const answer = await fetch(request);
    if (isBench && answer.ok) await (await caches.open(CACHE)).put(url.pathname, answer.clone());
    return answer;
  } catch {
    const kept = isBench ? await caches.match(url.pathname) : undefined;
    return kept ?? (await caches.match(AWAY)) ?? Response.error();
  }
}

/** What is in the folder never changes under its name. */
async function file(request) {
  return (await caches.match(request)) ?? fetch(request);
}
