import { defineConfig } from 'vite';

/** Everything that Node starts, as JavaScript in the folders of its sources. */
const STARTED = [
  'server/main',
  'server/restore',
  'server/studio',
  'server/owner',
  'server/certificate',
  'server/store/thread',
  'server/jobs/thread',
  'server/pictures/process',
  'demo/fill',
];

export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/node',
    emptyOutDir: true,
    minify: false,
    sourcemap: true,
    target: 'node20',
    rollupOptions: {
      input: Object.fromEntries(STARTED.map((name) => [name, `${name}.ts`])),
      output: { entryFileNames: '[name].js', chunkFileNames: 'shared/[name]-[hash].js' },
    },
  },
  // Packages go in too: looking a thousand files up is most of what a start takes. What brings machine code or files
  // of its own stays where it is.
  ssr: {
    noExternal: true,
    external: ['@libsql/client', 'libsql', 'manifold-3d', 'pdfkit', 'piscina', 'sharp'],
  },
});
