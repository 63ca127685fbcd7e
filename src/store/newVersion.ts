import { createSlice } from '@reduxjs/toolkit';
import { TAKE_OVER } from '../workers/takeOver.ts';

const slice = createSlice({
  name: 'newVersion',
  initialState: false,
  reducers: { newVersionReady: () => true },
});

export const { newVersionReady } = slice.actions;
export const newVersionReducer = slice.reducer;

/** How often a page that stays open asks whether there is a newer version, ms. */
const ASK_MS = 30 * 60_000;

/** A version that waits until the maker wants it. */
let waiting: ServiceWorker | null = null;

function follow(registration: ServiceWorkerRegistration, ready: () => void): void {
  const look = (): void => {
    // without a controller it is the first one, which takes over by itself
    if (!registration.waiting || !navigator.serviceWorker.controller) return;
    waiting = registration.waiting;
    ready();
  };
  look();
  registration.addEventListener('updatefound', () => {
    registration.installing?.addEventListener('statechange', look);
  });
  setInterval(() => void registration.update().catch(() => undefined), ASK_MS);
}

/**
 * Hold the build in this browser, so that it opens without the server. `ready` is called when a newer one is
 * there: it is taken when the maker wants it, and until then this page goes on with its own. Where the
 * browser has no service workers, nothing happens.
 */
export function holdBuild(ready: () => void): void {
  const workers = (navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker;
  if (!workers) return;
  const before = workers.controller;
  workers.addEventListener('controllerchange', () => {
    // another tab took the new version: this one may go on, and be reloaded when the maker likes
    if (before) ready();
  });
  void workers.register('/sw.js', { updateViaCache: 'none' }).then(
    (registration: ServiceWorkerRegistration | undefined) => {
      if (registration) follow(registration, ready);
    },
    // refused by the browser, or answered with nothing where they are blocked: then it needs the server
    () => undefined,
  );
  // a part of this build is no longer to be had
  addEventListener('vite:preloadError', ready);
}

/** Go on with the new version: it takes over, and the page is loaded anew. */
export function takeNewVersion(): void {
  if (!waiting) {
    location.reload();
    return;
  }
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    location.reload();
  });
  waiting.postMessage(TAKE_OVER);
}
