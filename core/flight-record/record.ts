import { distance, fromLocal, toLocal, vec, type Vec3 } from '../geometry';
import type { Location } from '../model';
import type { FlightSample } from '../simulated-flight';

/** A moment of a flight as a track or a flight record tells it. */
export interface RecordPoint {
  readonly utcMs: number;
  readonly latitude: number;
  readonly longitude: number;
  /** Above the place of take-off, m; null where the file has none. */
  readonly heightM: number | null;
  /** Charge shown, 0 to 1; null where the file has none. */
  readonly share: number | null;
}

/** A flight as a file tells it. */
export interface FlightRecord {
  readonly points: readonly RecordPoint[];
}

type Origin = Pick<Location, 'latitude' | 'longitude'>;

/** Points of a simulated flight on the globe. @param takeOffMs UTC */
export const recordOfFlight = (
  samples: readonly FlightSample[],
  origin: Origin,
  takeOffMs: number,
): FlightRecord => {
  const ground = samples[0]?.at.z ?? 0;
  return {
    points: samples.map((s) => ({
      utcMs: takeOffMs + Math.round(s.tS * 1000),
      ...fromLocal(origin.latitude, origin.longitude, s.at.x, s.at.y),
      heightM: s.at.z - ground,
      share: s.share,
    })),
  };
};

/**
 * Points of a record in the local metres of a location.
 * @param groundM height of the place of take-off in those metres: a record tells heights over it; where it tells none they are 0
 */
export const recordInMetres = ({ points }: FlightRecord, origin: Origin, groundM = 0): readonly Vec3[] =>
  points.map((p) => {
    const { xM, yM } = toLocal(origin.latitude, origin.longitude, p.latitude, p.longitude);
    return vec(xM, yM, groundM + (p.heightM ?? 0));
  });

/** What a record says of a flight. */
export interface RecordFigures {
  readonly takeOffMs: number;
  readonly minutes: number;
  /** Metres flown. */
  readonly metres: number;
  /** Farthest from where it took off, over the ground, m. */
  readonly farthestM: number;
  readonly highestM: number | null;
  readonly startShare: number | null;
  readonly endShare: number | null;
}

/** A point lower than this over its take-off, and slower, is on the ground. */
const AIRBORNE_M = 0.8;

/**
 * From where to where of a record it is in the air; all of it where heights are not told.
 * @returns indices of the first and the last point in the air
 */
const airborne = (points: readonly RecordPoint[]): readonly [number, number] => {
  const up = points.map((p) => p.heightM === null || p.heightM > AIRBORNE_M);
  const first = up.indexOf(true);
  return first === -1
    ? [0, points.length - 1]
    : [Math.max(0, first - 1), Math.min(points.length - 1, up.lastIndexOf(true) + 1)];
};

/** Figures of a record; null where it has fewer than two points in time. */
export const recordFigures = (record: FlightRecord): RecordFigures | null => {
  const [from, to] = airborne(record.points);
  const points = record.points.slice(from, to + 1);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || last.utcMs <= first.utcMs) return null;
  const at = recordInMetres({ points }, first);
  const home = at[0] ?? vec(0, 0, 0);
  const flat = (v: Vec3): number => Math.hypot(v.x - home.x, v.y - home.y);
  const heights = points.flatMap((p) => (p.heightM === null ? [] : [p.heightM]));
  const shares = points.flatMap((p) => (p.share === null ? [] : [p.share]));
  return {
    takeOffMs: first.utcMs,
    minutes: (last.utcMs - first.utcMs) / 60_000,
    metres: at.reduce((sum, p, i) => sum + (i === 0 ? 0 : distance(at[i - 1] ?? p, p)), 0),
    farthestM: at.reduce((most, v) => Math.max(most, flat(v)), 0),
    highestM: heights.length > 0 ? heights.reduce((most, h) => Math.max(most, h), -Infinity) : null,
    startShare: shares[0] ?? null,
    endShare: shares.at(-1) ?? null,
  };
};
