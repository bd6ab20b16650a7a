import { Type } from '@sinclair/typebox';
import {
  AID_KINDS,
  CARD_ACTS,
  CARD_SPOTS,
  CHARGE_SOURCES,
  CHECK_MOMENTS,
  DEVICE_ROLES,
  FLIGHT_VERDICTS,
  GEAR_ROLES,
  PACK_STATES,
  PROFILE_SCHOOLS,
  SENSE_SIDES,
} from '../core/kit';
import {
  Above,
  Between,
  filled,
  LocalDate,
  Name,
  Nullable,
  OneOf,
  ShortText,
  strict,
  Uuid,
  Whole,
} from './parts';

/** What runs in it, and when somebody last looked for a newer one. */
const firmware = {
  firmware: filled(Type.String({ maxLength: 60 }), ''),
  firmwareOn: filled(Nullable(LocalDate), null),
};
const PartId = Type.String({ minLength: 1, maxLength: 60 });

export const ModeSchema = strict({
  id: PartId,
  name: Name,
  widthPx: Whole(16, 20_000),
  heightPx: Whole(16, 20_000),
  fps: Between(1, 480),
  megabitsPerS: Above(0, 10_000),
  codec: filled(ShortText, ''),
  /** Zoom this mode allows; 0 takes the camera's. */
  maxZoom: filled(Between(0, 30), 0),
  /** Zoom up to which nothing is lost. */
  losslessZoom: filled(Between(1, 30), 1),
});

/** How it is recorded for what is done with it after, with the ISO range that comes with it. */
const ProfileSchema = strict({
  school: OneOf(...PROFILE_SCHOOLS),
  name: Name,
  isoBase: Between(1, 100_000),
  isoCeiling: Between(1, 1_000_000),
});

export const CameraSchema = strict({
  id: PartId,
  name: Name,
  equivalentMm: Between(4, 2000),
  apertures: Type.Array(Above(0, 64), { minItems: 1, maxItems: 30 }),
  isoBase: Between(1, 100_000),
  isoCeiling: Between(1, 1_000_000),
  maxZoom: Between(1, 30),
  /** Tilt it is screwed on at; null where a gimbal tilts it. */
  fixedTiltDeg: filled(Nullable(Between(-30, 80)), null),
  stillMB: filled(Above(0, 1000), 20),
  rawMB: filled(Between(0, 2000), 0),
  sensorDiagonalMm: filled(Nullable(Above(0, 100)), null),
  focus: filled(OneOf('fixed', 'adjustable'), 'adjustable'),
  sharpFromF: filled(Above(0, 64), 2.8),
  sharpToF: filled(Above(0, 64), 5.6),
  profiles: filled(Type.Array(ProfileSchema, { maxItems: 6 }), []),
  modes: Type.Array(ModeSchema, { minItems: 1, maxItems: 40 }),
});

/** What the sticks are set to: rates at full stick, how softly they start, how flat the middle is. */
const HandlingSchema = strict({
  maxSpeedMs: Above(0, 100),
  maxYawDegS: Above(0, 720),
  maxTiltDegS: Above(0, 720),
  smoothing: Between(0, 1),
  tiltSmoothing: filled(Between(0, 1), 0.4),
  expo: Between(0, 1),
});
const HANDLING_DEFAULTS = {
  slow: { maxSpeedMs: 3, maxYawDegS: 20, maxTiltDegS: 12, smoothing: 0.7, tiltSmoothing: 0.7, expo: 0.6 },
  normal: { maxSpeedMs: 10, maxYawDegS: 60, maxTiltDegS: 30, smoothing: 0.4, tiltSmoothing: 0.4, expo: 0.4 },
  fast: { maxSpeedMs: 20, maxYawDegS: 100, maxTiltDegS: 60, smoothing: 0.2, tiltSmoothing: 0.2, expo: 0.3 },
};

/** Something the aircraft can fly by itself, with its limits. */
const AbilitySchema = strict({
  kind: OneOf(...AID_KINDS),
  maxSpeedMs: Above(0, 60),
  minDistanceM: Between(0, 1000),
  maxDistanceM: Between(0, 5000),
});

