import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { freshOrKept, keptFirst, readsOfAClass } from './kept.ts';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: readonly PrecacheEntry[] };

// all that the interface is made of: written in by the build (offline.ts)
precacheAndRoute([...self.__WB_MANIFEST]);
cleanupOutdatedCaches();

const page = createHandlerBoundToURL('/index.html');
/** A server that takes longer is not waited for: the page that is kept is the same. */
const mostMilliseconds = 3000;

registerRoute(
  new NavigationRoute(
    async (options) => {
      try {
        const answer = await fetch(options.request, { signal: AbortSignal.timeout(mostMilliseconds) });
        if (answer.status < 500) return answer;
      } catch {
        // no answer: below
      }
      return page(options);
    },
    { denylist: [/^\/api\//, /^\/remote$/, /^\/home$/] },
  ),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && readsOfAClass.test(url.pathname) && url.search === '',
  ({ request }) => freshOrKept(request),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && /^\/api\/voice\/clips\/\w+$/.test(url.pathname),
  ({ request }) => keptFirst(request),
);

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => {
  event.waitUntil(self.clients.claim());
});
