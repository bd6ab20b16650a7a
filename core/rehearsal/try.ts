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
/** So often a state is kept to go back to: twice a second. */
const SNAPSHOT = 60;

const sameControls = (a: Controls, b: Controls): boolean =>
  a.forward === b.forward && a.right === b.right && a.up === b.up && a.yaw === b.yaw && a.tilt === b.tilt;

/** A try of a shot: flown step by step, kept so that it can be marked and flown again exactly. */
export class Try {
  private now: FlownState;
  private steps = 0;
  private kept: TrySample[] = [];
  private inputs: { steps: number; controls: Controls }[] = [];
  private snapshots: { readonly steps: number; readonly state: FlownState }[] = [];
  /** It was taken back and flown on from there: it teaches, but it is no try. */
  rewound = false;

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
      if (this.steps % SNAPSHOT === 0) this.snapshots.push({ steps: this.steps, state: this.now });
      if (this.steps % KEEP === 0)
        this.kept.push({ tS: this.now.tS, pose: this.pose, velocity: this.now.velocity, controls });
      this.now = stepFlight(this.now, controls, this.craft, this.place);
      this.steps += 1;
    }
  }

  /** Goes back by some seconds, to the beginning at most; what was flown since then is forgotten. */
  rewind(seconds: number): void {
    const to = Math.max(0, this.steps - stepsIn(seconds));
    const snapshot = this.snapshots.findLast((s) => s.steps <= to);
    if (!snapshot) return;
    this.rewound = true;
    this.now = snapshot.state;
    this.steps = snapshot.steps;
    this.snapshots = this.snapshots.filter((s) => s.steps < snapshot.steps);
    this.kept = this.kept.slice(0, Math.ceil(snapshot.steps / KEEP));
    const inputs: typeof this.inputs = [];
    let left = snapshot.steps;
    for (const run of this.inputs) {
      if (left <= 0) break;
      inputs.push({ ...run, steps: Math.min(left, run.steps) });
      left -= run.steps;
    }
    this.inputs = inputs;
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
