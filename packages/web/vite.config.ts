import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

const api = `http://127.0.0.1:${process.env['JASPERWREN_PORT'] ?? 4180}`;

/** The charts are large and no part of a test: they are kept once they were seen, not fetched ahead. */
const charts = '**/assets/AreaChart*';

/**
 * Keeps no more than so many answers (300) and files of charts (30), the oldest go first. The plugin of the library notes every
 * address in a database of its own, which outlives the cache: ids of drives would stay on the device of somebody who has signed
 * out. The function is written into the service worker as it stands here, an arrow as others are: it can use nothing from around it.
 */
const keepLatest = {
  cacheDidUpdate: async ({ cacheName }: { readonly cacheName: string }) => {
    const cache = await caches.open(cacheName);
    const all = await cache.keys();
    const most = cacheName === 'jasperwren-assets' ? 30 : 300;
    await Promise.all(all.slice(0, Math.max(0, all.length - most)).map((one) => cache.delete(one)));
  },
};

/** Says of an answer that it is one that was kept: the pages tell whoever reads them, and from when it is. An arrow as above. */
const sayKept = {
  cachedResponseWillBeUsed: ({ cachedResponse }: { readonly cachedResponse?: Response | null }) => {
    if (!cachedResponse) return Promise.resolve(null);
    const headers = new Headers(cachedResponse.headers);
    headers.set('x-kept', '1');
    const { body, status, statusText } = cachedResponse;
    return Promise.resolve(new Response(body, { status, statusText, headers }));
  },
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    VitePWA({
      // A new version waits until it is asked for: nothing reloads in the middle of a drive.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Jasperwren',
        short_name: 'Jasperwren',
        description: 'Mock tests, marking and readiness for driving instructors',
        start_url: '/',
        display: 'standalone',
        background_color: '#F4EFE4',
        theme_color: '#F4EFE4',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,woff2,svg}'],
        globIgnores: [charts],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/healthz/, /^\/shared\//],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        runtimeCaching: [
          {
            urlPattern: ({ url, request }) =>
              request.method === 'GET' &&
              /^\/api\/(session|accounts|learners|standards|drives|lessons|readiness|sheets|checks|me|roads|routes|road-notes|phrases|shared-routes|call-timing)(\/|$)/.test(
                url.pathname,
              ) &&
              !/\/(news|record|voices|marks\.csv|trace\.gpx|shares|export\.zip|lessons\.ics|figures\.json)$/.test(
                url.pathname,
              ),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'jasperwren-answers',
              networkTimeoutSeconds: 6,
              cacheableResponse: { statuses: [200] },
              plugins: [keepLatest, sayKept],
            },
          },
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/assets/'),
            handler: 'CacheFirst',
            options: { cacheName: 'jasperwren-assets', plugins: [keepLatest] },
          },
        ],
      },
    }),
  ],
  build: {
    manifest: true,
    sourcemap: false,
    chunkSizeWarningLimit: 1200,
    // Every browser the application runs in preloads modules itself.
    modulePreload: {
      polyfill: false,
      // The lists of what each page needs weigh more than they save: the service worker has it all. Today comes first.
      resolveDependencies: (file, needed, { hostType }) =>
        hostType === 'html' || file.includes('TodayPage') ? needed : needed.filter((name) => name.endsWith('.css')),
    },
  },
  server: { port: 5173, proxy: { '/api': { target: api } } },
});
