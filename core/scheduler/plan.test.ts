import { describe, expect, it } from 'vitest';
import vectors from '../vectors/plan.json';
import { planExactly } from './exact';
import { problemOf } from './fixtures';

describe('worked optima', () => {
  it.each(vectors.cases.map((c, i) => [i, c] as const))('case %i', (_i, c) => {
    const { plan, proven } = planExactly(problemOf(c.problem));
    expect(proven).toBe(true);
    expect(plan.weight).toBe(c.optimum.weightFlown);
    expect(plan.flights.length).toBe(c.optimum.flights);
    expect(Math.abs(plan.airborneS - c.optimum.airborneSeconds)).toBeLessThan(
      vectors.tolerance.airborneSeconds,
    );
  });
});
