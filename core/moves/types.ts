import type { Quantity, Result, Vec3 } from '../units';
import type { Pose } from './pose';

export type StickInput = 'throttle' | 'forward' | 'sideways' | 'yaw' | 'tilt' | 'zoom';

export type StoryRole = 'open' | 'develop' | 'detail' | 'reveal' | 'excite' | 'calm' | 'close' | 'bridge';

/** What a move is flown about: a point to aim at, and the size of what stands there. */
export interface MoveSubject {
  /** Middle of the subject, local metres. */
  readonly aim: Vec3;
  readonly heightM: number;
  readonly widthM: number;
  /** Bearing it moves on and how fast; a standing subject has speed 0. */
  readonly headingDeg: number;
  readonly speedMs: number;
}

/** Which way a move goes, seen from the subject: what makes a list varied. */
export type MoveDirection = 'still' | 'toward' | 'away' | 'across' | 'around' | 'up' | 'down' | 'with';

/** A moment along a move worth knowing beforehand. */
export interface MoveMark {
  /** Share of the path, 0 start to 1 end. */
  readonly share: number;
  readonly say: string;
}

/** One number a person sets on a move. `min` and `max` are hard limits in SI. */
export interface MoveParameter {
  readonly id: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly initial: number;
  /** A yes/no choice stored as 1 or 0, with its two words. */
  readonly choice?: readonly [off: string, on: string];
  readonly hint?: string;
}

export type MoveValues = Readonly<Record<string, number>>;

/** How the progress along a path is timed. */
export type Extent =
  | { readonly by: 'path'; readonly lengthM: number; readonly speedMs: number }
  | { readonly by: 'turn'; readonly turnDeg: number; readonly rateDegS: number }
  | { readonly by: 'hold' };

/** A move laid out at a place: its extent and the pose at each share of it, 0 start to 1 end. */
export interface MoveShape {
  readonly extent: Extent;
  readonly poseAt: (share: number) => Pose;
  /** Moments to know: when something comes into view. */
  readonly marks?: readonly MoveMark[];
  /** Intervals it takes to see its bends, where the usual number is too few; even. */
  readonly intervals?: number;
}

/** A camera move: parameters in, a path out, and what a pilot should know about it. One file each, registered in one list. */
export interface CameraMove {
  readonly kind: string;
  readonly name: string;
  /** What it says in a story. */
  readonly says: string;
  /** What the sticks do, in plain words. */
  readonly sticks: string;
  readonly needs: string;
  readonly caution: string;
  readonly direction: MoveDirection;
  readonly roles: readonly StoryRole[];
  readonly reversible: boolean;
  readonly parameters: readonly MoveParameter[];
  /** Lays the move out about a subject; the reason when the numbers describe no path. */
  readonly shape: (values: MoveValues, subject: MoveSubject) => Result<MoveShape>;
  /** Values changed so that the path gets a length (m); absent where length means nothing. */
  readonly withLength?: (values: MoveValues, lengthM: number) => MoveValues;
}
