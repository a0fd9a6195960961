// Keeps the page of a making, and what it is dressed in, for when the workshop cannot be reached. Everything else goes its usual way.
const store = 'hebra-bench-1';
const isKept = (url) => url.origin === location.origin && (/^\/pieces\/[^/]+\/make$/.test(url.pathname) || /^\/makings\/[^/]+\/steps\/\d+\.svg$/.test(url.pathname) || url.pathname.startsWith('/build/'));

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
// The page that is open when the worker comes, and what it is dressed in.
self.addEventListener('message', (event) => event.waitUntil(caches.open(store).then((kept) => kept.addAll(event.data.filter((address) => isKept(new URL(address, location.origin)))))));
self.addEventListener('fetch', (event) => {
    const url = new URL(event.request.url);
    if (event.request.method !== 'GET' || !isKept(url) || event.request.headers.has('HX-Request')) {
        return;
    }
    event.respondWith(
        fetch(event.request)
            .then(async (answer) => {
                if (answer.ok && !answer.redirected) {
                    await (await caches.open(store)).put(event.request, answer.clone());
                }

                return answer;
            })
            .catch(async () => (await caches.match(event.request, { ignoreVary: true })) ?? Response.error()),
    );
});
