import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Median and 95th percentile of some times, ms. */
export const spread = (times: readonly number[]): { median: number; p95: number; max: number } => {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  return { median: at(0.5), p95: at(0.95), max: at(1) };
};

/** A figure as it is kept: its first number, and, of a time, how many times as long it took as the same sums took then. */
export interface KeptFigure {
  readonly value: number;
  readonly unit: string;
  readonly ratio: number | null;
}

const SUMS = 400_000;
/** Times of the same sums, taken in turn with the figures: a machine that is slower or busy is so for both, ms. */
const yardstick: number[] = [];
const measureYardstick = (): number => {
  const began = performance.now();
  let sum = 0;
  for (let i = 1; i < SUMS; i += 1) sum += Math.sqrt(i) * Math.sin(i) * (i % 7);
  yardstick.push(performance.now() - began + (sum === Infinity ? 1 : 0));
  return spread(yardstick.slice(-5)).median;
};

const kept = new Map<string, KeptFigure>();
/** Folder of the kept figures of each part of a run. */
export const KEPT_FOLDER = '.cache/bench';

const keep = (what: string, text: string): void => {
  const found = /(-?[\d.,]+) (ms|kB|s)\b/.exec(text);
  if (!found) return;
  const value = Number(found[1]?.replaceAll(',', ''));
  const unit = found[2] ?? '';
  const yardMs = Math.min(measureYardstick(), measureYardstick(), measureYardstick());
  const ratio = unit === 'ms' ? value / yardMs : unit === 's' ? (1000 * value) / yardMs : null;
  kept.set(what, { value, unit, ratio: ratio && Number(ratio.toPrecision(4)) });
};

/** Prints a figure, and keeps its first number for the comparison with earlier runs. */
export const report = (what: string, text: string): void => {
  keep(what, text);
  console.log(`${what.padEnd(58)} ${text}`);
};

/** Writes what was kept by this part of a run. */
export const writeKept = (part: string): void => {
  mkdirSync(KEPT_FOLDER, { recursive: true });
  writeFileSync(join(KEPT_FOLDER, `${part}.json`), JSON.stringify(Object.fromEntries(kept), null, 1));
};

export const ms = (value: number): string => `${value.toFixed(2)} ms`;
