/**
 * Keeps the application on the device: its code, its fonts, and one page that shows what the device keeps. Pages come from
 * the server as long as it answers; where it does not, or says that it cannot, the page of the device stands in for each of
 * them. Data is none of its business: that is in the device's own store.
 */
declare const self: ServiceWorkerGlobalScope;
/** The build that this worker belongs to, and every file of it; put in by scripts/build-service-worker.mjs. */
declare const OHMMETER_BUILD: string;
declare const OHMMETER_FILES: readonly string[];

const prefix = 'ohmmeter-';
const cacheName = `${prefix}${OHMMETER_BUILD}`;
const devicePage = '/from-device';

/** So long a page is waited for; where the last one did not come, not so long. */
const patienceMilliseconds = 5000;
const shortPatienceMilliseconds = 1200;
const awayMilliseconds = 30_000;
let awayUntil = 0;

self.addEventListener('install', (event) => {
  routeFiles(event as Partial<RoutedInstall>);
  event.waitUntil(fill().then(() => self.skipWaiting()));
});

/** What a browser has that gives files from a cache without asking this worker for each. */
interface RoutedInstall {
  addRoutes(rules: readonly object[]): Promise<void>;
}

/** A thread's first file is answered by this worker, see `fileOf`. */
const isThread = (file: string): boolean => file.includes('turbopack-worker');

/**
 * The files of this build come straight out of its cache, where the browser can do that: a page has some twenty, and on a
 * slow phone each is felt. Those of an earlier build, of a page that is still open, are looked for by the worker.
 */
function routeFiles(event: Partial<RoutedInstall>): void {
  const files = OHMMETER_FILES.filter(
    (file) => file.startsWith('/_next/static/') && !isThread(file),
  );
  const escaped = (file: string) => file.replace(/[{}()*+?:\\]/g, '\\$&');
  event
    .addRoutes?.([
      {
        condition: { or: files.map((file) => ({ urlPattern: { pathname: escaped(file) } })) },
        source: { cacheName },
      },
    ])
    // Without it everything goes by the worker, as in a browser that has no such thing.
    .catch(() => undefined);
}

/** Takes every file of this build in, those that an earlier build has from there. */
async function fill(): Promise<void> {
  const cache = await caches.open(cacheName);
  await cache.add(new Request(devicePage, { cache: 'reload' }));
  await Promise.all(
    OHMMETER_FILES.map(async (file) => {
      const had = await caches.match(file);
      if (had) await cache.put(file, had);
      else await cache.add(file);
    }),
  );
}

self.addEventListener('activate', (event) => {
  event.waitUntil(Promise.all([tidy().then(() => self.clients.claim()), askAheadOfStart()]));
});

/** A browser ends this worker after half a minute of rest: the page is asked for while it starts again, not after. */
const askAheadOfStart = async (): Promise<void> =>
  // A browser that has no such thing starts the worker first.
  self.registration.navigationPreload?.enable().catch(() => undefined);

/** A page of the build before may still be open and ask for more of its code: one earlier build is kept. */
async function tidy(): Promise<void> {
  const names = (await caches.keys()).filter((each) => each.startsWith(prefix));
  const old = names.filter((each) => each !== cacheName);
  await Promise.all(old.slice(0, -1).map((each) => caches.delete(each)));
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (pathname.startsWith('/_next/static/') || pathname === '/icon.svg') {
    event.respondWith(fileOf(request));
  } else if (request.mode === 'navigate') {
    const asked = askedFor(event);
    // What is handed out is the server's alone; it is answered here so that it is not asked for twice.
    event.respondWith(pathname.startsWith('/api/') ? asked : pageOf(asked));
  } else if (request.headers.has('rsc')) {
    // Without an answer the router asks for the page whole, and that is answered above.
    event.respondWith(inTime(fetch(request)).catch(() => Response.error()));
  }
});

/** A page has reached the server by itself: the next one is waited for as usual. */
self.addEventListener('message', ({ data }) => {
  if (data === 'server-answers') awayUntil = 0;
});

/** A file of a build never changes under its name. */
async function fileOf(request: Request): Promise<Response> {
  const kept = await caches.match(request.url, { ignoreVary: true, ignoreSearch: true });
  if (!kept) return fetch(request);
  // A thread reads its settings from its own address, which is that of the answer where that has one: this one has none.
  return request.destination === 'worker'
    ? new Response(kept.body, { headers: kept.headers })
    : kept;
}

/** What the browser has asked the server for by itself, or is asked for now. */
async function askedFor(event: FetchEvent): Promise<Response> {
  const ahead = (await event.preloadResponse) as Response | undefined;
  return ahead ?? fetch(event.request);
}

async function pageOf(asked: Promise<Response>): Promise<Response> {
  try {
    const response = await inTime(asked);
    if (response.status < 500) return response;
    return (await ownPage()) ?? response;
  } catch {
    return (await ownPage()) ?? Response.error();
  }
}

const ownPage = (): Promise<Response | undefined> =>
  caches.open(cacheName).then((cache) => cache.match(devicePage, { ignoreVary: true }));

/** @throws where the server does not answer in time. */
async function inTime(asked: Promise<Response>): Promise<Response> {
  const patience = Date.now() < awayUntil ? shortPatienceMilliseconds : patienceMilliseconds;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('no answer')), patience);
  });
  try {
    const response = await Promise.race([asked, tooLong]);
    awayUntil = 0;
    return response;
  } catch (error) {
    // A page that was left gives up what it asked for: that says nothing of the server.
    const isGivenUp = error instanceof DOMException && error.name === 'AbortError';
    if (!isGivenUp) awayUntil = Date.now() + awayMilliseconds;
    throw error;
  } finally {
    clearTimeout(timer);
  }
}

export {};
