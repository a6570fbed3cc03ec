// Keeps the application at hand, so that it opens where the hub is off. The build lays the names of its files in here.
const FILES = [];
const CACHE = 'cordialis';
const PAGE = '/';
/** Where the files of the reader of pictures lie; the version is in the name. */
const READER = '/reader/';

self.addEventListener('install', (event) => event.waitUntil(keepAll().then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  // Every place of the application is the same page, which reads the address itself.
  if (request.mode === 'navigate') event.respondWith(fromHub(request, PAGE));
  else if (pathname.startsWith('/api/places')) event.respondWith(fromHub(request, request));
  else if (FILES.includes(pathname)) event.respondWith(fromCache(request));
  // Large, and seldom needed: kept once they have come.
  else if (pathname.startsWith(READER)) event.respondWith(keptOnceFetched(request));
});

/** Files never change under their name; those of builds before are let go. */
async function keepAll() {
  const cache = await caches.open(CACHE);
  const kept = (await cache.keys()).map((request) => new URL(request.url).pathname);
  const missing = FILES.filter((file) => !kept.includes(file));
  await Promise.all(missing.map((file) => cache.add(file)));
  await cache.add(new Request(PAGE, { cache: 'no-store' }));
  const old = kept.filter(
    (path) => path !== PAGE && !path.startsWith('/api/') && !FILES.includes(path) && !path.startsWith(READER),
  );
  await Promise.all(old.map((path) => cache.delete(path)));
}

/** What the hub says now; what it said last where it can't be reached. */
async function fromHub(request, name) {
  const cache = await caches.open(CACHE);
  try {
    const answer = await fetch(request);
    if (answer.ok) await cache.put(name, answer.clone());
    return answer;
  } catch (error) {
    const kept = await cache.match(name);
    if (kept) return kept;
    throw error;
  }
}

async function fromCache(request) {
  const kept = await (await caches.open(CACHE)).match(request, { ignoreVary: true });
  return kept ?? fetch(request);
}

/** From what is kept; else from the hub, and then kept in place of other versions of it. */
async function keptOnceFetched(request) {
  const cache = await caches.open(CACHE);
  const kept = await cache.match(request, { ignoreVary: true });
  if (kept) return kept;
  const answer = await fetch(request);
  if (!answer.ok) return answer;
  await cache.put(request, answer.clone());
  const folder = new URL('.', request.url).pathname;
  const others = (await cache.keys()).filter(({ url }) => {
    const { pathname } = new URL(url);
    return pathname.startsWith(READER) && !pathname.startsWith(folder);
  });
  await Promise.all(others.map((other) => cache.delete(other)));
  return answer;
}
