import { message, measured, type Message } from '../messages';
import type { Trajectory } from '../moves';

/** Something said at a second of a rehearsed move. */
export interface CallOut {
  readonly atS: number;
  readonly say: Message;
}

/** Said so long before it is due, s. */
const AHEAD_S = 0.8;
/** Turning and tilting slower than this is not called, deg/s. */
const TURN_DEG_S = 1.5;

/** What to do when, read off the planned rates: ease in, hold the speed, turn, tilt, ease out. */
export const callOuts = (trajectory: Trajectory): readonly CallOut[] => {
  const { samples, peakSpeedMs, totalS } = trajectory;
  const speed = (i: number): number => {
    const v = samples[i]?.velocity;
    return v ? Math.hypot(v.x, v.y, v.z) : 0;
  };
  const begins = (rate: (i: number) => number, over: number): number[] =>
    samples.flatMap((s, i) => (rate(i) >= over && (i === 0 || rate(i - 1) < over) ? [s.timeS] : []));
  const moves = peakSpeedMs > 0.2;
  const steady = begins(speed, 0.92 * peakSpeedMs)[0];
  const slows = samples.findLast((_, i) => speed(i) >= 0.92 * peakSpeedMs)?.timeS;
  const calls: CallOut[] = [
    moves
      ? { atS: 0, say: message('rehearsal.call.ease-in') }
      : { atS: 0, say: message('rehearsal.call.still', { seconds: measured(totalS, 'seconds', 0) }) },
    ...(moves && steady !== undefined && steady > 0.5
      ? [{ atS: steady, say: message('rehearsal.call.hold', { speed: measured(peakSpeedMs, 'speed', 1) }) }]
      : []),
    ...begins((i) => Math.abs(samples[i]?.yawDegS ?? 0), TURN_DEG_S).map((atS) => ({
      atS: Math.max(0, atS - AHEAD_S),
      say: message('rehearsal.call.turn'),
    })),
    ...begins((i) => Math.abs(samples[i]?.tiltDegS ?? 0), TURN_DEG_S).map((atS) => ({
      atS: Math.max(0, atS - AHEAD_S),
      say: message('rehearsal.call.tilt'),
    })),
    ...(moves && slows !== undefined && slows < totalS - 0.2
      ? [{ atS: slows, say: message('rehearsal.call.ease-out') }]
      : []),
  ];
  return calls.sort((a, b) => a.atS - b.atS);
};

/** What is called at a second: the last call that has begun, for as long as it is read. */
export const callAt = (calls: readonly CallOut[], tS: number, forS = 2.5): CallOut | null =>
  calls.findLast((c) => c.atS <= tS && tS - c.atS < forS) ?? null;
