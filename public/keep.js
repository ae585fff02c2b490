// Keeps an output's page and everything it loads, so that the window can start while the server is away. The server is
// always asked first: what is kept is used only when it does not answer.
const STORE = "vesko-kept-pages";
/** Files of earlier builds go, the oldest first. */
const MOST_KEPT = 400;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin || request.headers.has("range")) return;
  if (pathname.startsWith("/still/")) return;
  event.respondWith(askFirst(request, event));
});

// What a page had loaded before this worker was there.
self.addEventListener("message", (event) => {
  if (!Array.isArray(event.data?.keep)) return;
  const ours = event.data.keep.filter((address) => {
    const { origin, pathname } = new URL(address, self.location.origin);
    return origin === self.location.origin && !pathname.startsWith("/still/");
  });
  event.waitUntil(
    caches.open(STORE).then((store) => Promise.allSettled(ours.map((address) => store.add(address)))),
  );
});

async function askFirst(request, event) {
  const store = await caches.open(STORE);
  let answer;
  try {
    answer = await fetch(request);
  } catch (error) {
    const kept = await store.match(request, { ignoreSearch: true });
    if (kept) return kept;
    throw error;
  }
  if (answer.ok && answer.status === 200) {
    const copy = answer.clone();
    event.waitUntil(
      (async () => {
        await store.put(request, copy);
        const keys = await store.keys();
        for (const old of keys.slice(0, Math.max(0, keys.length - MOST_KEPT))) await store.delete(old);
      })(),
    );
  }
  return answer;
}
