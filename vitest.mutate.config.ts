import { defineConfig } from 'vitest/config';
import { alias } from './vitest.config';

const room = process.env['MUTATE_ROOM'] ?? 'cards';
/** Tests that stand above their room, since they need a whole film. */
const ABOVE: Readonly<Record<string, readonly string[]>> = {
  scheduler: ['core/film/planned-flights.test.ts'],
  clearance: ['core/film/site.test.ts'],
};

/** Tests of one room of the core, as mutation testing runs them: npm run mutate cards. */
export default defineConfig({
  resolve: { alias },
  test: {
    setupFiles: ['vitest.setup.ts'],
    testTimeout: 20_000,
    include: [`core/${room}/**/*.test.ts`, ...(ABOVE[room] ?? [])],
  },
});
