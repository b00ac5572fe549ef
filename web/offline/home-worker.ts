import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: readonly PrecacheEntry[] };

// what the page of a family is made of, and nothing else: written in by the build (family-page.ts)
precacheAndRoute([...self.__WB_MANIFEST]);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/home.html'), { allowlist: [/^\/home$/] }));

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => {
  event.waitUntil(self.clients.claim());
});
