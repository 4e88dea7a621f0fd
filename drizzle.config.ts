import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './server/store/schema.ts',
  out: './server/store/migrations',
});
