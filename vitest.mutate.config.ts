import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { alias } from './vitest.config';

const room = process.env['MUTATE_ROOM'] ?? 'cards';
/** Tests that stand above their room, since they need a whole film. */
const ABOVE: Readonly<Record<string, readonly string[]>> = {
  scheduler: [
    'core/film/day-asked.test.ts',
    'core/film/planned-flights.test.ts',
    'core/film/filter-windows.test.ts',
  ],
  clearance: ['core/film/site.test.ts'],
};

/** Every mutant runs through the tests of its line: laws draw fewer examples here, which can only leave more alive. */
const FEWER = 4;
const fewer = (code: string): string =>
  code
    .replace(/numRuns: (\d+)/g, (_, runs) => `numRuns: ${Math.ceil(Number(runs) / FEWER)}`)
    .replace(
      /(atLeast\([^()]*, )(\d+)\)/g,
      (_, what, times) => `${what}${Math.floor(Number(times) / FEWER)})`,
    );
const fewerRuns = {
  name: 'fewer-runs',
  transform: (code: string, id: string): string | undefined =>
    id.endsWith('.test.ts') ? fewer(code) : undefined,
};

/** Sums in the head first, whole films last: most mutants fall to what takes a moment, and the first to notice ends the run. */
class QuickFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number =>
      moduleId.includes('by-hand') ? 0 : moduleId.includes(`/core/${room}/`) ? 1 : 2;
    return Promise.resolve([...files].sort((a, b) => rank(a) - rank(b)));
  }
}

/** Tests of one room of the core, as mutation testing runs them: npm run mutate cards. */
export default defineConfig({
  resolve: { alias },
  plugins: [fewerRuns],
  test: {
    setupFiles: ['vitest.setup.ts'],
    testTimeout: 20_000,
    sequence: { sequencer: QuickFirst },
    include: [`core/${room}/**/*.test.ts`, ...(ABOVE[room] ?? [])],
  },
});
