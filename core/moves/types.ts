import { type Message } from '../messages';
import type { MoveValues, RoutePoint, StoryRole } from '../model';
import type { Quantity, Result } from '../units';
import type { Vec3 } from '../geometry';
import type { Pose } from './pose';

export type StickInput = 'throttle' | 'forward' | 'sideways' | 'yaw' | 'tilt' | 'zoom';

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

/** What a move is mostly chosen for in a cut: how moves are grouped when one is looked for. */
export type MovePurpose = 'open' | 'reveal' | 'follow' | 'pass' | 'detail' | 'leave' | 'top-down' | 'still';

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
  /** Where a slider usually ends; a field takes more. The limit itself where left out. */
  readonly usualMax?: number;
  /** A yes/no choice stored as 1 or 0, with its two words. */
  readonly choice?: readonly [off: string, on: string];
  readonly hint?: string;
}

/** A part of a move that is flown in several, each eased by itself. */
export type Leg =
  | { readonly by: 'path'; readonly lengthM: number; readonly speedMs: number }
  | { readonly by: 'turn'; readonly turnDeg: number; readonly rateDegS: number }
  | { readonly by: 'wait'; readonly seconds: number };

/** How gently an aircraft is started and stopped. */
export interface Easing {
  /** Mean acceleration along a path, m/s². */
  readonly accelMs2: number;
  /** Mean angular acceleration of a turn, °/s². */
  readonly turnAccelDegS2: number;
}

/** How the progress along a path is timed. */
export type Extent =
  | { readonly by: 'path'; readonly lengthM: number; readonly speedMs: number }
  | { readonly by: 'turn'; readonly turnDeg: number; readonly rateDegS: number }
  | { readonly by: 'hold' }
  /** So many seconds at an even pace, without ramps: a time-lapse. */
  | { readonly by: 'time'; readonly lengthM: number; readonly seconds: number }
  /** One after another, each taking an equal share of the path; the cut uses one of them. */
  | { readonly by: 'legs'; readonly legs: readonly Leg[] }
  /** A speed wanted at each share of the path, reached and left as gently as the easing allows. */
  | { readonly by: 'speeds'; readonly lengthM: number; readonly speedAt: (share: number) => number };

/** What some moves need to know beyond their numbers: lens, cut and airframe. */
export interface MoveContext {
  readonly horizontalFovDeg: number;
  readonly verticalFovDeg: number;
  /** Seconds the clip lasts on the timeline, and its frame rate. */
  readonly clipS: number;
  readonly timelineFps: number;
  readonly points: readonly RoutePoint[];
  readonly craft: {
    readonly name: string;
    readonly spanM: number;
    readonly heightM: number;
    readonly massKg: number;
    readonly dragAreaM2: number;
    readonly fixedTiltDeg: number | null;
    readonly densityKgM3: number;
    readonly maxYawDegS: number;
  } | null;
}

/** Where nothing more is known. */
export const PLAIN_CONTEXT: MoveContext = {
  horizontalFovDeg: 73.7,
  verticalFovDeg: 45.7,
  clipS: 6,
  timelineFps: 25,
  points: [],
  craft: null,
};

/** What is recorded where it is not simply video while the move lasts. */
export interface Frames {
  readonly by: 'interval' | 'stills';
  readonly count: number;
  readonly everyS: number;
}

/** A move laid out at a place: its extent and the pose at each share of it, 0 start to 1 end. */
export interface MoveShape {
  readonly extent: Extent;
  readonly poseAt: (share: number) => Pose;
  /** Moments to know: when something comes into view. */
  readonly marks?: readonly MoveMark[];
  /** Intervals it takes to see its bends, where the usual number is too few; even. */
  readonly intervals?: number;
  /** Single frames instead of video. */
  readonly frames?: Frames;
  /** Free air the path needs across and up, where it goes through something, m. */
  readonly gap?: { readonly widthM: number; readonly heightM: number; readonly marginM: number };
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
  readonly purpose: MovePurpose;
  readonly roles: readonly StoryRole[];
  readonly reversible: boolean;
  readonly parameters: readonly MoveParameter[];
  /** Lays the move out about a subject; the reason when the numbers describe no path. */
  readonly shape: (
    values: MoveValues,
    subject: MoveSubject,
    context?: MoveContext,
  ) => Result<MoveShape, Message>;
  /** Takes single frames instead of video: a few stills, or one at each interval. */
  readonly frames?: Frames['by'];
  /** The path is a list of points instead of numbers. */
  readonly byPoints?: boolean;
  /** The density of the air shapes the path: it is another in other weather. */
  readonly shapedByAir?: boolean;
  /** Values changed so that the path gets a length (m); absent where length means nothing. */
  readonly withLength?: (values: MoveValues, lengthM: number) => MoveValues;
}
