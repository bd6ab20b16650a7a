import type { Vec3 } from '../geometry';
import { pathDeviation, type PathDeviation } from './deviation';
import { nearestOn } from './nearest-on';

/** A take that was noted, for finding it in a record. */
export interface TakeInTime {
  /** When it was judged: just after the recording ended, UTC ms. */
  readonly endMs: number;
  readonly lengthS: number;
}

/** A moment of a record in the metres of its location. */
export interface RecordedSpot {
  readonly utcMs: number;
  readonly at: Vec3;
}

/** A correction in the middle of a take: it strayed to one side of the line and came back. */
export interface FlownCorrection {
  /** Seconds from the start of the take to where it turned back. */
  readonly atS: number;
  /** How far it came back, m. */
  readonly byM: number;
  readonly way: 'sideways' | 'height';
}

/** A take as the record tells it, beside its planned line. */
export interface FlownTake {
  readonly path: readonly Vec3[];
  readonly deviation: PathDeviation;
  readonly corrections: readonly FlownCorrection[];
}

/** Start and end of a take belong to easing in and out. */
const MIDDLE = [0.12, 0.88] as const;
/** A satellite fix wanders by about a metre; smaller swings say nothing. */
const LEAST_M = 1.5;
/** Fixes are smoothed over so long, s. */
const SMOOTH_S = 3;
/** With fewer fixes nothing can be said. */
const LEAST_FIXES = 5;

interface Offset {
  readonly atS: number;
  readonly sideways: number;
  readonly height: number;
}

/** How far a spot lies beside (+ right) and over its nearest place on a line, m. */
const offsetFrom = (p: Vec3, line: readonly Vec3[]): { sideways: number; height: number } => {
  const near = nearestOn(p, line);
  if (!near) return { sideways: 0, height: 0 };
  const { at, from, to } = near;
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const flat = Math.hypot(dx, dy);
  return {
    sideways: flat > 1e-9 ? ((p.x - at.x) * dy - (p.y - at.y) * dx) / flat : 0,
    height: p.z - at.z,
  };
};

const smoothed = (offsets: readonly Offset[]): readonly Offset[] =>
  offsets.map(({ atS }) => {
    const around = offsets.filter((o) => Math.abs(o.atS - atS) <= SMOOTH_S / 2);
    const mean = (of: (o: Offset) => number): number => around.reduce((s, o) => s + of(o), 0) / around.length;
    return { atS, sideways: mean((o) => o.sideways), height: mean((o) => o.height) };
  });

/**
 * Where an offset turns back by the least or more, after it had moved by as much: the inner corners of the line that is left when
 * every smaller swing is taken out.
 */
const turnsOf = (offsets: readonly Offset[], way: FlownCorrection['way']): FlownCorrection[] => {
  const [first] = offsets;
  if (!first) return [];
  const corners = [first];
  let [extreme, direction] = [first, 0];
  for (const o of offsets) {
    const moved = o[way] - extreme[way];
    if (direction !== 0 && Math.sign(moved) === direction) extreme = o;
    else if (Math.abs(moved) >= LEAST_M) {
      if (direction !== 0) corners.push(extreme);
      direction = Math.sign(moved);
      extreme = o;
    }
  }
  corners.push(extreme);
  return corners.slice(1, -1).map((corner, i) => ({
    atS: corner.atS,
    byM: Math.abs((corners[i + 2] ?? corner)[way] - corner[way]),
    way,
  }));
};

/**
 * A take within a record: its path, how far it was off its planned line, and where it was corrected in the middle. Null where the
 * record has too few fixes in its seconds, or nothing was planned.
 * @param planned places of the planned line in its order, m
 */
export const flownTake = (
  spots: readonly RecordedSpot[],
  { endMs, lengthS }: TakeInTime,
  planned: readonly Vec3[],
): FlownTake | null => {
  const startMs = endMs - lengthS * 1000;
  const own = spots.filter((s) => s.utcMs >= startMs && s.utcMs <= endMs);
  const deviation = pathDeviation(
    own.map((s) => s.at),
    planned,
  );
  if (own.length < LEAST_FIXES || !deviation) return null;
  const offsets = smoothed(
    own.map((s) => ({ atS: (s.utcMs - startMs) / 1000, ...offsetFrom(s.at, planned) })),
  ).filter((o) => o.atS >= MIDDLE[0] * lengthS && o.atS <= MIDDLE[1] * lengthS);
  return {
    path: own.map((s) => s.at),
    deviation,
    corrections: [...turnsOf(offsets, 'sideways'), ...turnsOf(offsets, 'height')].sort(
      (a, b) => a.atS - b.atS,
    ),
  };
};
