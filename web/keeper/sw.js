// Keeps the application itself, so that its page opens with no server; nothing of what people do goes through it. Written into the build with
// the names of its files.
const VERSION = "__VERSION__";
const FILES = __FILES__;
const CACHE = `vanemend-${VERSION}`;
/** Longer than a page takes from a server that is there. */
const PATIENCE_MS = 2500;

self.addEventListener("install", (e) => {
  e.waitUntil(caches.open(CACHE).then((c) => c.addAll(["/", ...FILES].map((f) => new Request(f, { cache: "no-cache" })))));
});

self.addEventListener("activate", (e) => {
  e.waitUntil(
    caches
      .keys()
      .then((all) => Promise.all(all.filter((k) => k.startsWith("vanemend-") && k !== CACHE).map((k) => caches.delete(k))))
      .then(() => self.clients.claim()),
  );
});

// A new version waits until a page says that the moment is quiet.
self.addEventListener("message", (e) => {
  if (e.data === "take over") void self.skipWaiting();
});

/** The page from the server, or the kept one where it does not come in time. */
async function page(request) {
  const late = new AbortController();
  const timer = setTimeout(() => late.abort(), PATIENCE_MS);
  try {
    return await fetch(request, { signal: late.signal });
  } catch {
    return (await caches.match("/", { cacheName: CACHE })) ?? Response.error();
  } finally {
    clearTimeout(timer);
  }
}

self.addEventListener("fetch", (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (e.request.mode === "navigate" && !url.pathname.startsWith("/api/")) e.respondWith(page(e.request));
  else if (FILES.includes(url.pathname))
    e.respondWith(caches.match(url.pathname, { cacheName: CACHE }).then((kept) => kept ?? fetch(e.request)));
});
