import type { Aid } from './types';

const ROUND_M = 0.5;

export const orbitPoint: Aid = {
  kind: 'orbit',
  name: 'Orbit about a point',
  says: 'Flies a circle about a point at one height and one distance.',
  caution: 'It does not look for what stands on the far side: fly the circle once by hand.',
  unable: ({ move, trajectory, nearM, farM }) =>
    move.direction !== 'around'
      ? 'It flies circles, nothing else.'
      : trajectory.highestM - trajectory.lowestM > ROUND_M
        ? 'It keeps its height.'
        : farM - nearM > ROUND_M
          ? 'It keeps its distance.'
          : null,
};
