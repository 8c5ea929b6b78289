/// <reference lib="webworker" />
import { registerRoute, setDefaultHandler } from 'workbox-routing';
import { CacheFirst, NetworkFirst, NetworkOnly } from 'workbox-strategies';

/**
 * Keeps the pages and what was last read of each rig on a phone of the crew, so that a reload without the network shows them. What is written goes
 * its own way: into the log on the device, and to the server when it is there.
 */
declare const self: ServiceWorkerGlobalScope;

const files = 'vanto-files';
const patienceS = 3;

self.addEventListener('install', (event) => {
  event.waitUntil(
    fetch('/files.json')
      .then((r) => r.json() as Promise<string[]>)
      .then(async (all) => {
        const cache = await caches.open(files);
        await cache.addAll(['/index.html', ...all]);
        const there = new Set(['/index.html', ...all]);
        for (const kept of await cache.keys()) if (!there.has(new URL(kept.url).pathname)) await cache.delete(kept);
      })
      .then(() => self.skipWaiting()),
  );
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

setDefaultHandler(new NetworkOnly());
const page = new NetworkFirst({ cacheName: files, networkTimeoutSeconds: patienceS });
registerRoute(
  ({ request }) => request.mode === 'navigate',
  (given) => page.handle({ ...given, request: new Request('/index.html') }),
);
registerRoute(({ url }) => url.pathname.startsWith('/assets/'), new CacheFirst({ cacheName: files }));
registerRoute(({ url }) => /^\/api\/rigs\/[^/]+\/install\/photos\//.test(url.pathname), new CacheFirst({ cacheName: 'vanto-photos' }));
registerRoute(
  ({ url }) => /^\/api\/(rigs(\/[^/]+)?|crew\/me)$/.test(url.pathname),
  new NetworkFirst({ cacheName: 'vanto-rigs', networkTimeoutSeconds: patienceS }),
);
