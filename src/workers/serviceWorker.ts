import { cacheNames } from 'workbox-core';
import { createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { TAKE_OVER } from './takeOver.ts';

declare const self: ServiceWorkerGlobalScope;
/** put in by the build */
declare const BUILT_FILES: (PrecacheEntry | string)[];

/** Files of builds before this one, for tabs that still run them. */
const OLDER = 'drip-line-older';

/** So many files of older builds are held: those of three or four. */
const MOST_OLDER = 500;

/**
 * Before the files of the build before are let go: a tab that runs it may ask for one it has not loaded yet.
 */
async function holdOlder(): Promise<void> {
  const [now, older] = await Promise.all([caches.open(cacheNames.precache), caches.open(OLDER)]);
  for (const request of await now.keys()) {
    const answer = new URL(request.url).pathname.startsWith('/assets/') && (await now.match(request));
    if (answer) await older.put(request, answer);
  }
  const held = await older.keys();
  for (const request of held.slice(0, Math.max(0, held.length - MOST_OLDER))) await older.delete(request);
}

self.addEventListener('install', (event) => {
  event.waitUntil(holdOlder());
});

self.addEventListener('activate', (event) => {
  // also the page that was opened before this was here
  event.waitUntil(self.clients.claim());
});

// the maker says when: until then every tab goes on with the build it began with
self.addEventListener('message', (event) => {
  if (event.data === TAKE_OVER) void self.skipWaiting();
});

precacheAndRoute(BUILT_FILES);

registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html')));

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'),
  async ({ request }) => {
    const held = await (await caches.open(OLDER)).match(request, { ignoreVary: true });
    return held ?? fetch(request);
  },
);
