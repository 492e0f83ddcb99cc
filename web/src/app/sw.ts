/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;
/** Put in by the build: every file of the shell with its revision. */
declare const __SHELL__: { url: string; revision: string | null }[];

// The shell loads without a network; what it shows comes from the device's own database, what it writes waits in the outbox.
precacheAndRoute(__SHELL__);
cleanupOutdatedCaches();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/api\//, /^\/(healthz|readyz|metrics)/],
  }),
);
// A photo that has an id never changes.
registerRoute(
  ({ url }) => /^\/api\/photos\/[^/]+\/(thumb|screen)$/.test(url.pathname),
  new CacheFirst({
    cacheName: 'photos',
    plugins: [new ExpirationPlugin({ maxEntries: 300, maxAgeSeconds: 14 * 86_400 })],
  }),
);
void self.skipWaiting();
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
