import { defineConfig } from 'vitest/config';
import { alias } from './vitest.config';

/** Tests of one room of the core, as mutation testing runs them: npm run mutate cards. */
export default defineConfig({
  resolve: { alias },
  test: {
    setupFiles: ['vitest.setup.ts'],
    testTimeout: 20_000,
    include: [`core/${process.env['MUTATE_ROOM'] ?? 'cards'}/**/*.test.ts`],
  },
});
