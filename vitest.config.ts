import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export const alias = [
  { find: /^@core\/(.+)$/, replacement: here('core/$1/index.ts') },
  { find: '@contract', replacement: here('contract/index.ts') },
  { find: '@demo', replacement: here('demo/index.ts') },
];

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          setupFiles: ['vitest.setup.ts'],
          testTimeout: 20_000,
          include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'web/**/*.test.ts'],
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          setupFiles: ['vitest.setup.ts'],
          include: ['server/**/*.test.ts', 'demo/**/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'engine',
          include: ['e2e/engine/**/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
