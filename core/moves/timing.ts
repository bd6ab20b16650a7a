import { message, type Message } from '../messages';
import { rampProgress, rampTimeAt, rampTiming, type RampTiming } from '../footage';
import { found, none, type Result } from '../units';
import type { Easing, Extent, Leg } from './types';

/** When a move is where: share of its path by time, and back. */
export interface Timing {
  readonly totalS: number;
  /** Seconds at an even pace, between the ramps. */
  readonly steadyS: number;
  /** First second of the steady part. */
  readonly steadyFromS: number;
  readonly peakMs: number;
  readonly shareAt: (timeS: number) => number;
  readonly timeAt: (share: number) => number;
}

const ramped = (t: RampTiming): Timing => ({
  totalS: t.totalS,
  steadyS: t.steadyS,
  steadyFromS: t.rampS,
  peakMs: t.peakMs,
  shareAt: (s) => rampProgress(t, s),
  timeAt: (share) => rampTimeAt(t, share),
});

const even = (totalS: number, lengthM: number): Timing => ({
  totalS,
  steadyS: totalS,
  steadyFromS: 0,
  peakMs: totalS > 0 ? lengthM / totalS : 0,
  shareAt: (s) => (totalS > 0 ? Math.min(1, Math.max(0, s / totalS)) : 0),
  timeAt: (share) => share * totalS,
});

const legTiming = (leg: Leg, easing: Easing): Result<Timing, Message> => {
  if (leg.by === 'wait') return found(even(leg.seconds, 0));
  const t =
    leg.by === 'path'
      ? rampTiming(leg.lengthM, leg.speedMs, easing.accelMs2)
      : rampTiming(leg.turnDeg, leg.rateDegS, easing.turnAccelDegS2);
  return t.ok ? found(ramped(t.value)) : t;
};

/** Legs one after another; the steady part is that of the shortest pass, since each pass has to serve the cut. */
const inLegs = (legs: readonly Leg[], easing: Easing): Result<Timing, Message> => {
  const timed: { readonly fromS: number; readonly timing: Timing; readonly pass: boolean }[] = [];
  let totalS = 0;
  for (const leg of legs) {
    const timing = legTiming(leg, easing);
    if (!timing.ok) return timing;
    timed.push({ fromS: totalS, timing: timing.value, pass: leg.by === 'path' });
    totalS += timing.value.totalS;
  }
  const passes = timed.filter((l) => l.pass);
  const shortest = passes.reduce<(typeof timed)[number] | undefined>(
    (least, l) => (!least || l.timing.steadyS < least.timing.steadyS ? l : least),
    undefined,
  );
  const peaks = legs.map((leg, i) => (leg.by === 'path' ? (timed[i]?.timing.peakMs ?? 0) : 0));
  const n = legs.length;
  return found({
    totalS,
    steadyS: shortest?.timing.steadyS ?? totalS,
    steadyFromS: shortest ? shortest.fromS + shortest.timing.steadyFromS : 0,
    peakMs: Math.max(0, ...peaks),
    shareAt: (timeS) => {
      const i = Math.max(
        0,
        timed.findLastIndex((l) => timeS >= l.fromS),
      );
      const leg = timed[i];
      return leg ? Math.min(1, (i + leg.timing.shareAt(timeS - leg.fromS)) / n) : 0;
    },
    timeAt: (share) => {
      const i = Math.min(n - 1, Math.floor(share * n));
      const leg = timed[i];
      return leg ? leg.fromS + leg.timing.timeAt(share * n - i) : 0;
    },
  });
};

const SPEED_STEPS = 240;
const at = (list: readonly number[], i: number): number => list[i] ?? 0;

