import { defineConfig } from 'vitest/config';
import vue from '@vitejs/plugin-vue';

/** Files that put something in the place of a module, or load one anew: each has everything for itself. */
const REPLACING = ['benchEdit', 'commissionStore', 'outbox', 'scans'].map((name) => `web/**/${name}.test.ts`);

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
          include: [
            'core/**/*.test.ts',
            'cli/**/*.test.ts',
            'server/**/*.test.ts',
            'demo/**/*.test.ts',
            'scripts/**/*.test.ts',
          ],
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
          // All on a page: a worker ends where the next file wants other surroundings, and loads all again.
          environment: 'happy-dom',
          isolate: false,
          sequence: { groupOrder: 1 },
          setupFiles: ['web/testing/clean.ts'],
        },
      },
      {
        extends: true,
        test: { name: 'interface, parts replaced', include: REPLACING, sequence: { groupOrder: 1 } },
      },
    ],
  },
});
