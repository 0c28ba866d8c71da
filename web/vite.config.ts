import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
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
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:7380' } },
});
