import type { Pose } from '../moves';
import {
  hovering,
  poseOf,
  STEP_S,
  stepFlight,
  type FlownState,
  type RehearsedCraft,
  type RehearsedPlace,
} from './flight';
import type { Controls } from './sticks';
import type { Vec3 } from '../geometry';

/** A moment of a try as it is looked at afterwards. */
export interface TrySample {
  readonly tS: number;
  readonly pose: Pose;
  readonly velocity: Vec3;
  readonly controls: Controls;
}

/** What was asked of the sticks, run by run: steps, and what was held through them. */
export interface Recorded {
  readonly steps: number;
  readonly controls: Controls;
}

/** Every so many steps a sample is kept: 30 a second. */
const KEEP = 4;

const sameControls = (a: Controls, b: Controls): boolean =>
  a.forward === b.forward && a.right === b.right && a.up === b.up && a.yaw === b.yaw && a.tilt === b.tilt;

/** A try of a shot: flown step by step, kept so that it can be marked and flown again exactly. */
export class Try {
  private now: FlownState;
  private steps = 0;
  private readonly kept: TrySample[] = [];
  private readonly inputs: { steps: number; controls: Controls }[] = [];

  constructor(
    start: Pose,
    private readonly craft: RehearsedCraft,
    private readonly place: RehearsedPlace,
  ) {
    this.now = hovering(start);
  }

  get state(): FlownState {
    return this.now;
  }
  get pose(): Pose {
    return poseOf(this.now, this.craft);
  }
  get samples(): readonly TrySample[] {
    return this.kept;
  }
  /** Everything the sticks were asked for. */
  get recorded(): readonly Recorded[] {
    return this.inputs;
  }

  /** Flies on for so many steps with the sticks held. */
  fly(controls: Controls, steps = 1): void {
    const last = this.inputs.at(-1);
    if (last && sameControls(last.controls, controls)) last.steps += steps;
    else this.inputs.push({ steps, controls });
    for (let i = 0; i < steps; i += 1) {
      if (this.steps % KEEP === 0)
        this.kept.push({ tS: this.now.tS, pose: this.pose, velocity: this.now.velocity, controls });
      this.now = stepFlight(this.now, controls, this.craft, this.place);
      this.steps += 1;
    }
  }
}

/** Flies what was recorded again: with the same draws it is the same flight. */
export const replay = (
  start: Pose,
  craft: RehearsedCraft,
  place: RehearsedPlace,
  recorded: readonly Recorded[],
): Try => {
  const again = new Try(start, craft, place);
  for (const { controls, steps } of recorded) again.fly(controls, steps);
  return again;
};

/** Steps of so many seconds. */
export const stepsIn = (seconds: number): number => Math.max(0, Math.round(seconds / STEP_S));