/** Speeds at even steps of the way that never change by more than the acceleration allows, from rest to rest: v² grows by at most 2·a·ds. */
const braked = (wanted: readonly number[], ds: number, accelMs2: number): number[] => {
  const speeds = [...wanted];
  const last = speeds.length - 1;
  speeds[0] = 0;
  speeds[last] = 0;
  const reach = (v: number): number => Math.sqrt(v * v + 2 * accelMs2 * ds);
  for (let i = 1; i <= last; i += 1) speeds[i] = Math.min(at(speeds, i), reach(at(speeds, i - 1)));
  for (let i = last - 1; i >= 0; i -= 1) speeds[i] = Math.min(at(speeds, i), reach(at(speeds, i + 1)));
  return speeds;
};

/** Index of the last entry that is not above a value, in a rising list. */
const indexBelow = (list: readonly number[], value: number): number => {
  let [low, high] = [0, list.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at(list, middle) <= value) low = middle;
    else high = middle;
  }
  return low;
};

/** Share of the way at a time: constant acceleration within a step. */
const shareIn = (times: readonly number[], speeds: readonly number[], ds: number, timeS: number): number => {
  const i = indexBelow(times, timeS);
  const u = timeS - at(times, i);
  const step = at(times, i + 1) - at(times, i);
  const a = step > 0 ? (at(speeds, i + 1) - at(speeds, i)) / step : 0;
  return (i * ds + at(speeds, i) * u + (a * u * u) / 2) / (ds * SPEED_STEPS);
};

/** Times a path whose wanted speed changes along it; bends and slow points are braked for in time. */
const alongSpeeds = (
  lengthM: number,
  speedAt: (share: number) => number,
  accelMs2: number,
): Result<Timing, Message> => {
  if (!(lengthM > 0.1)) return none(message('path.start-end-are-same-2'));
  const ds = lengthM / SPEED_STEPS;
  const wanted = Array.from({ length: SPEED_STEPS + 1 }, (_, i) => speedAt(i / SPEED_STEPS));
  if (wanted.some((v) => !(v > 0))) return none(message('path.speed-above-zero'));
  const speeds = braked(wanted, ds, accelMs2);
  const times = [0];
  for (let i = 1; i <= SPEED_STEPS; i += 1)
    times.push(at(times, i - 1) + (2 * ds) / (at(speeds, i - 1) + at(speeds, i)));
  const totalS = at(times, SPEED_STEPS);
  const full = (v: number, i: number): boolean => i > 0 && i < SPEED_STEPS && v >= at(wanted, i) - 1e-9;
  const [first, last] = [speeds.findIndex(full), speeds.findLastIndex(full)];
  const steady = first > 0 && last > first;
  return found({
    totalS,
    steadyS: steady ? at(times, last) - at(times, first) : 0,
    steadyFromS: steady ? at(times, first) : totalS / 2,
    peakMs: Math.max(...speeds),
    shareAt: (timeS) => (timeS <= 0 ? 0 : timeS >= totalS ? 1 : shareIn(times, speeds, ds, timeS)),
    timeAt: (share) => {
      const x = Math.min(1, Math.max(0, share)) * SPEED_STEPS;
      const i = Math.min(SPEED_STEPS - 1, Math.floor(x));
      return at(times, i) + (at(times, i + 1) - at(times, i)) * (x - i);
    },
  });
};

/**
 * Times a laid-out path.
 * @param holdS seconds a hold lasts; other moves ignore it
 * @returns the timing, or why there is none
 */
export const timingOf = (extent: Extent, easing: Easing, holdS: number): Result<Timing, Message> => {
  switch (extent.by) {
    case 'hold':
      return holdS > 0 ? found(even(holdS, 0)) : none(message('path.hold-needs-seconds'));
    case 'time':
      return extent.seconds > 0
        ? found(even(extent.seconds, extent.lengthM))
        : none(message('path.there-nothing-take-clip'));
    case 'legs':
      return extent.legs.length > 0 ? inLegs(extent.legs, easing) : none(message('path.there-nothing-fly'));
    case 'speeds':
      return alongSpeeds(extent.lengthM, extent.speedAt, easing.accelMs2);
    default:
      return legTiming(extent, easing);
  }
};
