import { defineConfig } from 'vitest/config';
import vue from '@vitejs/plugin-vue';

export default defineConfig({
  plugins: [vue()],
  test: {
    testTimeout: 60_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'computation and server',
          include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'server/**/*.test.ts', 'demo/**/*.test.ts'],
          // Nothing here is put in the place of a module: files may share what they have loaded.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'interface',
          include: ['web/**/*.test.ts'],
          // Its components import their own styles, which only the bundler understands.
          server: { deps: { inline: ['vuetify'] } },
        },
      },
    ],
  },
});
