import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';
import { beforeStart } from './before/plugin.ts';
import { noCircles } from './build/noCircles.ts';

/** All that the program is made of lies in the browser after one visit; the answers of the server never do. */
const offline = VitePWA({
  // A new version is offered, never forced: an edit under way is not torn off.
  registerType: 'prompt',
  injectRegister: false,
  includeAssets: ['icon.svg'],
  manifest: {
    id: '/',
    name: 'Necessaire',
    short_name: 'Necessaire',
    description: 'From a measured motorcycle to the smallest kit that gets everyone home.',
    lang: 'en',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    orientation: 'any',
    background_color: '#ECE5D6',
    theme_color: '#23261F',
    icons: [
      { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'Road: fix it out there', short_name: 'Road', url: '/road' },
      { name: 'Checks', short_name: 'Checks', url: '/prove?tab=checks' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
    // The solver is larger than what is usually kept.
    maximumFileSizeToCacheInBytes: 12 * 1024 * 1024,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//u, /^\/health/u],
    cleanupOutdatedCaches: true,
    // Pages of before keep their version until they are told to change.
    skipWaiting: false,
    clientsClaim: true,
  },
});

export default defineConfig({
  // The tools of developers stay outside of what riders load.
  define: { __VUE_PROD_DEVTOOLS__: 'false', __BUILD__: JSON.stringify(new Date().toISOString()) },
  plugins: [beforeStart(), vue(), vuetify({ autoImport: true }), noCircles(), offline],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // The solver's loader names a module of Node that it never asks for in a browser.
      onLog: (level, log, handle) => {
        if (!log.message.includes('node:module')) handle(level, log);
      },
      checks: { pluginTimings: false },
      // A text that is shown at one place stands there, without a name of its own.
      optimization: { inlineConst: { mode: 'all', pass: 2 } },
      output: {
        chunkFileNames: (chunk) => `assets/${chunk.name.split('~')[0]}-[hash].js`,
        assetFileNames: (asset) =>
          `assets/${(asset.names[0] ?? 'part').split('~')[0]!.replace(/\.[^.]*$/u, '')}-[hash][extname]`,
        // Few pieces: each costs a slow phone more than the bytes in it. What the first view needs is one, what three entries or more share is another;
        // what two share goes by who shares it.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], priority: 3 },
            { name: 'common', minShareCount: 3, priority: 2 },
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 20_000, priority: 1 },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:7380' } },
});
