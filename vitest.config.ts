import { defineConfig } from 'vitest/config';
import vue from '@vitejs/plugin-vue';

export default defineConfig({
  plugins: [vue()],
  test: {
    include: [
      'core/**/*.test.ts',
      'cli/**/*.test.ts',
      'server/**/*.test.ts',
      'web/**/*.test.ts',
      'demo/**/*.test.ts',
    ],
    testTimeout: 60_000,
  },
});
