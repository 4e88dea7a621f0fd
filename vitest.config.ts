import { defineConfig } from 'vitest/config';
import vue from '@vitejs/plugin-vue';

/** Files that put something in the place of a module: each has loaded everything for itself. */
const REPLACING = ['commissionStore', 'outbox', 'benchEdit'].map((name) => `web/**/${name}.test.ts`);

export default defineConfig({
  plugins: [vue()],
  test: {
    testTimeout: 60_000,
    globalSetup: ['server/setup.ts'],
    // Servers that start and wait leave a core to others.
    maxWorkers: 2,
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
          exclude: REPLACING,
          isolate: false,
          setupFiles: ['web/testing/clean.ts'],
        },
      },
      { extends: true, test: { name: 'interface, parts replaced', include: REPLACING } },
    ],
  },
});
