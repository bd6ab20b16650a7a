import { measured, message, type Message } from '../messages';
import type { CutStyle } from '../model';
import { found, none, type Result } from '../units';

/** Timing of a path flown with symmetrical eased starts and stops. */
export interface RampTiming {
  readonly totalS: number;
  /** Seconds at the full speed, what a cut "in motion" can use. */
  readonly steadyS: number;
  readonly peakMs: number;
  /** Seconds of one ramp. */
  readonly rampS: number;
}

/**
 * Time of a path of length L (m) at speed v (m/s) with mean acceleration a (m/s²).
 * L ≥ v²/a: total L/v + v/a, steady L/v − v/a; shorter: total 2√(L/a), steady 0, peak √(L a).
 */
export const rampTiming = (
  lengthM: number,
  speedMs: number,
  accelMs2: number,
): Result<RampTiming, Message> => {
  if (!(speedMs > 0)) return none(message('path.speed-above-zero'));
  if (!(accelMs2 > 0)) return none(message('path.acceleration-above-zero'));
  if (!(lengthM >= 0)) return none(message('path.path-has-no-length'));
  if (lengthM >= (speedMs * speedMs) / accelMs2) {
    const cruiseS = lengthM / speedMs;
    const rampS = speedMs / accelMs2;
    return found({ totalS: cruiseS + rampS, steadyS: cruiseS - rampS, peakMs: speedMs, rampS });
  }
  const totalS = 2 * Math.sqrt(lengthM / accelMs2);
  return found({ totalS, steadyS: 0, peakMs: Math.sqrt(lengthM * accelMs2), rampS: totalS / 2 });
};

/**
 * Share of the path behind the aircraft at a time. Ramps follow v·(3τ²−2τ³), whose mean is v/2, so the totals of
 * `rampTiming` hold and the acceleration starts and ends at zero.
 */
export const rampProgress = (timing: RampTiming, timeS: number): number => {
  const { totalS, rampS } = timing;
  if (timeS <= 0 || totalS <= 0) return timeS <= 0 ? 0 : 1;
  if (timeS >= totalS) return 1;
  const steady = totalS - 2 * rampS;
  const whole = steady + rampS;
  const eased = (t: number): number => {
    const u = t / rampS;
    return rampS * (u * u * u - (u * u * u * u) / 2);
  };
  if (timeS < rampS) return eased(timeS) / whole;
  if (timeS > totalS - rampS) return 1 - eased(totalS - timeS) / whole;
  return (rampS / 2 + timeS - rampS) / whole;
};

/** Time at which a share of the path is behind; inverse of `rampProgress`, by bisection to a millisecond. */
export const rampTimeAt = (timing: RampTiming, share: number): number => {
  let [low, high] = [0, timing.totalS];
  while (high - low > 0.001) {
    const middle = (low + high) / 2;
    if (rampProgress(timing, middle) < share) low = middle;
    else high = middle;
  }
  return high;
};

export const usableSeconds = (timing: RampTiming, cut: CutStyle): number =>
  cut === 'whole' ? timing.totalS : timing.steadyS;

/** Length (m) whose usable part lasts the wanted seconds at a speed. Exact inverse of `rampTiming`. */
export const lengthForSeconds = (
  wantedS: number,
  speedMs: number,
  accelMs2: number,
  cut: CutStyle,
): Result<number, Message> => {
  if (!(speedMs > 0) || !(accelMs2 > 0)) return none(message('path.speed-acceleration-above-zero'));
  if (!(wantedS > 0)) return none(message('path.seconds-wanted-above-zero'));
  const rampS = speedMs / accelMs2;
  if (cut === 'in-motion') return found(speedMs * (wantedS + rampS));
  return found(wantedS >= 2 * rampS ? speedMs * (wantedS - rampS) : (accelMs2 * wantedS * wantedS) / 4);
};

/**
 * Fastest speed (m/s) at which a path of a given length still lasts the wanted seconds.
 * Steady: L/v − v/a = s has one positive root; whole: L/v + v/a = s has none when s < 2√(L/a).
 */
export const speedForSeconds = (
  wantedS: number,
  lengthM: number,
  accelMs2: number,
  cut: CutStyle,
): Result<number, Message> => {
  if (!(lengthM > 0) || !(accelMs2 > 0)) return none(message('path.length-acceleration-above-zero'));
  if (!(wantedS > 0)) return none(message('path.seconds-wanted-above-zero'));
  const half = (accelMs2 * wantedS) / 2;
  const root = half * half - lengthM * accelMs2;
  if (cut === 'in-motion') return found(Math.sqrt(half * half + lengthM * accelMs2) - half);
  if (root < 0)
    return none(
      message('path.too-short-a-time', {
        length: measured(lengthM, 'metres', 0),
        wanted: measured(wantedS, 'seconds', 1),
        least: measured(2 * Math.sqrt(lengthM / accelMs2), 'seconds', 1),
      }),
    );
  return found(half - Math.sqrt(root));
};
