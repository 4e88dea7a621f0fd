import { defineConfig } from 'vitest/config';

/** The real server and the real interface, one file after the other. */
export default defineConfig({
  test: {
    include: ['e2e/**/*.e2e.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    fileParallelism: false,
  },
});
