import type { Message } from '../messages';
import type { LegCost } from '../energy';
import type { CutSegment, Aircraft, Camera, RecordingMode, Film, Location, Shot, Subject } from '../model';
import type { TakeSeconds } from '../footage';
import { distanceClass, frameFill, type DistanceClass, type FieldOfView } from '../lens';
import { type CameraMove, type Trajectory, type MoveDirection, type MoveSubject } from '../moves';
import { paceBand, type MovePace, type PaceBand } from '../pace';
import { distance, vec, type Vec3 } from '../geometry';
import { costsOf, takesOf, type ShotEnergy } from './costs';
import type { Ground } from '../terrain';
import { flyLayout, type Frame, layoutOf, type ShotParts } from './layout';
import { paceAlong } from './pace-along';
import { skyInFrame } from './sky-in-frame';
import type { SkySeen } from '../light';
import type { SurfaceAt } from '../site';

/** Everything worked out about one shot by itself, before it is put into a flight. */
export interface ShotFacts {
  readonly shot: Shot;
  readonly film: Film;
  readonly location: Location;
  readonly subject: Subject | null;
  readonly aim: MoveSubject;
  readonly move: CameraMove | null;
  /** Way it goes as flown, reversed or not. */
  readonly direction: MoveDirection;
  readonly aircraft: Aircraft | null;
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  /** What the cut sees. */
  readonly fov: FieldOfView;
  readonly frame: Frame;
  readonly segments: readonly CutSegment[];
  readonly capturedS: number;
  readonly wantedS: number;
  readonly trajectory: Trajectory | null;
  /** Why there is no path, in words. */
  readonly noPath: Message | null;
  readonly seconds: TakeSeconds;
  readonly resetLeg: LegCost;
  readonly energy: ShotEnergy | null;
  readonly bytes: number;
  readonly pace: MovePace;
  readonly band: PaceBand;
  /** Share of the frame's height the subject fills at the nearest moment. */
  readonly fill: number;
  readonly rangeM: number;
  readonly framing: DistanceClass;
  /** Sky the move shows; null where it shows none. */
  readonly skySeen: SkySeen | null;
  readonly fromPoint: Vec3;
  readonly toPoint: Vec3;
  readonly ground: Ground | undefined;
  readonly surfaceAt: SurfaceAt | undefined;
  /** Lowest and highest of the path above the ground below it, m; above the origin where none is known. */
  readonly overGround: HeightsOver;
}

export interface HeightsOver {
  readonly lowestM: number;
  readonly highestM: number;
}

const nearest = (trajectory: Trajectory, aim: MoveSubject): number =>
  trajectory.samples.reduce((min, s) => Math.min(min, distance(s.pose.at, aim.aim)), Infinity);

const ORIGIN = vec(0, 0, 0);

/** Where the shot begins and where its last take leaves the aircraft. */
const endsOf = (shot: Shot, trajectory: Trajectory | null): { fromPoint: Vec3; toPoint: Vec3 } => {
  if (!trajectory) return { fromPoint: ORIGIN, toPoint: ORIGIN };
  const takes = takesOf(shot);
  const endsAtStart = takes === 0 || (shot.takeStyle === 'there-and-back' && takes % 2 === 0);
  return { fromPoint: trajectory.start.at, toPoint: endsAtStart ? trajectory.start.at : trajectory.end.at };
};

/** Heights above the ground below; where nothing is known of it, above the origin, as without a grid. */
const heightsOver = (trajectory: Trajectory | null, ground: Ground | undefined): HeightsOver => {
  if (!trajectory) return { lowestM: NaN, highestM: NaN };
  if (!ground) return { lowestM: trajectory.lowestM, highestM: trajectory.highestM };
  let [lowestM, highestM] = [Infinity, -Infinity];
  for (const {
    pose: { at },
  } of trajectory.samples) {
    const below = ground.at(at.x, at.y);
    const over = Number.isNaN(below) ? at.z : at.z - below;
    if (over < lowestM) lowestM = over;
    if (over > highestM) highestM = over;
  }
  return { lowestM, highestM };
};

/** How the subject stands in the frame at the nearest moment. */
export const framingOf = (trajectory: Trajectory | null, aim: MoveSubject, fov: FieldOfView) => {
  const rangeM = trajectory ? nearest(trajectory, aim) : NaN;
  const fill = frameFill(aim.heightM, rangeM, fov.verticalDeg);
  return { rangeM, fill, framing: distanceClass(fill) };
};

/**
 * A shot in other weather of its location: seconds and energy are another, the path and what it shows stay; but for a move
 * that the air itself shapes.
 * @param base the shot as worked out for parts that differ in the weather only
 */
export const factsInWeather = (base: ShotFacts, parts: ShotParts): ShotFacts => {
  if (base.move?.shapedByAir) return shotFacts(parts);
  return { ...base, location: parts.location, ...costsOf(parts, base.trajectory, base.camera, base.mode) };
};

/** Works out one shot: path, seconds, energy, bytes, pace, framing. Every figure is derived; nothing is stored. */
export const shotFacts = (parts: ShotParts): ShotFacts => {
  const { shot, film, location, aircraft, subject } = parts;
  const layout = layoutOf(parts);
  const { aim, move, direction, camera, mode, fov, frame, segments, capturedS, wantedS } = layout;
  const path = flyLayout(layout, parts);
  const trajectory = path.ok ? path.value : null;
  const costs = costsOf(parts, trajectory, camera, mode);
  const pace = paceAlong({ trajectory, fov, aim, direction, subject, surfaceAt: parts.surfaceAt });
  const { rangeM, fill, framing } = framingOf(trajectory, aim, fov);
  const { fromPoint, toPoint } = endsOf(shot, trajectory);
  // Spelled out: spreading parts into it costs as much as working half of them out.
  return {
    shot,
    film,
    location,
    subject,
    aim,
    move,
    direction,
    aircraft,
    camera,
    mode,
    fov,
    frame,
    segments,
    capturedS,
    wantedS,
    trajectory,
    noPath: path.ok ? null : path.reason,
    resetLeg: costs.resetLeg,
    seconds: costs.seconds,
    energy: costs.energy,
    bytes: costs.bytes,
    pace,
    band: paceBand(pace.crossingS),
    rangeM,
    fill,
    framing,
    skySeen: skyInFrame(trajectory, fov, shot.profile ?? film.preferences.profile),
    fromPoint,
    toPoint,
    ground: parts.ground,
    surfaceAt: parts.surfaceAt,
    overGround: heightsOver(trajectory, parts.ground),
  };
};
