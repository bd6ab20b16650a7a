import { distance, turnBetween, type Vec3 } from '../geometry';
import { measured, message, type Message } from '../messages';
import type { Pose, Trajectory } from '../moves';
import { mean } from '../units';
import { correctionsIn, jerkAlong, pushAlong } from './hands';
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
  /** What the mark comes from, sample by sample, in the unit of its value; for corrections how far the sticks stood off their middle. */
  readonly curve: readonly CurvePoint[];
  /** Seconds that count one by one: the corrections. */
  readonly moments: readonly number[];
  readonly say: Message;
}

/** A point of a curve over a try. */
export interface CurvePoint {
  readonly tS: number;
  readonly value: number;
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
  const along = (of: (i: number, e: ErrorSample) => number): readonly CurvePoint[] =>
    errors.map((e, i) => ({ tS: e.tS, value: of(i, e) }));
  const [jerk, push, moments] = [jerkAlong(samples), pushAlong(samples), correctionsIn(samples)];
  const curves: Readonly<Record<MarkKind, readonly CurvePoint[]>> = {
    framing: along((_, e) => e.framingDeg),
    path: along((_, e) => e.pathM),
    speed: along((_, e) => Math.abs(e.speedMs - e.plannedSpeedMs) / peak),
    softness: along((i) => jerk[i] ?? 0),
    corrections: along((i) => push[i] ?? 0),
  };
  const meanOf = (kind: MarkKind): number => mean(curves[kind].map((p) => p.value));
  const measuredAs: Readonly<Record<MarkKind, readonly [value: number, limit: number]>> = {
    framing: [meanOf('framing'), framingLimit],
    path: [meanOf('path'), pathLimit],
    speed: [meanOf('speed'), SPEED_LIMIT],
    softness: [curves.softness.reduce((most, p) => Math.max(most, p.value), 0), JERK_LIMIT],
    corrections: [moments.length, CORRECTIONS_LIMIT],
  };
  const marks = MARK_KINDS.map((kind): Mark => {
    const [value, limit] = measuredAs[kind];
    return {
      kind,
      value,
      limit,
      curve: curves[kind],
      moments: kind === 'corrections' ? moments : [],
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
