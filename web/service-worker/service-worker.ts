import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { createHandlerBoundToURL, cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { LAST_SEEN_CACHE, asLastSeen, isKept, isWorthKeeping, keptUnder } from './last-seen';
import { LEAVE } from './messages';

declare const self: ServiceWorkerGlobalScope;

/**
 * Opens the application without a network, on what was last seen of it. An update waits until somebody asks for
 * it.
 */
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
clientsClaim();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /^\/shared\//] }),
);

const MAX_KEPT = 300;
const lastSeen = new NetworkFirst({
  cacheName: LAST_SEEN_CACHE,
  plugins: [
    {
      cacheKeyWillBeUsed: ({ request }) => Promise.resolve(keptUnder(new URL(request.url))),
      cacheWillUpdate: ({ response }) => Promise.resolve(isWorthKeeping(response) ? response : null),
      cachedResponseWillBeUsed: ({ cachedResponse }) =>
        Promise.resolve(cachedResponse ? asLastSeen(cachedResponse) : null),
    },
    new ExpirationPlugin({ maxEntries: MAX_KEPT, purgeOnQuotaError: true }),
  ],
});
/**
 * A newer worker waits until this one answers nothing, and pages that read all the while would never let it be:
 * once a newer one is taken, what pages read goes to the server without this one. Only for a while: whoever has
 * no network just then has what was last seen again.
 */
const LEAVES_FOR_MS = 20_000;
let leavesUntil = 0;
registerRoute(
  ({ url, sameOrigin }) => Date.now() > leavesUntil && sameOrigin && isKept(url),
  lastSeen,
  'GET',
);

self.addEventListener('message', (event) => {
  const { type } = (event.data ?? {}) as { type?: string };
  if (type === 'SKIP_WAITING') void self.skipWaiting();
  if (type === LEAVE) leavesUntil = Date.now() + LEAVES_FOR_MS;
});
