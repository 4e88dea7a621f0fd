import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: {
    outDir: 'dist/web',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    rollupOptions: {
      output: {
        // The parts of the library in one file: a page that asks for sixty waits for the asking. The list does without it.
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'vue', test: /node_modules[\\/](@vue|vue|pinia|vue-router)[\\/]/, priority: 2 },
            { name: 'library', test: /node_modules[\\/]vuetify[\\/]/, priority: 1 },
          ],
        },
      },
    },
  },
  // Every component here and in the library is written with setup alone.
  define: { __VUE_OPTIONS_API__: false },
  worker: { format: 'es' },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4680', changeOrigin: true } } },
});
