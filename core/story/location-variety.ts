import type { Kit } from '../model';
import { heightClass, lensClass, readVariety, type VarietyReading } from './variety';
import type { PlannedShot } from '../day';

/** Reads the shots of a place for variety; shots without a path do not count. */
export const locationVariety = (shots: readonly PlannedShot[], kit: Pick<Kit, 'aircraft'>): VarietyReading =>
  readVariety(
    shots.flatMap(({ facts }) => {
      const { trajectory, move } = facts;
      const middle = trajectory?.samples[Math.floor(trajectory.samples.length / 2)];
      if (!trajectory || !move || !middle) return [];
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
