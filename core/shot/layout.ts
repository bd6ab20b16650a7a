import { message, type Message } from '../messages';
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
import { type Crop, cropTo, fieldOfView, type FieldOfView, frameShape, type FrameShape } from '../lens';
import {
  directionFlown,
  type MoveDirection,
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
import type { SurfaceAt } from '../site';
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
  /** Ground with what stands on it, for what passes under the camera; the ground alone where left out. */
  readonly surfaceAt?: SurfaceAt | undefined;
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

/** What a camera records, and what the cut uses of it. */
export interface Frame {
  /** Whole recorded frame: of the mode for video, of the stills for single frames. */
  readonly fov: FieldOfView;
  readonly shape: FrameShape;
  /** Pixels of the cut's crop; of the whole frame for stills. */
  readonly cutPx: readonly [number, number];
  /** Share of the pixels the cut uses. */
  readonly pixelShare: number;
  readonly widthShare: number;
  readonly heightShare: number;
  /** Crop in the second aspect the shot is wanted in. */
  readonly also: Crop | null;
}

export interface Lens {
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  /** What the cut sees: the crop of the recorded frame for video, the whole frame for stills. */
  readonly fov: FieldOfView;
  readonly frame: Frame;
}

const PLAIN_MM = 24;
const PLAIN_PX: FrameShape = [3840, 2160];

/** Whether a shot ends as single stills and not as a clip. */
const endsAsStills = (shot: Shot): boolean =>
  shot.records === 'stills' || moveOf(shot.move.kind)?.frames === 'stills';

/** Camera and mode of a shot; the first there are where the chosen ones are gone. */
const recorderOf = (
  shot: Shot,
  aircraft: Aircraft | null,
): { camera: Camera | null; mode: RecordingMode | null } => {
  const camera = aircraft?.cameras.find((c) => c.id === shot.cameraId) ?? aircraft?.cameras[0] ?? null;
  return { camera, mode: camera?.modes.find((m) => m.id === shot.modeId) ?? camera?.modes[0] ?? null };
};

/** Camera, mode and frame of a shot. */
export const lensOf = ({ shot, aircraft, film }: Pick<ShotParts, 'shot' | 'aircraft' | 'film'>): Lens => {
  const { camera, mode } = recorderOf(shot, aircraft);
  const px: FrameShape = mode ? [mode.widthPx, mode.heightPx] : PLAIN_PX;
  const stills = endsAsStills(shot);
  const single = stills || moveOf(shot.move.kind)?.frames === 'interval';
  const shape = single && camera ? frameShape(camera.stillAspect) : px;
  const fov = fieldOfView(camera?.equivalentMm ?? PLAIN_MM, shape, Math.max(1, shot.zoom));
  const { fov: seen, ...crop } = cropTo(fov, shape, stills ? shape : frameShape(film.aspect));
  return {
    camera,
    mode,
    fov: seen,
    frame: {
      fov,
      shape,
      cutPx: [px[0] * crop.widthShare, px[1] * crop.heightShare],
      ...crop,
      also: shot.alsoAspect === null || stills ? null : cropTo(fov, shape, frameShape(shot.alsoAspect)),
    },
  };
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
  /** Way it goes as flown, reversed or not. */
  readonly direction: MoveDirection;
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  readonly fov: FieldOfView;
  readonly frame: Frame;
  readonly segments: readonly CutSegment[];
  readonly capturedS: number;
  readonly wantedS: number;
  /** Lays the move out for some of its numbers, with what is added and the way it is flown. */
  readonly lay: LayOut;
}

export const layoutOf = (parts: ShotParts): Layout => {
  const { shot, film } = parts;
  const { camera, mode, fov, frame } = lensOf(parts);
  const segments = cutOf(shot, film);
  const capturedS = capturedSeconds(segments);
  const aim = aimOf(parts.subject);
  const move = moveOf(shot.move.kind) ?? null;
  const context = contextOf(parts, fov, camera, segments);
  const lay = (values: MoveValues): Result<MoveShape, Message> => {
    if (!move) return none(message('path.move-unknown', { kind: shot.move.kind }));
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
    direction: directionFlown(move?.direction ?? 'still', shot.move.reversed),
    camera,
    mode,
    fov,
    frame,
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
): Result<Trajectory, Message> => {
  const shape = layout.lay(values);
  return shape.ok
    ? fly(shape.value, easingOf(parts.film), parts.shot.cutStyle, layout.wantedS, finest)
    : shape;
};
