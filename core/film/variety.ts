import { heightClass, readVariety, type VarietyReading } from '../story';
import type { DerivedShot } from './derived';

/** Reads the shots of a place for variety; shots without a path do not count. */
export const placeVariety = (shots: readonly DerivedShot[]): VarietyReading => readVariety(shots.flatMap(({ facts }) => {
  const { flown, move } = facts;
  const middle = flown?.samples[Math.floor(flown.samples.length / 2)];
  if (!flown || !move || !middle) return [];
  return [{ distance: facts.framing, height: heightClass(middle.pose.at.z), direction: facts.direction }];
}));