export const AircraftSchema = strict({
  id: Uuid,
  name: Name,
  massKg: Above(0, 25),
  rotors: Whole(1, 12),
  rotorDiameterM: Above(0, 2),
  packWh: Above(0, 2000),
  hoverMinutes: Above(0, 300),
  cruiseMinutes: Between(0, 300),
  cruiseSpeedMs: Between(0, 60),
  maxSpeedMs: Above(0, 100),
  windLimitMs: Above(0, 60),
  dragAreaM2: Between(0, 2),
  maxClimbMs: Above(0, 30),
  maxDescentMs: Above(0, 30),
  maxYawDegS: Above(0, 720),
  maxTiltDegS: filled(Above(0, 720), 60),
  /** Largest width tip to tip with propellers, and height, m. */
  spanM: filled(Above(0, 5), 0.4),
  heightM: filled(Above(0, 3), 0.15),
  handling: filled(
    strict({ slow: HandlingSchema, normal: HandlingSchema, fast: HandlingSchema }),
    HANDLING_DEFAULTS,
  ),
  abilities: filled(Type.Array(AbilitySchema, { maxItems: 20 }), []),
  cameras: Type.Array(CameraSchema, { minItems: 1, maxItems: 8 }),
  senses: filled(Type.Array(OneOf(...SENSE_SIDES), { maxItems: 6, uniqueItems: true }), []),
  /** Most the camera tilts up, and tilt from which the propellers stand in the picture, deg. */
  tiltUpDeg: filled(Between(0, 90), 30),
  propsFromDeg: filled(Between(0, 90), 90),
  registration: filled(Type.String({ maxLength: 60 }), ''),
  insurance: filled(Type.String({ maxLength: 200 }), ''),
  insuredUntil: filled(Nullable(LocalDate), null),
  /** Mass of the pack its own mass is stated with, g; 0 where nobody weighed it. */
  usualPackG: filled(Between(0, 20_000), 0),
  internalGB: filled(Between(0, 100_000), 0),
  ...firmware,
  notes: ShortText,
  retired: Type.Boolean(),
});

export const PackSchema = strict({
  id: Uuid,
  name: Name,
  aircraftIds: Type.Array(Uuid, { maxItems: 50 }),
  ratedWh: Above(0, 2000),
  charge: Between(0, 1),
  health: Above(0, 1),
  cycles: Whole(0, 10_000),
  /** Day it was last charged; null where nobody knows. */
  chargedOn: filled(Nullable(LocalDate), null),
  /** Days a full pack holds before it drains itself for storage. */
  drainDelayDays: filled(Between(0, 60), 3),
  /** Minutes from empty to full on its own charger. */
  chargeMinutes: filled(Above(0, 1440), 70),
  /** Cycles it is trusted for. */
  mostCycles: filled(Whole(1, 10_000), 200),
  condition: filled(OneOf(...PACK_STATES), 'sound'),
  massG: filled(Between(0, 20_000), 0),
  ...firmware,
  notes: ShortText,
  retired: Type.Boolean(),
});

export const CardSchema = strict({
  id: Uuid,
  name: Name,
  nominalGB: Above(0, 100_000),
  usedGB: Between(0, 100_000),
  writeMBs: Above(0, 10_000),
  notes: ShortText,
  retired: Type.Boolean(),
});

export const FilterSchema = strict({
  id: Uuid,
  name: Name,
  kind: filled(OneOf('nd', 'variable', 'polariser'), 'nd'),
  /** A variable one at its weakest. */
  factor: Between(1, 1_000_000),
  /** A variable one at its strongest; 0 for the others. */
  strongest: filled(Between(0, 1_000_000), 0),
  massG: filled(Between(0, 1000), 0),
  aircraftIds: Type.Array(Uuid, { maxItems: 50 }),
  notes: ShortText,
  retired: Type.Boolean(),
});

export const PilotSchema = strict({
  id: Uuid,
  name: Name,
  /** Practised level per kind of move, 0 never flown to 4 sure of it. */
  levels: Type.Record(Type.String({ maxLength: 60 }), Whole(0, 4)),
  notes: ShortText,
  retired: Type.Boolean(),
});

