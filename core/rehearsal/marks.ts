import { distance, turnBetween, type Vec3 } from '../geometry';
import { measured, message, type Message } from '../messages';
import type { Pose, Trajectory } from '../moves';
import { mean } from '../units';
import type { Controls } from './sticks';
import { plannedAt, type PlannedMoment } from './ghost';
import type { TrySample } from './try';

/** What a try is marked for. */
export const MARK_KINDS = ['framing', 'path', 'speed', 'softness', 'corrections'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export interface Mark {
  readonly kind: MarkKind;
  /** 0 to 100. */
  readonly mark: number;
  /** What was measured: deg, m, share of the planned peak speed, m/s³, count. */
  readonly value: number;
  /** From here on the mark is 0. */
  readonly limit: number;
  readonly say: Message;
}

/** A moment of a try against the plan. */
export interface ErrorSample {
  readonly tS: number;
  readonly framingDeg: number;
  readonly pathM: number;
  readonly speedMs: number;
  readonly plannedSpeedMs: number;
}

export interface TryMarks {
  /** 0 to 100: the mean of the marks by their weight, for the part of the move that was flown. */
  readonly mark: number;
  readonly marks: readonly Mark[];
  /** How much of the planned move was flown, 0 to 1. */
  readonly flownShare: number;
  /** Longest stretch the cut could use, s. */
  readonly usableS: number;
  readonly errors: readonly ErrorSample[];
  /** What to change first. */
  readonly first: Message;
}

/** What counts how much. Own choice: what is seen in the cut first. */
const WEIGHT: Readonly<Record<MarkKind, number>> = {
  framing: 0.3,
  path: 0.25,
  speed: 0.2,
  softness: 0.15,
  corrections: 0.1,
};
/** A frame that is off by more than this share of its height, and a path by this share of its distance, is not usable. */
const FRAMING_SHARE = 0.3;
const PATH_SHARE = 0.15;
const LEAST_PATH_M = 2;
const SPEED_LIMIT = 0.6;
const JERK_LIMIT = 14;
const CORRECTIONS_LIMIT = 6;
const LEAST_SPEED_MS = 0.5;
/** A try that leaves more of the move than this unflown is told so first. */
const WHOLE = 0.85;

const speedOf = (v: Vec3): number => Math.hypot(v.x, v.y, v.z);

/** Angle between two directions a camera looks in, deg. */
const axisAngle = (a: Pose, b: Pose): number =>
  Math.hypot(
    turnBetween(a.headingDeg, b.headingDeg) * Math.cos(((a.tiltDeg + b.tiltDeg) / 2) * (Math.PI / 180)),
    b.tiltDeg - a.tiltDeg,
  );

/** How fast the plan may be run through against the clock when a try is laid beside it. */
const RATES = [0, 0.5, 1, 1.5, 2.5] as const;

/**
 * The plan beside a try: at each sample the planned moment that is nearest in place and direction, never going back, so that a
 * pilot who begins late or flies slower is not marked as being elsewhere.
 */
const beside = (
  samples: readonly TrySample[],
  trajectory: Trajectory,
): { readonly plan: readonly PlannedMoment[]; readonly reachedS: number } => {
  let planS = 0;
  let before = 0;
  const plan = samples.flatMap(({ tS, pose }) => {
    const step = Math.max(0, tS - before);
    before = tS;
    const off = (s: number): number => {
      const plan = plannedAt(trajectory, s);
      return plan ? distance(plan.pose.at, pose.at) + 0.1 * axisAngle(plan.pose, pose) : Infinity;
    };
    let [best, least] = [planS, Infinity];
    for (const rate of RATES) {
      const s = Math.min(trajectory.totalS, planS + rate * step);
      const d = off(s) + 1e-6 * Math.abs(rate - 1);
      if (d < least) [best, least] = [s, d];
    }
    planS = best;
    return plannedAt(trajectory, planS) ?? [];
  });
  return { plan, reachedS: planS };
};

/** Largest change of acceleration, from speeds smoothed over a fifth of a second, m/s³. */
const jerkOf = (samples: readonly TrySample[]): number => {
  const WIDE = 3;
  const smooth = samples.map((_, i) => {
    const part = samples.slice(Math.max(0, i - WIDE), i + WIDE + 1);
    return {
      x: mean(part.map((s) => s.velocity.x)),
      y: mean(part.map((s) => s.velocity.y)),
      z: mean(part.map((s) => s.velocity.z)),
    };
  });
  const dt = (samples[1]?.tS ?? 1) - (samples[0]?.tS ?? 0);
  const slope = (list: readonly Vec3[]): Vec3[] =>
    list.slice(2).map((v, i) => {
      const a = list[i] ?? v;
      return { x: (v.x - a.x) / (2 * dt), y: (v.y - a.y) / (2 * dt), z: (v.z - a.z) / (2 * dt) };
    });
  return slope(slope(smooth)).reduce((most, j) => Math.max(most, speedOf(j)), 0);
};

/** A stick that moves back by at least this much in the middle of a take has corrected. */
const CORRECTION = 0.12;
const MIDDLE = [0.12, 0.88] as const;

/**
 * Corrections in the middle of a take: each time a stick turns back against the way it was moving, by an eighth of its way or
 * more. A take that is flown through has none.
 */
export const correctionsIn = (samples: readonly TrySample[]): number => {
  const middle = samples.slice(Math.floor(samples.length * MIDDLE[0]), Math.ceil(samples.length * MIDDLE[1]));
  const turns = (axis: keyof Controls): number => {
    const way = middle.map((s) => s.controls[axis]);
    let [count, extreme, direction] = [0, way[0] ?? 0, 0];
    for (const x of way) {
      if (direction !== 0 && Math.sign(x - extreme) === direction) extreme = x;
      else if (Math.abs(x - extreme) >= CORRECTION) {
        if (direction !== 0) count += 1;
        direction = Math.sign(x - extreme);
        extreme = x;
      }
    }
    return count;
  };
  return (['forward', 'right', 'up', 'yaw', 'tilt'] as const).reduce((sum, axis) => sum + turns(axis), 0);
};

/** Longest stretch in which frame and path hold, s. */
const usableIn = (errors: readonly ErrorSample[], framingLimit: number, pathLimit: number): number => {
  let [best, from] = [0, NaN];
  for (const e of errors) {
    const holds = e.framingDeg <= framingLimit && e.pathM <= pathLimit;
    if (!holds) from = NaN;
    else if (Number.isNaN(from)) from = e.tS;
    if (holds) best = Math.max(best, e.tS - from);
  }
  return best;
};

/**
 * Marks of a try against the planned move: framing, path, evenness of speed, softness and corrections, each from 100 where it is
 * as planned to 0 at its limit. Own scale: it compares tries with each other, not pilots.
 * @param verticalFovDeg of the frame @param aimM distance of what is filmed, which errors of the path are held against
 */
export const markTry = (
  samples: readonly TrySample[],
  trajectory: Trajectory,
  verticalFovDeg: number,
  aimM: number,
): TryMarks | null => {
  if (samples.length < 10) return null;
  const { plan, reachedS } = beside(samples, trajectory);
  const flownShare = Math.min(1, reachedS / Math.max(1e-6, trajectory.totalS));
  const errors = samples.map((s, i): ErrorSample => {
    const p = plan[i];
    return {
      tS: s.tS,
      framingDeg: p ? axisAngle(s.pose, p.pose) : 0,
      pathM: p ? distance(s.pose.at, p.pose.at) : 0,
      speedMs: speedOf(s.velocity),
      plannedSpeedMs: p ? speedOf(p.velocity) : 0,
    };
  });
  const framingLimit = FRAMING_SHARE * verticalFovDeg;
  const pathLimit = Math.max(LEAST_PATH_M, PATH_SHARE * aimM);
  const peak = Math.max(LEAST_SPEED_MS, trajectory.peakSpeedMs);
  const measuredAs: Readonly<Record<MarkKind, readonly [value: number, limit: number]>> = {
    framing: [mean(errors.map((e) => e.framingDeg)), framingLimit],
    path: [mean(errors.map((e) => e.pathM)), pathLimit],
    speed: [mean(errors.map((e) => Math.abs(e.speedMs - e.plannedSpeedMs))) / peak, SPEED_LIMIT],
    softness: [jerkOf(samples), JERK_LIMIT],
    corrections: [correctionsIn(samples), CORRECTIONS_LIMIT],
  };
  const marks = MARK_KINDS.map((kind): Mark => {
    const [value, limit] = measuredAs[kind];
    return {
      kind,
      value,
      limit,
      mark: Math.round(100 * Math.max(0, 1 - value / limit)),
      say: SAY[kind](value),
    };
  });
  const worst = marks.reduce((a, b) =>
    (100 - b.mark) * WEIGHT[b.kind] > (100 - a.mark) * WEIGHT[a.kind] ? b : a,
  );
  return {
    marks,
    errors,
    flownShare,
    mark: Math.round(flownShare * marks.reduce((sum, m) => sum + m.mark * WEIGHT[m.kind], 0)),
    usableS: usableIn(errors, framingLimit, pathLimit),
    first:
      flownShare < WHOLE
        ? message('rehearsal.first.end', { share: measured(100 * flownShare, 'percent', 0) })
        : worst.mark >= 90
          ? message('rehearsal.first.none')
          : message(`rehearsal.first.${worst.kind}`),
  };
};

const SAY: Readonly<Record<MarkKind, (value: number) => Message>> = {
  framing: (v) => message('rehearsal.framing', { off: measured(v, 'degrees', 1) }),
  path: (v) => message('rehearsal.path', { off: measured(v, 'metres', 1) }),
  speed: (v) => message('rehearsal.speed', { off: measured(100 * v, 'percent', 0) }),
  softness: (v) => message('rehearsal.softness', { jerk: Math.round(v * 10) / 10 }),
  corrections: (v) => message('rehearsal.corrections', { count: v }),
};
