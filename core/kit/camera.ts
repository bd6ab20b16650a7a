/** A way a camera records. */
export interface RecordingMode {
  readonly id: string;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly fps: number;
  readonly megabitsPerS: number;
  readonly codec: string;
  /** Zoom this mode allows; 0 is what the camera allows. */
  readonly maxZoom: number;
  /** Zoom up to which the sensor has pixels to spare, so that nothing is lost. */
  readonly losslessZoom: number;
}

/** How a picture is recorded for what is done with it after: as it will be seen, flat for grading, or for high-dynamic screens. */
export const PROFILE_SCHOOLS = ['standard', 'flat', 'high-dynamic'] as const;
export type ProfileSchool = (typeof PROFILE_SCHOOLS)[number];

/** A profile of a camera with the ISO range it is confined to. */
export interface Profile {
  readonly school: ProfileSchool;
  readonly name: string;
  readonly isoBase: number;
  readonly isoCeiling: number;
}

/** A camera on an aircraft. */
export interface Camera {
  readonly id: string;
  readonly name: string;
  readonly equivalentMm: number;
  /** f-numbers it can be set to; one means a fixed aperture. */
  readonly apertures: readonly number[];
  readonly isoBase: number;
  readonly isoCeiling: number;
  readonly maxZoom: number;
  /** Tilt it is screwed on at, deg; null where a gimbal tilts it. */
  readonly fixedTiltDeg: number | null;
  /** Size of one still as the camera compresses it, and as it comes off the sensor; MB, 0 where it keeps none. */
  readonly stillMB: number;
  readonly rawMB: number;
  /** Diagonal of the sensor, mm; null where unknown. */
  readonly sensorDiagonalMm: number | null;
  readonly focus: 'fixed' | 'adjustable';
  /** f-numbers between which the lens is at its sharpest. */
  readonly sharpFromF: number;
  readonly sharpToF: number;
  /** Profiles it offers; none listed stands for a standard one with the range above. */
  readonly profiles: readonly Profile[];
  readonly modes: readonly RecordingMode[];
}
