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
    // Its components import their own styles, which only the bundler understands.
    server: { deps: { inline: ['vuetify'] } },
  },
});
