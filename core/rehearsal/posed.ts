import { between, turnBetween } from '../geometry';
import type { Pose } from '../moves';
import type { TrySample } from './try';

/**
 * Where the camera was at a second of a try: straight between the samples beside it, at its ends before and after; null where
 * nothing was flown. Angles go the short way round.
 * @param samples in the order of time @param tS second of the try
 */
export const posedAt = (samples: readonly Pick<TrySample, 'tS' | 'pose'>[], tS: number): Pose | null => {
  let [low, high] = [0, samples.length - 1];
  const [first, last] = [samples[low], samples[high]];
  if (!first || !last) return null;
  if (tS <= first.tS) return first.pose;
  if (tS >= last.tS) return last.pose;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((samples[middle]?.tS ?? Infinity) <= tS) low = middle;
    else high = middle;
  }
  const [a, b] = [samples[low] ?? first, samples[high] ?? last];
  const u = (tS - a.tS) / Math.max(1e-9, b.tS - a.tS);
  const turned = (from: number, to: number): number => from + u * turnBetween(from, to);
  return {
    at: between(a.pose.at, b.pose.at, u),
    headingDeg: turned(a.pose.headingDeg, b.pose.headingDeg),
    tiltDeg: turned(a.pose.tiltDeg, b.pose.tiltDeg),
    rollDeg: turned(a.pose.rollDeg ?? 0, b.pose.rollDeg ?? 0),
  };
};
