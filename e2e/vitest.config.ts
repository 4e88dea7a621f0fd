import { defineConfig } from 'vitest/config';
import { LongestFirst } from './longestFirst';

/** The real server and the real interface, two files side by side. */
export default defineConfig({
  test: {
    include: ['e2e/**/*.e2e.ts', 'endure/**/*.e2e.ts'],
    globalSetup: ['e2e/setup.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // Each file has a server and a browser of its own; two at a time keep two cores busy.
    maxWorkers: 2,
    // Nothing here is put in the place of a module: what drives the browser is loaded once.
    isolate: false,
    sequence: { sequencer: LongestFirst },
  },
});
