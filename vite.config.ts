import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { outDir: 'dist/web', emptyOutDir: true, chunkSizeWarningLimit: 900 },
  // Every component here and in the library is written with setup alone.
  define: { __VUE_OPTIONS_API__: false },
  worker: { format: 'es' },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4680', changeOrigin: true } } },
});
