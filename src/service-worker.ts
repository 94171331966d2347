/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import type { Found } from './contract/api.ts';
import { FOR_HEADER, forgets, NOBODY, QUEUE_DB, QUEUE_STORE } from './contract/copies.ts';

// Keeps what was loaded for when the network is away, and shows what is pushed. It decides nothing about growing.

const worker = self as unknown as ServiceWorkerGlobalScope;

/** The application itself, of this version; the solver, which weighs more than all of it, comes when it is asked for. */
const ASSETS = `assets-${version}`;
/** Pages as they were last seen, of whoever is signed in. */
const PAGES = 'pages';
/** Views that are kept ready, whether they were opened or not. */
const VIEWS = ['/round', '/bench', '/shelf'];
/** What is shown in place of a page that is not stored. */
const OFFLINE = '/offline';
/** A network that is slower than this is as good as none at a shelf. */
const PATIENCE_MS = 5000;
/** When a page was stored, by this device's clock: what is shown of it later knows how old it is. */
const STORED = 'x-brote-stored';

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(ASSETS)
      .then((cache) => cache.addAll([...build, ...files]))
      .then(keepOfflinePage)
      .then(() => worker.skipWaiting())
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== ASSETS) await caches.delete(name);
      await worker.clients.claim();
    })()
  );
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== location.origin) return;
  // Whoever signs out, or another who signs in, leaves nothing behind.
  if (request.method !== 'GET') {
    const what = forgets(url);
    if (what) event.respondWith(sendAndForget(request, what));
    return;
  }
  if (url.pathname.startsWith('/_app/immutable/') || files.includes(url.pathname)) {
    event.respondWith(fromAssets(request));
    return;
  }
  if (isCachedPage(url) && (request.mode === 'navigate' || isData(url)))
    event.respondWith(fromNetwork(event, url));
});

/** Counts changes of who uses this device, so that nothing one person asked for is kept for the next. */
let turn = 0;

/** Changes to the copies run one after the other, so that nothing is stored after it was to be forgotten. */
let last: Promise<unknown> = Promise.resolve();
function oneByOne<T>(write: () => Promise<T>): Promise<T> {
  const mine = last.then(write);
  last = mine.catch(() => {});
  return mine;
}

/** Forgets the copies of pages; and what was touched and not sent, where whoever touched it goes. */
function forget(what: 'copies' | 'all'): Promise<void> {
  turn += 1;
  return oneByOne(async () => {
    await caches.delete(PAGES);
    if (what === 'all') await emptyQueue();
  });
}

/** Sends what changes who is signed in. Pages asked for before its answer came may be the earlier person's: forgotten too. */
async function sendAndForget(request: Request, what: 'copies' | 'all'): Promise<Response> {
  const forgotten = forget(what);
  try {
    return await fetch(request);
  } finally {
    await forgotten;
    await forget(what);
  }
}

function emptyQueue(): Promise<void> {
  return new Promise((resolve) => {
    const opening = indexedDB.open(QUEUE_DB);
    opening.onerror = () => resolve();
    opening.onsuccess = () => {
      const db = opening.result;
      const end = () => {
        db.close();
        resolve();
      };
      if (!db.objectStoreNames.contains(QUEUE_STORE)) return end();
      const tx = db.transaction(QUEUE_STORE, 'readwrite');
      tx.objectStore(QUEUE_STORE).clear();
      tx.oncomplete = tx.onerror = tx.onabort = end;
    };
  });
}

/** Under which key the copies say whose they are. */
const OWNER_KEY = '/owner';

const isData = (url: URL): boolean => url.pathname.endsWith('/__data.json');
const viewOf = (url: URL): string => url.pathname.replace(/\/__data\.json$/, '') || '/';
/** What is walked with wet hands; settings and forms are not shown from before. */
const isCachedPage = (url: URL): boolean =>
  VIEWS.includes(viewOf(url)) ||
  /^\/tray\/[\w-]+(\/(look|harvest))?$/.test(viewOf(url)) ||
  viewOf(url) === '/reminders';

async function fromAssets(request: Request): Promise<Response> {
  const cached = await caches.match(request, { ignoreSearch: true });
  return cached ?? fetch(request);
}

/** The network's answer where one comes in time, otherwise what was kept. */
async function fromNetwork(event: FetchEvent, url: URL): Promise<Response> {
  const { request } = event;
  const asked = turn;
  const going = fetch(request).then((answer) => {
    event.waitUntil(keep(url, answer.clone(), asked));
    return answer;
  });
  const cached = await caches.open(PAGES).then((pages) => pages.match(keyOf(url), { ignoreVary: true }));
  if (!cached) return going.catch(() => (isData(url) ? Response.error() : notCached()));
  const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), PATIENCE_MS));
  const answer = await Promise.race([going, late]).catch(() => null);
  return answer ?? marked(cached, isData(url));
}

/** Data of a view is kept whole, whichever part of it was asked for. */
const keyOf = (url: URL): string => (isData(url) ? `${viewOf(url)}/__data.json` : url.pathname);