/** One practice of a move, or a flown shot counted as one. */
export const PracticeSchema = strict({
  id: Uuid,
  pilotId: Uuid,
  moveKind: Type.String({ minLength: 1, maxLength: 60 }),
  utcMs: Type.Integer({ minimum: 0, maximum: 4_102_444_800_000 }),
  handling: OneOf('simulator', 'slow', 'normal', 'fast'),
  tries: Whole(1, 500),
  keepers: Whole(0, 500),
  notes: ShortText,
});

export const ChargerSchema = strict({
  id: Uuid,
  name: Name,
  source: OneOf(...CHARGE_SOURCES),
  /** What the source can give in all, Wh; 0 where it does not run dry. */
  sourceWh: Between(0, 100_000),
  /** Packs it holds, and whether they are charged one after another. */
  slots: Whole(1, 24),
  manner: OneOf('in-turn', 'side-by-side'),
  /** What one slot gives, W. */
  slotW: Above(0, 5000),
  /** Aircraft whose packs it takes; none named stands for all. */
  aircraftIds: Type.Array(Uuid, { maxItems: 50 }),
  massG: filled(Between(0, 20_000), 0),
  notes: ShortText,
  retired: Type.Boolean(),
});

/** What has to be charged besides packs. */
export const DeviceSchema = strict({
  id: Uuid,
  name: Name,
  role: OneOf(...DEVICE_ROLES),
  charge: Between(0, 1),
  /** Hours a full charge lasts in use. */
  hours: Above(0, 100),
  chargeMinutes: Above(0, 1440),
  massG: filled(Between(0, 20_000), 0),
  ...firmware,
  notes: ShortText,
  retired: Type.Boolean(),
});

/** A flight that happened. A correction is another entry. */
export const FlownSchema = strict({
  id: Uuid,
  filmId: Nullable(Uuid),
  flightId: Nullable(Uuid),
  aircraftId: Uuid,
  packId: Uuid,
  /** Take-off, UTC. */
  utcMs: Type.Integer({ minimum: 0, maximum: 4_102_444_800_000 }),
  minutes: Above(0, 300),
  startShare: Between(0, 1),
  endShare: Between(0, 1),
  /** What the plan said before it was corrected by earlier flights; null where it was flown without one. */
  plannedWh: Nullable(Above(0, 10_000)),
  temperatureC: Between(-50, 60),
  verdict: OneOf(...FLIGHT_VERDICTS),
  condition: OneOf(...PACK_STATES),
  /** Shots that are in the can by it. */
  shotIds: Type.Array(Uuid, { maxItems: 500 }),
  notes: ShortText,
});

/** What else is carried: readers, cables, a landing pad, propellers, guards, cases. */
export const GearSchema = strict({
  id: Uuid,
  name: Name,
  role: OneOf(...GEAR_ROLES),
  count: Whole(0, 1000),
  massG: Between(0, 50_000),
  fitted: Type.Boolean(),
  readMBs: Between(0, 20_000),
  aircraftIds: Type.Array(Uuid, { maxItems: 50 }),
  notes: ShortText,
  retired: Type.Boolean(),
});

/** Something that happened to a card. A correction is another entry. */
export const CardMoveSchema = strict({
  id: Uuid,
  cardId: Uuid,
  utcMs: Type.Integer({ minimum: 0, maximum: 4_102_444_800_000 }),
  act: OneOf(...CARD_ACTS),
  spot: Nullable(OneOf(...CARD_SPOTS)),
  aircraftId: Nullable(Uuid),
  gb: Between(0, 100_000),
  copiesWanted: Whole(0, 9),
  waiver: ShortText,
});

/** A check of one's own, or a change to one that comes along. */
export const CheckSchema = strict({
  id: Uuid,
  builtIn: Type.String({ maxLength: 60 }),
  name: Name,
  moment: OneOf(...CHECK_MOMENTS),
  protects: ShortText,
  position: Type.String({ maxLength: 200, pattern: '^[0-9A-Za-z]*$' }),
  off: Type.Boolean(),
  notes: ShortText,
  retired: Type.Boolean(),
});
