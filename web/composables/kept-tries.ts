import { rehearsalOf, replay, type Recorded, type RehearsedAs, type TrySample } from '@core/rehearsal';
import type { DerivedShot } from '@core/film';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A try that is kept: flown again it is the same flight. */
export interface KeptTry extends RehearsedAs {
  readonly seed: number;
  readonly mark: number;
  readonly recorded: readonly Recorded[];
}

/** Even draws of a try's gusts. The first ones of small seeds are all small. */
export const drawsOfTry = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  for (let i = 0; i < 20; i += 1) rng.next();
  return () => (rng.next() >>> 0) / 2 ** 32;
};

const keyOf = (target: string): string => `dusk-best-try:${target}`;

/** The best try of a shot, or of a drill at a level, that was flown on this device. */
export const keptTry = (target: string): KeptTry | null => {
  try {
    return JSON.parse(localStorage.getItem(keyOf(target)) ?? 'null') as KeptTry | null;
  } catch {
    return null;
  }
};
export const keepTry = (target: string, kept: KeptTry): void => {
  try {
    localStorage.setItem(keyOf(target), JSON.stringify(kept));
  } catch {
    // A full device keeps the mark, not the flight.
  }
};

/** A kept try of a shot flown again, second by second; nothing where the shot cannot be flown by hand any more. */
export const samplesOfKept = (shot: DerivedShot, kept: KeptTry): readonly TrySample[] => {
  const r = rehearsalOf(shot, kept);
  return r
    ? replay(r.trajectory.start, r.craft, { ...r.place, random: drawsOfTry(kept.seed) }, kept.recorded)
        .samples
    : [];
};
