// Keeps the application and the last answers of the basin's own addresses on this device, so that a wash day under way
// opens without the server. What the tester taps is kept elsewhere (web/offline/kept.ts); nothing is ever sent from here.
const CACHE = 'sabor offline 2';
// Every page is this one, and it is led nowhere else: an answer that was led on cannot stand for a page. A phone first comes
// as a stranger, whom all others lead to where one signs in.
const PAGES = '/sign-in';
// A wash day itself is kept by the page (web/offline/known-day.ts), which knows which answer is the newer one.
const READ = /^\/api\/(trials|wearers|shelf|settings|today|looks|own)(\/|$)/;

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(CACHE);
      const built = await fetch('/built.json').then((answer) => (answer.ok ? answer.json() : {}));
      const files = new Set();
      for (const { file, css = [], assets = [] } of Object.values(built))
        for (const one of [file, ...css, ...assets]) files.add(`/${one}`);
      await cache.addAll([PAGES, ...files]);
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

const put = async (key, answer) => {
  if (answer.ok) await (await caches.open(CACHE)).put(key, answer.clone());
  return answer;
};

/** The server's answer; what was kept of it where there is none. */
async function serverFirst(request, key) {
  try {
    return await put(key, await fetch(request));
  } catch (error) {
    const kept = await caches.match(key);
    if (!kept) throw error;
    // The page says that it is old.
    const headers = new Headers(kept.headers);
    headers.set('Sabor-Kept', kept.headers.get('Date') ?? 'once');
    return new Response(kept.body, { status: kept.status, headers });
  }
}

/** A page as somebody opens it: asked for from here it would look like one that is to be kept. */
const asOpened = ({ url, headers }) =>
  new Request(url, {
    headers: { Accept: headers.get('Accept') ?? '*/*', 'Sabor-Opened': 'yes' },
    credentials: 'same-origin',
    cache: 'no-store',
    redirect: 'manual',
  });

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== location.origin) return;
  if (request.mode === 'navigate')
    // The page that was kept at its build is every page: one that was opened names the files of its own screen.
    event.respondWith(
      fetch(asOpened(request)).catch(async (error) => (await caches.match(PAGES)) ?? Promise.reject(error)),
    );
  else if (url.pathname.startsWith('/assets/'))
    event.respondWith(
      caches.match(request).then((kept) => kept ?? fetch(request).then((got) => put(request, got))),
    );
  else if (READ.test(url.pathname) && !url.pathname.endsWith('/stream'))
    event.respondWith(serverFirst(request, request));
});

// A notice that is tapped leads to its page, in a window that is open where there is one.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const to = event.notification.data?.to ?? '/';
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then(async ([open]) => {
      if (!open) return self.clients.openWindow(to);
      await open.focus();
      return open.navigate(to);
    }),
  );
});
