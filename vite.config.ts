import vue from '@vitejs/plugin-vue';
import { defineConfig, type Plugin } from 'vite';
import vuetify from 'vite-plugin-vuetify';

/** A script of the page in a file of its own that waits for no other: two that one page names would be built into one. */
function first(script: string): Plugin {
  return {
    name: 'first-script',
    transformIndexHtml: {
      order: 'post',
      handler: (_html, { bundle }) => {
        const built = Object.values(bundle ?? {}).find(
          (part) => part.type === 'chunk' && part.facadeModuleId?.endsWith(`/${script}`),
        );
        const src = built ? `/${built.fileName}` : `/${script}`;
        return [{ tag: 'script', attrs: { type: 'module', async: true, crossorigin: true, src }, injectTo: 'head-prepend' }]; // prettier-ignore
      },
    },
  };
}

/** Letters of which every page has some, fetched before a style asks for them: what is read and pressed moves when letters change. */
const LETTERS = /^(ibm-plex-sans|newsreader)-latin-wght-normal-/;

function lettersAhead(): Plugin {
  return {
    name: 'letters-ahead',
    transformIndexHtml: {
      order: 'post',
      handler: (_html, { bundle }) =>
        Object.keys(bundle ?? {})
          .filter((file) => LETTERS.test(file.split('/').at(-1)!))
          .map((file) => ({
            tag: 'link',
            attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` },
            injectTo: 'head' as const,
          })),
    },
  };
}

/** Parts of which a page runs nearly everything as it opens. */
const CALLED_AT_ONCE = /^(vue|first|ahead|parts|CommissionFrame|\w+Stage)$/;

/** Tells the browser to compile these while they come, beside the page; else it reads each function twice, in the page's own time (V8, explicit compile hints). */
function compiledAhead(): Plugin {
  return {
    name: 'compiled-ahead',
    generateBundle(_options, bundle) {
      for (const part of Object.values(bundle))
        if (part.type === 'chunk' && CALLED_AT_ONCE.test(part.name))
          part.code = `//# allFunctionsCalledOnLoad\n${part.code}`;
    },
  };
}

/** Pages that have a part of the interface in common. */
const SEVERAL = 3;

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true }), first('web/ahead.ts'), lettersAhead(), compiledAhead()],
  build: {
    outDir: 'dist/web',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    rollupOptions: {
      input: ['index.html', 'web/ahead.ts'],
      output: {
        // A dozen files a page: one that asks for sixty waits for the asking.
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            // What the first script needs, and nothing else.
            {
              name: 'first',
              test: /preload-helper|idb-keyval|web[\\/](pages|document[\\/](early|journal|tab)|workers[\\/]planThread)\.ts/,
              priority: 5,
            },
            {
              name: 'vue',
              test: /export-helper|node_modules[\\/](@vue|vue|pinia|vue-router)[\\/]/,
              priority: 4,
            },
            { name: 'library', test: /node_modules[\\/]vuetify[\\/]/, priority: 3 },
            // What several pages are made of, in three files: a request costs more than reading what only another page needs.
            // Whatever such a part asks for several pages have, too, so that no file waits for one that waits for it.
            { name: 'tools', test: /node_modules/, minShareCount: SEVERAL, priority: 2 },
            { name: 'core', test: /[\\/]core[\\/]/, minShareCount: SEVERAL, priority: 1 },
            { name: 'parts', test: /[\\/]web[\\/]/, minShareCount: SEVERAL },
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
