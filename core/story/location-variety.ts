import type { Kit } from '../model';
import { heightClass, lensClass, readVariety, type VarietyReading } from './variety';
import type { PlannedShot } from '../day';

/** Reads the shots of a place for variety; shots without a path do not count. */
export const placeVariety = (shots: readonly PlannedShot[], kit: Pick<Kit, 'aircraft'>): VarietyReading =>
  readVariety(
    shots.flatMap(({ facts }) => {
      const { flown, move } = facts;
      const middle = flown?.samples[Math.floor(flown.samples.length / 2)];
      if (!flown || !move || !middle) return [];
      return [
        {
          lens: lensClass((facts.camera?.equivalentMm ?? 24) * Math.max(1, facts.shot.zoom)),
          distance: facts.framing,
          height: heightClass(middle.pose.at.z),
          direction: facts.direction,
        },
      ];
    }),
    kit.aircraft.filter((a) => !a.retired).flatMap((a) => a.cameras.map((c) => lensClass(c.equivalentMm))),
  );
