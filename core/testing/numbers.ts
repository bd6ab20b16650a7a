import fc from 'fast-check';

/**
 * Numbers between two limits, both included, drawn by equal steps: `fc.double` draws by bit patterns, most of which lie near 0.
 * @param steps how finely the span is divided
 */
export const numberIn = (min: number, max: number, steps = 10_000): fc.Arbitrary<number> =>
  fc.integer({ min: 0, max: steps }).map((i) => min + ((max - min) * i) / steps);

/** Counts how often a property met the case it is about, so that it cannot pass by never reaching it. */
export class Reached {
  private readonly counts = new Map<string, number>();

  /** Notes a case where it holds. @returns the condition itself, to be used as a guard */
  when(what: string, condition: boolean): boolean {
    if (condition) this.counts.set(what, (this.counts.get(what) ?? 0) + 1);
    return condition;
  }

  /** Fails where a case was met less often than asked. */
  atLeast(what: string, times: number): void {
    const met = this.counts.get(what) ?? 0;
    if (met < times) throw new Error(`“${what}” was reached ${met} times; ${times} were wanted.`);
  }
}
