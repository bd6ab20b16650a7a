import { fromLocal, type Vec3 } from '../geometry';
import type { Feature, Location } from '../model';
import { inFlyingOrder, shotLines, type Handover, type ShotLine } from './lines';

/** A place on the globe with its height above sea level, m. */
export interface MapPoint {
  readonly latitude: number;
  readonly longitude: number;
  readonly heightM: number;
}

/** Something to do at a point of a path. */
export interface PathAction {
  readonly at: MapPoint;
  readonly name: string;
  readonly headingDeg: number;
  readonly tiltDeg: number;
  readonly speedMs: number;
}

/** The path of a shot on the globe. */
export interface MapPath {
  readonly line: ShotLine;
  readonly points: readonly MapPoint[];
  readonly actions: readonly PathAction[];
}

/** Something of a site map on the globe: its outline at the ground, how high it stands. */
export interface MapThing {
  readonly feature: Feature;
  readonly location: Location;
  readonly points: readonly MapPoint[];
}

/** On the globe, heights above sea level: those of the location's origin and what lies above it. */
const onGlobe =
  (location: Location) =>
  ({ x, y, z }: Vec3): MapPoint => ({
    ...fromLocal(location.latitude, location.longitude, x, y),
    heightM: location.elevationM + z,
  });

/** Tilting faster than this is an action of its own, deg/s. */
const TILT_DEG_S = 2;

const actionsOf = (line: ShotLine): readonly PathAction[] => {
  const { trajectory, location } = line.shot.facts;
  if (!trajectory) return [];
  const { samples } = trajectory;
  const speed = (i: number): number => {
    const v = samples[i]?.velocity;
    return v ? Math.hypot(v.x, v.y, v.z) : 0;
  };
  const top = samples.findIndex((_, i) => speed(i) >= 0.95 * trajectory.peakSpeedMs);
  const tilts = samples.findIndex((s) => Math.abs(s.tiltDegS) > TILT_DEG_S);
  const named: readonly (readonly [number, string])[] = [
    [0, 'start'],
    ...(top > 0 && trajectory.peakSpeedMs > 0.1 ? [[top, 'full speed'] as const] : []),
    ...(tilts > 0 ? [[tilts, 'tilt'] as const] : []),
    [samples.length - 1, 'stop'],
  ];
  return named.flatMap(([i, name]) => {
    const s = samples[i];
    return s
      ? [
          {
            at: onGlobe(location)(s.pose.at),
            name,
            headingDeg: Math.round(s.pose.headingDeg * 10) / 10,
            tiltDeg: Math.round(s.pose.tiltDeg * 10) / 10,
            speedMs: Math.round(speed(i) * 100) / 100,
          },
        ]
      : [];
  });
};

/** Paths of the shots of a film in the order they are flown; without those that have none, or lie nobody knows where. */
export const mapPaths = (whole: Handover): readonly MapPath[] =>
  inFlyingOrder(shotLines(whole)).flatMap((line) => {
    const { trajectory, location } = line.shot.facts;
    return trajectory && location.placed
      ? [
          {
            line,
            points: trajectory.samples.map((s) => onGlobe(location)(s.pose.at)),
            actions: actionsOf(line),
          },
        ]
      : [];
  });

/** What stands on the site maps of a film, on the globe. */
export const mapThings = ({ input }: Handover): readonly MapThing[] =>
  input.features.flatMap((feature) => {
    const location = input.locations.find((l) => l.id === feature.locationId);
    if (!location?.placed) return [];
    const ground = input.terrain?.get(location.id);
    const z = (x: number, y: number): number => {
      const known = ground?.at(x, y) ?? 0;
      return Number.isFinite(known) ? known : 0;
    };
    return [
      {
        feature,
        location,
        points: feature.points.map((p) => onGlobe(location)({ x: p.xM, y: p.yM, z: z(p.xM, p.yM) })),
      },
    ];
  });

/** Corners of an area in the order a right hand turns (RFC 7946, 3.1.6), closed. */
export const closedRing = (points: readonly MapPoint[]): readonly MapPoint[] => {
  const twice = points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    return sum + (a.longitude * b.latitude - b.longitude * a.latitude);
  }, 0);
  const ring = twice < 0 ? [...points].reverse() : [...points];
  return ring[0] ? [...ring, ring[0]] : [];
};
