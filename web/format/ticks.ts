import { MINUTE_MS } from '@core/time';

/** Steps of a clock that people read at a glance, minutes. */
export const STEPS_MIN = [1, 2, 5, 10, 15, 20, 30, 60, 120, 180, 360];

/** A stretch of time widened to round minutes, with so many even steps that its ticks are round as well. */
export const roundTimes = (
  fromMs: number,
  toMs: number,
  most = 9,
): { fromMs: number; toMs: number; ticks: number; stepMs: number } => {
  const stepMs = (STEPS_MIN.find((m) => (toMs - fromMs) / (m * MINUTE_MS) <= most - 1) ?? 720) * MINUTE_MS;
  const from = Math.floor(fromMs / stepMs) * stepMs;
  const to = Math.ceil(toMs / stepMs) * stepMs;
  return { fromMs: from, toMs: to, ticks: Math.max(1, Math.round((to - from) / stepMs)), stepMs };
};

/** Bounds about some values that round steps divide. */
export const roundBounds = (
  values: readonly number[],
  most = 7,
): { min: number; max: number; tickAmount: number } => {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const step = [0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => (high - low) / s <= most - 1) ?? 200;
  const min = Math.floor(low / step) * step;
  const max = Math.max(min + step, Math.ceil(high / step) * step);
  return { min, max, tickAmount: Math.round((max - min) / step) };
};
