import type { Kit } from '../model';
import type { Span } from './types';
import { filterFitOf } from '../day';
import { knownScene, type LocationLight, type ShotFacts } from '../shot';

/** Light is looked at this often when a day is planned, s. */
const STEP_S = 600;

/** When each filter bears the light of a shot, seconds after the window opens. */
export interface FilterWindows {
  readonly settings: readonly string[];
  readonly windows: Readonly<Record<string, Span>>;
}

/** From where to before where the longest unbroken run lasts, of equal ones the first; null where there is none. */
export const longestRun = (at: readonly boolean[]): [number, number] | null => {
  let best: [number, number] | null = null;
  let from = -1;
  for (let i = 0; i <= at.length; i += 1) {
    if (at[i] && from < 0) from = i;
    if (!at[i] && from >= 0) {
      if (!best || i - from > best[1] - best[0]) best = [from, i];
      from = -1;
    }
  }
  return best;
};

/**
 * Filters a shot may be flown with, and while the light suits each: its longest stretch between two seconds, looked at every ten
 * minutes. Where nothing bears the light anything may be on, as in the exposure of a flight.
 */
export const filterWindows = (
  facts: ShotFacts,
  kit: Pick<Kit, 'filters'>,
  lit: LocationLight,
  fromMs: number,
  span: Span,
): FilterWindows => {
  const { airS } = facts.seconds;
  const last = Math.max(span.earliestS, span.latestS - airS);
  const count = Math.max(1, Math.ceil((last - span.earliestS) / STEP_S) + 1);
  const step = count > 1 ? (last - span.earliestS) / (count - 1) : 0;
  const holds = new Map<string, boolean[]>();
  for (let i = 0; i < count; i += 1) {
    const ms = fromMs + (span.earliestS + i * step) * 1000;
    const fit = filterFitOf(facts, knownScene(facts, kit, lit, ms), lit, ms + airS * 1000);
    const keys =
      fit.fixed || fit.fitCosts.size === 0 ? fit.candidates.map((c) => c.key) : [...fit.fitCosts.keys()];
    for (const key of keys) {
      const row = holds.get(key) ?? Array.from({ length: count }, () => false);
      row[i] = true;
      holds.set(key, row);
    }
  }
  const windows: Record<string, Span> = {};
  for (const [key, row] of holds) {
    const run = longestRun(row);
    if (run)
      windows[key] = {
        earliestS: span.earliestS + run[0] * step,
        latestS: run[1] === count ? span.latestS : span.earliestS + (run[1] - 1) * step + airS,
      };
  }
  return { settings: Object.keys(windows), windows };
};
