import { distanceOf, fromBearing, height, speed, turnSense, turns } from './parameters';
import { spiralShape } from './spiral-out';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(40, 'Radius at the start', 'startM'),
  distanceOf(18, 'Radius at the end', 'endM'),
  height(35, 'Starts at height', 'startHeightM'),
  height(8, 'Ends at height', 'endHeightM'),
  turns(0.25, 0.75),
  fromBearing,
  speed(4),
  turnSense('anticlockwise', 'clockwise'),
];

export const spiralDown: CameraMove = {
  kind: 'spiral-down',
  name: 'Spiral down',
  says: 'All that surrounds the subject gathers in on it.',
  sticks: 'Sideways and yaw against each other, with throttle down and a little forward.',
  needs: 'Clear air all round, and a last turn that stays above everything near.',
  caution: 'Descend slowly: an aircraft that sinks into its own downwash drops. Land at once if it does.',
  direction: 'around',
  purpose: 'detail',
  roles: ['open', 'develop', 'detail'],
  reversible: true,
  parameters,
  shape: spiralShape(parameters),
};
