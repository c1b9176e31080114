import { CacheFirst, ExpirationPlugin, NetworkOnly, Serwist, type SerwistPlugin } from 'serwist';

declare const self: ServiceWorkerGlobalScope;
/** Put in when it is built: the build, and every part of the page that the build has. */
declare const BUILD: { id: string; parts: string[] };

/** One page stands for every view, whatever set is open: what is stored is in the browser. */
const LIST_SHELL = '/';
const SET_SHELL = '/set/any/design';
/** Asked for with marks behind them, and few enough to come anew with every version. */
const SIGNS = ['/icon.svg', '/manifest.webmanifest'];
const PARTS = 'merry-lacquer-parts';
/** Parts of a version that nobody opens any more go in time. */
const PARTS_DAYS = 60;

/** What a worker is told stands behind `#` or `?` in its address; its script is the same. */
const oneWorker: SerwistPlugin = {
  cacheKeyWillBeUsed: async ({ request }) =>
    request.destination === 'worker' ? request.url.replace(/[?#].*$/, '') : request,
};

const fromParts = new CacheFirst({
  cacheName: PARTS,
  plugins: [
    oneWorker,
    new ExpirationPlugin({ maxAgeSeconds: PARTS_DAYS * 24 * 3600, maxAgeFrom: 'last-used' }),
  ],
});

const serwist: Serwist = new Serwist({
  precacheEntries: [LIST_SHELL, SET_SHELL, ...SIGNS].map((url) => ({ url, revision: BUILD.id })),
  // A new version waits until the artist takes it up, or has closed every page of the old one.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      // Named by their content, so never stale; those of the version before stay for the pages that still need them.
      matcher: ({ url, sameOrigin }) =>
        sameOrigin && (url.pathname.startsWith('/_next/static/') || url.pathname.startsWith('/icons/')),
      handler: async (options) => {
        const answer: Response = await fromParts.handle(options);
        if (options.request.destination !== 'worker') return answer;
        // An answer that was fetched or kept has an address without what the worker is told, and the worker would
        // take that for its own; one made here has none, and the worker keeps the address it was asked by.
        const { status, statusText, headers } = answer;
        return new Response(answer.body, { status, statusText, headers });
      },
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin &&
        request.mode === 'navigate' &&
        /^\/(shelf|clients(\/[^/]+)?|set\/[^/]+(\/[a-z]*)?)?$/.test(url.pathname),
      handler: async ({ url }) => {
        const shell = url.pathname === '/' ? LIST_SHELL : SET_SHELL;
        return (await serwist.matchPrecache(shell)) ?? fetch(shell);
      },
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && SIGNS.includes(url.pathname),
      handler: async ({ url }) => (await serwist.matchPrecache(url.pathname)) ?? fetch(url),
    },
    { matcher: ({ sameOrigin }) => sameOrigin, handler: new NetworkOnly() },
  ],
});

serwist.addEventListeners();

self.addEventListener('install', (event) => event.waitUntil(bringParts()));
self.addEventListener('message', (event) => {
  if (event.data === 'take-up') void self.skipWaiting();
});

/** Every part of this version, so that each view opens offline after the first visit. */
async function bringParts(): Promise<void> {
  const cache = await caches.open(PARTS);
  const missing: string[] = [];
  for (const part of BUILD.parts) if (!(await cache.match(part))) missing.push(part);
  await cache.addAll(missing);
}
