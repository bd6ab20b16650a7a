import type { Message, Name } from '../messages';
import type { LossAction } from '../model';
import type { Vec3 } from '../geometry';
import type { Trajectory } from '../moves';
import type { SenseSide } from './travel-side';

/** A moment of a move with something to tell about the place. */
export interface Spotted {
  readonly timeS: number;
  readonly at: Vec3;
}

export interface ZoneMeet {
  readonly featureId: string;
  readonly fromS: number;
  readonly toS: number;
  /** Nearest the path comes, m; 0 inside. */
  readonly nearM: number;
  readonly at: Vec3;
  /** The way home crosses it, not only the path. */
  readonly onWayHome: boolean;
}

/** What the place means to one shot. Heights are local z unless named above ground. */
export interface SiteShot {
  readonly shotId: string;
  readonly launchId: string | null;
  readonly launch: Vec3;
  readonly eye: Vec3;
  /** Thing the path comes nearest to, free air less half of the aircraft, m. */
  readonly nearest:
    | (Spotted & {
        readonly id: string;
        readonly name: Name;
        readonly freeM: number;
        readonly topM: number;
        /** The side that goes first there; null where it stands still. */
        readonly goes: SenseSide | null;
      })
    | null;
  /** Narrow place it flies through, as it was measured. */
  readonly gap: Trajectory['gap'] | null;
  /** How far a gust carries it before it is held, m. */
  readonly driftM: number;
  readonly lowest: (Spotted & { readonly aboveGroundM: number }) | null;
  readonly highest: (Spotted & { readonly aboveGroundM: number }) | null;
  readonly groundUnknown: boolean;
  readonly sight: {
    readonly limitM: number;
    readonly farthestM: number;
    readonly farthestS: number;
    readonly hidden: readonly {
      readonly fromS: number;
      readonly toS: number;
      readonly by: Name;
      readonly at: Vec3;
    }[];
  };
  readonly zones: readonly ZoneMeet[];
  readonly home: {
    /** Where on the path the way home is hardest. */
    readonly from: Vec3;
    readonly fromS: number;
    readonly tallestM: number;
    readonly by: Name;
    readonly at: { readonly x: number; readonly y: number };
    /** Return height asked for, and the most the ceiling allows, above the launch point, m. */
    readonly needM: number;
    readonly mostM: number;
  } | null;
  readonly overWaterS: number;
  readonly planBM: number | null;
  /** What stands over the aircraft somewhere along the path. */
  readonly overhead: Name | null;
  readonly loss: {
    readonly chosen: LossAction;
    readonly advice: LossAction;
    readonly why: Message;
    readonly meets: Readonly<Record<LossAction, Message>>;
  };
  /** From the pilot to start and end: bearing, distance over the ground. */
  readonly fromPilot: readonly { readonly bearingDeg: number; readonly distanceM: number }[];
}
