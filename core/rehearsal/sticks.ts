/** What a pilot asks for, each −1 to 1: forward, to the right, up, nose to the right, camera up. */
export interface Controls {
  readonly forward: number;
  readonly right: number;
  readonly up: number;
  readonly yaw: number;
  readonly tilt: number;
}

export const HANDS_OFF: Controls = { forward: 0, right: 0, up: 0, yaw: 0, tilt: 0 };

/** Two thumbs, each −1 to 1; up and right are positive. */
export interface Thumbs {
  readonly leftX: number;
  readonly leftY: number;
  readonly rightX: number;
  readonly rightY: number;
}

export const STICK_MODES = [1, 2, 3, 4] as const;
/** Which stick does what, as controllers number it. */
export type StickMode = (typeof STICK_MODES)[number];

/** What each way of a stick does in each mode. */
export const MODE_AXES: Readonly<Record<StickMode, Readonly<Record<keyof Thumbs, keyof Controls>>>> = {
  1: { leftX: 'yaw', leftY: 'forward', rightX: 'right', rightY: 'up' },
  2: { leftX: 'yaw', leftY: 'up', rightX: 'right', rightY: 'forward' },
  3: { leftX: 'right', leftY: 'forward', rightX: 'yaw', rightY: 'up' },
  4: { leftX: 'right', leftY: 'up', rightX: 'yaw', rightY: 'forward' },
};

/** Sticks let go stand a little off their middle: less than this is nothing. */
const DEAD = 0.04;
const past = (x: number): number => {
  const clipped = Math.max(-1, Math.min(1, Number.isFinite(x) ? x : 0));
  return Math.abs(clipped) < DEAD ? 0 : (clipped - Math.sign(clipped) * DEAD) / (1 - DEAD);
};

/** What two thumbs and the wheel of the camera ask for in a stick mode. */
export const controlsFrom = (mode: StickMode, thumbs: Thumbs, tilt: number): Controls => {
  const asked: Record<keyof Controls, number> = { ...HANDS_OFF, tilt: past(tilt) };
  for (const [axis, what] of Object.entries(MODE_AXES[mode]))
    asked[what] = past(thumbs[axis as keyof Thumbs]);
  return asked;
};
