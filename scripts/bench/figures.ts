/** Median and 95th percentile of some times, ms. */
export const spread = (times: readonly number[]): { median: number; p95: number; max: number } => {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  return { median: at(0.5), p95: at(0.95), max: at(1) };
};

export const report = (what: string, text: string): void => {
  console.log(`${what.padEnd(58)} ${text}`);
};

export const ms = (value: number): string => `${value.toFixed(2)} ms`;
