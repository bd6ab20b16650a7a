/** What one kind of attack came to. */
export interface Outcome {
  readonly name: string;
  readonly tries: number;
  /** What must not happen, each time it did. */
  readonly faults: readonly string[];
  /** Figures to look at. */
  readonly figures: Readonly<Record<string, string>>;
}

/** Numbers that look random and are the same each time; a linear congruential generator (Numerical Recipes, 7.1). */
export const seeded = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
};

/** One of a list. */
export const pick = <T>(random: () => number, list: readonly T[]): T => {
  const one = list[Math.floor(random() * list.length)];
  if (one === undefined) throw new RangeError('Nothing to pick from.');
  return one;
};

/** The value below which a share of some lies. */
export const quantile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};

export const milliseconds = (value: number): string => `${value.toFixed(value < 10 ? 1 : 0)} ms`;
