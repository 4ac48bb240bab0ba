import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

/** The little of a service worker's own scope that is used here; its full types would clash with the page's. */
interface Scope {
  __WB_MANIFEST: PrecacheEntry[];
  skipWaiting(): Promise<void>;
  clients: { claim(): Promise<void> };
  addEventListener(type: 'activate', listener: (e: { waitUntil(p: Promise<unknown>): void }) => void): void;
  addEventListener(type: 'message', listener: (e: { data: unknown }) => void): void;
}
declare const self: Scope & typeof globalThis;

/** Header of an answer that comes from this device: when it was given. */
const keptHeader = 'x-tambo-kept';
const patienceSeconds = 4;
/** Answers that are files, large, or kept elsewhere. */
const passedOn = /^\/api\/(health|live|door|home|ground|labels\.pdf|backup|export|test)/;

/** The app itself stands on the device; a page is always the same shell. */
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));

/** The last answers, for when the server does not; marked, so that the page can say so. */
registerRoute(
  ({ url, request }) => request.method === 'GET' && url.pathname.startsWith('/api/') && !passedOn.test(url.pathname),
  new NetworkFirst({
    cacheName: 'tambo-answers',
    networkTimeoutSeconds: patienceSeconds,
    plugins: [
      {
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) return undefined;
          const headers = new Headers(cachedResponse.headers);
          headers.set(keptHeader, headers.get('date') ?? 'earlier');
          return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
        },
      },
    ],
  }),
);

// a first visit is looked after at once; a newer version waits until the cook says so
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));
self.addEventListener('message', (e) => {
  if (e.data === 'take over') void self.skipWaiting();
});