/** @param asked the turn in which it was asked for */
async function keep(url: URL, answer: Response, asked: number): Promise<void> {
  if (answer.redirected && new URL(answer.url).pathname === '/sign-in') return forget('copies');
  const owner = answer.headers.get(FOR_HEADER);
  const type = answer.headers.get('content-type') ?? '';
  // Part of a view's data is no use by itself.
  const isWhole = !(isData(url) && url.searchParams.get('x-sveltekit-invalidated')?.includes('0'));
  const isPage = answer.status === 200 && /html|json/.test(type) && isWhole;
  const text = isPage ? await answer.text() : '';
  await oneByOne(async () => {
    if (asked !== turn || owner === null || !(await isFor(owner)) || !isPage) return;
    const headers = new Headers(answer.headers);
    for (const name of ['content-encoding', 'content-length', 'set-cookie']) headers.delete(name);
    headers.set(STORED, String(Date.now()));
    const pages = await caches.open(PAGES);
    await pages.put(keyOf(url), new Response(text, { status: 200, headers }));
  });
}

/** Makes the copies those of one owner: another's are forgotten first. @returns whether there is anybody to keep them for */
async function isFor(owner: string): Promise<boolean> {
  const known = await (await caches.open(PAGES)).match(OWNER_KEY).then((cached) => cached?.text());
  if (known !== undefined && known !== owner) {
    turn += 1;
    await caches.delete(PAGES);
  }
  if (owner === NOBODY) return false;
  if (known !== owner) await (await caches.open(PAGES)).put(OWNER_KEY, new Response(owner));
  return true;
}

/** A page that was kept says since when, so that it counts on from there and not from now. */
async function marked(cached: Response, data: boolean): Promise<Response> {
  if (data) return cached;
  const text = await cached.text();
  return new Response(text.replace('<html', `<html data-kept-at="${cached.headers.get(STORED) ?? ''}"`), {
    headers: cached.headers
  });
}

/**
 * Stores what is shown in place of a page that is not stored. It is nobody's: it stays with the application when the pages are
 * forgotten, and comes again when they are made ready, as its reader may have chosen another language.
 */
async function keepOfflinePage(): Promise<void> {
  try {
    const answer = await fetch(OFFLINE);
    if (!answer.ok) return;
    const headers = { 'content-type': 'text/html; charset=utf-8' };
    await (await caches.open(ASSETS)).put(OFFLINE, new Response(await answer.text(), { headers }));
  } catch {
    // The next time that pages are made ready.
  }
}

/** Says that a page is not stored here, or nothing where not even that is. */
async function notCached(): Promise<Response> {
  const page = await (await caches.open(ASSETS)).match(OFFLINE);
  return page ? new Response(page.body, { status: 503, headers: page.headers }) : Response.error();
}

/** What a page asks for once it is open: the views of the shelf and its trays made ready for when the network is away. */
worker.addEventListener('message', (event) => {
  if (event.data === 'make-ready') event.waitUntil(makeReady());
});

async function makeReady(): Promise<void> {
  await keepOfflinePage();
  try {
    for (const view of VIEWS) await makeViewReady(view);
    for (const id of await traysUnderWay())
      for (const view of [`/tray/${id}`, `/tray/${id}/look`])
        if (!(await isFresh(view))) await makeViewReady(view);
  } catch {
    // Without a network there is nothing more to make ready.
  }
}

/** Keeps a view as a page, and as what a page that is open already asks for. */
async function makeViewReady(view: string): Promise<void> {
  for (const path of [view, `${view}/__data.json`]) {
    const asked = turn;
    const answer = await fetch(path);
    await keep(new URL(path, location.origin), answer, asked);
  }
}

async function traysUnderWay(): Promise<string[]> {
  const answer = await fetch('/api/find');
  return answer.ok ? ((await answer.json()) as Found).trays.map(({ id }) => id) : [];
}

/** A copy of a tray's page that is younger is not fetched again only to be ready: it comes with every look at it. */
const FRESH_MS = 6 * 3_600_000;

async function isFresh(view: string): Promise<boolean> {
  const cached = await (await caches.open(PAGES)).match(`${view}/__data.json`, { ignoreVary: true });
  return cached !== undefined && Date.now() - Number(cached.headers.get(STORED)) < FRESH_MS;
}

worker.addEventListener('push', (event) => {
  const { id, title, body, path } = (event.data?.json() ?? {}) as Record<string, string>;
  event.waitUntil(
    worker.registration.showNotification(title ?? 'Brote', {
      body: body ?? '',
      // One that comes twice takes its own place.
      tag: id ?? '',
      icon: '/icon-192.png',
      badge: '/icon-192.png',
      data: { path: path ?? '/round' }
    })
  );
});

worker.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path } = event.notification.data as { path: string };
  event.waitUntil(
    (async () => {
      const [open] = await worker.clients.matchAll({ type: 'window' });
      if (!open) return worker.clients.openWindow(path);
      await open.focus();
      return open.navigate(path);
    })()
  );
});
