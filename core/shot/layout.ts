import { airDensity } from '../air';
import { beatsToSeconds, capturedSeconds, meanFactor, steadySecondsWanted } from '../footage';
import type {
  CutSegment,
  Aircraft,
  Camera,
  RecordingMode,
  MoveValues,
  Film,
  Location,
  Shot,
  Subject,
} from '../model';
import { fieldOfView, type FieldOfView } from '../lens';
import {
  combined,
  fly,
  moveOf,
  reversed,
  type CameraMove,
  type Easing,
  type Trajectory,
  type LayOut,
  type MoveContext,
  type MoveShape,
  type MoveSubject,
} from '../moves';
import type { Ground } from '../terrain';
import { found, none, type Result } from '../units';
import { vec } from '../geometry';
import { TURN_ACCEL_DEG_S2 } from './constants';
import { overGround } from './over-ground';

/** A shot with everything it stands in. */
export interface ShotParts {
  readonly shot: Shot;
  readonly film: Film;
  readonly location: Location;
  readonly subject: Subject | null;
  readonly aircraft: Aircraft | null;
  /** Ground of the location; level where left out. */
  readonly ground?: Ground | undefined;
  /** Mass on top of the aircraft's own, kg; none where left out. */
  readonly addedKg?: number | undefined;
}

/** Place a shot without a subject aims at: a spot on the ground ahead of the launch point. */
const NOTHING: MoveSubject = { aim: vec(0, 60, 0), heightM: 2, widthM: 2, headingDeg: 90, speedMs: 0 };

export const aimOf = (subject: Subject | null): MoveSubject =>
  subject
    ? {
        aim: vec(subject.xM, subject.yM, subject.baseM + subject.heightM / 2),
        heightM: subject.heightM,
        widthM: subject.widthM,
        headingDeg: subject.headingDeg,
        speedMs: subject.speedMs,
      }
    : NOTHING;

export const easingOf = (film: Film): Easing => ({
  accelMs2: film.preferences.easeAccelMs2,
  turnAccelDegS2: TURN_ACCEL_DEG_S2,
});

/** Camera, mode and field of view of a shot; the first there are where the chosen ones are gone. */
export const lensOf = ({
  shot,
  aircraft,
  film,
}: ShotParts): { camera: Camera | null; mode: RecordingMode | null; fov: FieldOfView } => {
  const camera = aircraft?.cameras.find((c) => c.id === shot.cameraId) ?? aircraft?.cameras[0] ?? null;
  const mode = camera?.modes.find((m) => m.id === shot.modeId) ?? camera?.modes[0] ?? null;
  return { camera, mode, fov: fieldOfView(camera?.equivalentMm ?? 24, film.aspect, Math.max(1, shot.zoom)) };
};

/** Stretches of the cut in seconds: beats and counts become one through the tempo. */
export const cutOf = ({ cut }: Shot, film: Film): readonly CutSegment[] => {
  if (cut.by === 'seconds') return cut.segments;
  const whole = beatsToSeconds(
    cut.by === 'counts' ? cut.beats * film.beatsPerCount : cut.beats,
    film.tempoBpm,
  );
  const wholeS = whole.ok ? whole.value : 0;
  const shares = cut.segments.reduce((sum, s) => sum + s.timelineS, 0);
  // Several stretches keep their shares of the music.
  return cut.segments.map((s) => ({
    ...s,
    timelineS: cut.segments.length === 1 ? wholeS : shares > 0 ? (wholeS * s.timelineS) / shares : 0,
  }));
};

export const secondsOf = (segments: readonly CutSegment[]): number =>
  segments.reduce((sum, s) => sum + s.timelineS, 0);

/** Mean speed over the whole cut. */
export const meanSpeedOf = (segments: readonly CutSegment[]): number => {
  const total = secondsOf(segments);
  return total > 0 ? segments.reduce((sum, s) => sum + s.timelineS * meanFactor(s), 0) / total : 1;
};

const contextOf = (
  parts: ShotParts,
  fov: FieldOfView,
  camera: Camera | null,
  segments: readonly CutSegment[],
): MoveContext => {
  const { aircraft, location, film, shot } = parts;
  return {
    horizontalFovDeg: fov.horizontalDeg,
    verticalFovDeg: fov.verticalDeg,
    clipS: secondsOf(segments),
    timelineFps: film.timelineFps,
    points: shot.move.points,
    craft: aircraft && {
      name: aircraft.name,
      spanM: aircraft.spanM,
      heightM: aircraft.heightM,
      massKg: aircraft.massKg,
      dragAreaM2: aircraft.dragAreaM2 ?? 0,
      fixedTiltDeg: camera?.fixedTiltDeg ?? null,
      densityKgM3: airDensity(location.elevationM, location.temperatureC),
      maxYawDegS: aircraft.maxYawDegS,
    },
  };
};

/** A shot before it is flown: what it aims at, what the cut wants, and how its numbers become a path. */
export interface Layout {
  readonly aim: MoveSubject;
  readonly move: CameraMove | null;
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  readonly fov: FieldOfView;
  readonly segments: readonly CutSegment[];
  readonly capturedS: number;
  readonly wantedS: number;
  /** Lays the move out for some of its numbers, with what is added and the way it is flown. */
  readonly lay: LayOut;
}

export const layoutOf = (parts: ShotParts): Layout => {
  const { shot, film } = parts;
  const { camera, mode, fov } = lensOf(parts);
  const segments = cutOf(shot, film);
  const capturedS = capturedSeconds(segments);
  const aim = aimOf(parts.subject);
  const move = moveOf(shot.move.kind) ?? null;
  const context = contextOf(parts, fov, camera, segments);
  const lay = (values: MoveValues): Result<MoveShape> => {
    if (!move) return none(`This version does not know the move \u201c${shot.move.kind}\u201d.`);
    const shape = move.shape(values, aim, context);
    if (!shape.ok) return shape;
    const whole = combined(shape.value, shot.move.added, aim);
    const trajectory = shot.move.reversed && move.reversible ? reversed(whole) : whole;
    return found(
      shot.overGround && parts.ground ? overGround(trajectory, parts.ground, aim.aim) : trajectory,
    );
  };
  return {
    aim,
    move,
    camera,
    mode,
    fov,
    segments,
    capturedS,
    wantedS: steadySecondsWanted(capturedS, film.preferences.minimumHoldS, film.preferences.handleS),
    lay,
  };
};

/** Flies a layout with some numbers. @param finest intervals wanted at least */
export const flyLayout = (
  layout: Layout,
  parts: ShotParts,
  values: MoveValues = parts.shot.move.values,
  finest = 0,
): Result<Trajectory> => {
  const shape = layout.lay(values);
  return shape.ok
    ? fly(shape.value, easingOf(parts.film), parts.shot.cutStyle, layout.wantedS, finest)
    : shape;
};
