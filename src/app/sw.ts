/// <reference lib="webworker" />
import { Serwist, type PrecacheEntry } from 'serwist';

declare const self: ServiceWorkerGlobalScope & { __SW_MANIFEST: (PrecacheEntry | string)[] };

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  // Bicycle and stage stand in the address and do not change the page.
  precacheOptions: { cleanupOutdatedCaches: true, ignoreURLParametersMatching: [/.*/] },
  // A new version waits until the person takes it, so that nothing that is being typed is lost.
  skipWaiting: false,
  clientsClaim: true,
  disableDevLogs: true,
  runtimeCaching: [],
});

/** A kept answer made anew: as it was kept it would have lost what stands behind the `#` of a worker's address. */
async function asNew(request: Request): Promise<Response> {
  const kept = (await serwist.matchPrecache(new URL(request.url).pathname)) ?? (await fetch(request));
  return new Response(kept.body, { status: kept.status, headers: kept.headers });
}

/** The server's answer to an address that is no page of ours, and without it our own page that says so. */
async function unknownPage(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return (await serwist.matchPrecache('/missing')) ?? Response.error();
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.mode === 'navigate' && !serwist.getPrecacheKeyForUrl(new URL(request.url).pathname)) {
    event.stopImmediatePropagation();
    event.respondWith(unknownPage(request));
    return;
  }
  if (request.destination === 'worker') {
    event.stopImmediatePropagation();
    event.respondWith(asNew(request));
  }
  // The framework asks for a page's data at the page's own address; the kept page is no answer to that.
  if (request.headers.has('rsc')) event.stopImmediatePropagation();
});
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'TAKE_OVER') void self.skipWaiting();
});
serwist.addEventListeners();
