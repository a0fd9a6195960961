// Keeps the bench, the page of a making, and what they are dressed in, for when the workshop cannot be reached.
// Any other page says so then.
const store = 'hebra-bench-2';
const away = '/away.html';
const kept = [/^\/$/, /^\/pieces\/[^/]+\/make$/, /^\/makings\/[^/]+\/steps\/\d+\.svg$/, /^\/seen\//,
    /^\/build\//];
const isKept = (url) => url.origin === location.origin && kept.some((one) => one.test(url.pathname));

/** From the workshop, and kept; else as it was last seen. */
async function fresh(request) {
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) {
            await (await caches.open(store)).put(request, answer.clone());
        }

        return answer;
    } catch {
        const last = await caches.match(request, { ignoreVary: true });

        return last ?? (request.mode === 'navigate' ? caches.match(away) : Response.error());
    }
}

self.addEventListener('install', (event) => {
    self.skipWaiting();
    event.waitUntil(caches.open(store).then((one) => one.add(away)));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
// The page that is open when the worker comes, and what it is dressed in.
self.addEventListener('message', (event) => {
    const asked = event.data.filter((address) => isKept(new URL(address, location.origin)));
    // Each by itself: what is refused or cut off loses nothing else.
    event.waitUntil(caches.open(store).then((one) => Promise.allSettled(asked.map((address) => one.add(address)))));
});
self.addEventListener('fetch', (event) => {
    const { request } = event;
    if (request.method !== 'GET' || request.headers.has('HX-Request')) {
        return;
    }
    if (isKept(new URL(request.url))) {
        event.respondWith(fresh(request));
    } else if (request.mode === 'navigate') {
        event.respondWith(fetch(request).catch(() => caches.match(away)));
    }
});
