/// <reference lib="webworker" />
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;

/** The application itself: every file of the build, so that a step never opened opens without signal too. */
const BUILD = 'apron-build';
/** What the server last said; emptied by the page when somebody signs in or out. */
const SAID = 'apron-said';
/** The one page that the application is, the same for everybody and at every address. */
const SHELL = '/sign-in';
/** So long the network may take before what was said last is shown. */
const PATIENCE_S = 4;
/** An answer takes as long as there is to reckon: only then is what was said before shown for it, and marked. */
const RECKONING_S = 30;

interface Manifest {
  [source: string]: { file: string; css?: string[]; assets?: string[] };
}

async function filesOfBuild(): Promise<string[]> {
  const answer = await fetch('/build/manifest.json', { cache: 'no-store' });
  if (!answer.ok) throw new Error(`no manifest (${answer.status})`);
  const manifest = (await answer.json()) as Manifest;
  const files = Object.values(manifest).flatMap((e) => [e.file, ...(e.css ?? []), ...(e.assets ?? [])]);
  return [...new Set(files)].filter((f) => f !== 'sw.js').map((f) => `/build/${f}`);
}

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(BUILD);
      await cache.addAll([...(await filesOfBuild()), SHELL]);
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      await self.clients.claim();
      const cache = await caches.open(BUILD);
      const kept = new Set([...(await filesOfBuild().catch(() => [])), SHELL]);
      if (kept.size < 2) return;
      for (const request of await cache.keys()) {
        if (!kept.has(new URL(request.url).pathname)) await cache.delete(request);
      }
    })(),
  );
});

registerRoute(({ url }) => url.pathname.startsWith('/build/'), new CacheFirst({ cacheName: BUILD }));

// A photograph never changes: its address is its digest.
registerRoute(
  ({ url, request }) => request.method === 'GET' && /^\/api\/projects\/[^/]+\/photographs\//.test(url.pathname),
  new CacheFirst({ cacheName: SAID }),
);

registerRoute(
  ({ url, request }) => request.method === 'GET' && url.pathname.startsWith('/api/') && !isFile(url.pathname),
  new NetworkFirst({ cacheName: SAID, networkTimeoutSeconds: RECKONING_S, plugins: [{ cachedResponseWillBeUsed }] }),
);

/** An answer of before says so, and of when it is. */
async function cachedResponseWillBeUsed({
  cachedResponse,
}: {
  cachedResponse?: Response | undefined;
}): Promise<Response | null> {
  if (!cachedResponse) return null;
  const headers = new Headers(cachedResponse.headers);
  headers.set('x-apron-kept', headers.get('date') ?? 'unknown');
  return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
}

/** What is taken out of the house is asked of the server each time, and kept nowhere. */
function isFile(path: string): boolean {
  return /\/(file|export\.(json|zip)|[a-z]+\.(csv|ics|bcf))$/.test(path);
}

registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      const network = fetch(request);
      const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), PATIENCE_S * 1000));
      const shell = async () => (await caches.open(BUILD)).match(SHELL);
      try {
        return (await Promise.race([network, late])) ?? (await shell()) ?? (await network);
      } catch (error) {
        const kept = await shell();
        if (kept) return kept;
        throw error;
      }
    },
    { denylist: [/^\/api\//, /^\/build\//, /^\/print\//, /^\/up$/] },
  ),
);
