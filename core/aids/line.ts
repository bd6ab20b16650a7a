import type { Aid } from './types';

const STRAIGHT_SHARE = 1.01;

export const straightLine: Aid = {
  kind: 'line',
  name: 'Straight-line hold',
  says: 'Keeps course and speed; you steer the camera.',
  caution: 'It flies on until you stop it: know where the line ends.',
  unable: ({ trajectory }) => {
    const { x: ax, y: ay } = trajectory.start.at;
    const { x: bx, y: by } = trajectory.end.at;
    const straight = Math.hypot(bx - ax, by - ay);
    if (straight < 1) return 'There is no course to hold.';
    if (trajectory.lengthM > straight * STRAIGHT_SHARE) return 'The path bends or climbs.';
    return null;
  },
};

export const pointRoute: Aid = {
  kind: 'route',
  name: 'Route of points',
  says: 'Flies points you set beforehand, at the speeds you give.',
  caution: 'Heights are above the launch point, not above the ground: check every leg.',
  unable: ({ trajectory, move }) =>
    trajectory.frames
      ? 'It does not wait for stills.'
      : move.direction === 'with'
        ? 'It does not know where the subject is.'
        : trajectory.lengthM < 2
          ? 'There is no route.'
          : null,
};
