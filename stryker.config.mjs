// Mutation testing of one room of the core: npm run mutate cards. Not part of npm test.
import { existsSync } from 'node:fs';

const room = process.env.MUTATE_ROOM ?? 'cards';
if (!existsSync(`core/${room}`)) throw new Error(`There is no room core/${room}.`);

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  plugins: ['@stryker-mutator/vitest-runner'],
  mutate: [`core/${room}/**/*.ts`, '!**/*.test.ts', '!**/index.ts', '!**/types.ts', '!**/*fixtures.ts'],
  ignorePatterns: ['dist', 'data', '.cache', 'docs', 'e2e', 'web', 'server', 'test-results'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 8000,
  timeoutFactor: 2,
  reporters: ['clear-text', 'json', 'progress'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: `.cache/mutation-${room}.json` },
  tempDirName: '.cache/stryker',
  cleanTempDir: 'always',
};
