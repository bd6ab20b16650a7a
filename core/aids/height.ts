import type { Aid } from './types';

export const terrainHold: Aid = {
  kind: 'terrain',
  name: 'Height above ground',
  says: 'Climbs when the ground rises.',
  caution:
    'It only climbs: over ground that falls away it stays where it is, and the height above ground grows.',
  unable: ({ trajectory }) =>
    trajectory.lengthM < 2
      ? 'There is no way to fly.'
      : trajectory.highestM - trajectory.lowestM > 1
        ? 'The move changes its height itself.'
        : null,
};

export const slowSticks: Aid = {
  kind: 'slow-sticks',
  name: 'Slow stick mode',
  says: 'Caps speed and turns so that small movements of the thumb stay small.',
  caution: 'In wind it may be too slow to hold its place, or to come home: switch back for the way.',
  unable: ({ trajectory }) =>
    trajectory.peakSpeedMs > 0.1 || trajectory.peakYawDegS > 0.1 ? null : 'Nothing moves.',
};
