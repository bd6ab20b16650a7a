import { horizonInFrame, type FieldOfView } from '../lens';
import type { SkySeen } from '../light';
import type { ProfileSchool } from '../model';
import type { Trajectory } from '../moves';

/** Stops over middle grey a recording holds before it clips, by its profile. Usual of small sensors; own estimate. */
export const HEADROOM_STOPS: Readonly<Record<ProfileSchool, number>> = {
  standard: 2.5,
  flat: 3.5,
  'high-dynamic': 5,
};

/** Share of a frame above the horizon. */
const skyShare = (tiltDeg: number, verticalDeg: number): number =>
  Math.min(1, Math.max(0, (1 - horizonInFrame(tiltDeg, verticalDeg)) / 2));

/** The sky a move shows: its mean share of the frame, and where it looks when it shows most. Null where it shows none. */
export const skyInFrame = (
  trajectory: Trajectory | null,
  { verticalDeg }: FieldOfView,
  school: ProfileSchool,
): SkySeen | null => {
  if (!trajectory || trajectory.samples.length === 0) return null;
  let [sum, most] = [0, 0];
  let widest = trajectory.samples[0]?.pose;
  for (const { pose } of trajectory.samples) {
    const share = skyShare(pose.tiltDeg, verticalDeg);
    sum += share;
    if (share > most) [most, widest] = [share, pose];
  }
  if (most === 0 || !widest) return null;
  const top = Math.min(90, widest.tiltDeg + verticalDeg / 2);
  const foot = Math.max(0, widest.tiltDeg - verticalDeg / 2);
  return {
    share: sum / trajectory.samples.length,
    elevationDeg: (top + foot) / 2,
    headingDeg: widest.headingDeg,
    headroomStops: HEADROOM_STOPS[school],
  };
};
