/** A move with fewer inputs that says nearly the same, for each that asks much of the hands. */
const SIMPLER: Readonly<Record<string, string>> = {
  'low-to-high': 'push-in',
  'drop-in': 'push-in',
  'up-and-away': 'pull-back',
  'fly-over': 'push-in',
  'slide-turn': 'slide',
  'spiral-out': 'part-orbit',
  'spiral-down': 'part-orbit',
  orbit: 'part-orbit',
  'part-orbit': 'slide',
  'orbit-and-back': 'part-orbit',
  'long-lens': 'slide',
  'top-down-spin': 'top-down-turn',
  track: 'slide',
  follow: 'hold',
  'crane-up': 'rise',
};

/** The simpler move for one that is beyond the pilot's hands today; undefined where there is none. */
export const simplerMove = (kind: string): string | undefined => SIMPLER[kind];
