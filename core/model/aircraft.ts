import { CameraSchema } from './camera';
import {
  above,
  between,
  flag,
  listOf,
  localDate,
  name,
  notes,
  nullable,
  oneOf,
  strict,
  text,
  uuid,
  whole,
  typicalFields,
  type Stored,
} from './schema';

/** What an aircraft may be able to fly by itself. */
export const AID_KINDS = [
  'orbit',
  'track-behind',
  'track-beside',
  'track-in-place',
  'line',
  'route',
  'terrain',
  'slow-sticks',
] as const;
export type AidKind = (typeof AID_KINDS)[number];
/** Stick profiles, from the calmest on. */
export const HANDLING_NAMES = ['slow', 'normal', 'fast'] as const;
export type HandlingName = (typeof HANDLING_NAMES)[number];
export const SENSE_SIDES = ['front', 'back', 'left', 'right', 'up', 'down'] as const;

/** What runs inside a thing, and the day somebody last looked for a newer version. */
export const firmware = {
  firmware: text(60, {
    title: 'Firmware',
    column: 'firmware',
    default: '',
    description: 'Version shown on the controller or in the log.',
  }),
  firmwareOn: nullable(localDate(), { title: 'Firmware looked up on', column: 'firmware_on', default: null }),
};
export interface Firmware {
  readonly firmware: string;
  readonly firmwareOn: string | null;
}

/** Stick profile: rates at full stick, how softly they start (0 hard, 1 soft), how flat the middle is (0 straight). */
const HandlingSchema = strict({
  maxSpeedMs: above(0, 100, { title: 'Speed', unit: 'm/s' }),
  maxYawDegS: above(0, 720, { title: 'Yaw rate', unit: 'deg/s' }),
  maxTiltDegS: above(0, 720, { title: 'Gimbal tilt rate', unit: 'deg/s' }),
  smoothing: between(0, 1, { title: 'Yaw smoothing', unit: 'share' }),
  tiltSmoothing: between(0, 1, { title: 'Gimbal smoothing', unit: 'share', default: 0.4 }),
  expo: between(0, 1, { title: 'Expo', unit: 'share' }),
});
export type Handling = Stored<typeof HandlingSchema>;

const HANDLING = {
  slow: { maxSpeedMs: 3, maxYawDegS: 20, maxTiltDegS: 12, smoothing: 0.7, tiltSmoothing: 0.7, expo: 0.6 },
  normal: { maxSpeedMs: 10, maxYawDegS: 60, maxTiltDegS: 30, smoothing: 0.4, tiltSmoothing: 0.4, expo: 0.4 },
  fast: { maxSpeedMs: 20, maxYawDegS: 100, maxTiltDegS: 60, smoothing: 0.2, tiltSmoothing: 0.2, expo: 0.3 },
};

/** Something the aircraft can fly by itself, with its limits as its maker states or its pilot found them. */
const AbilitySchema = strict({
  kind: oneOf(AID_KINDS, { title: 'Flying aid' }),
  maxSpeedMs: above(0, 60, { title: 'Up to', unit: 'm/s', initial: 10 }),
  minDistanceM: between(0, 1000, { title: 'From', unit: 'm', initial: 2 }),
  maxDistanceM: between(0, 5000, { title: 'To', unit: 'm', initial: 200 }),
});
export type Ability = Stored<typeof AbilitySchema>;

export const AircraftSchema = strict({
  id: uuid(),
  name: name({ initial: 'Aircraft' }),
  massKg: above(0, 25, {
    title: 'Take-off mass',
    unit: 'kg',
    initial: 0.6,
    description: 'With its usual pack and propellers.',
  }),
  rotors: whole(1, 12, { title: 'Rotors', initial: 4 }),
  rotorDiameterM: above(0, 2, { title: 'Rotor diameter', unit: 'm', initial: 0.18 }),
  packWh: above(0, 2000, {
    title: 'Rated pack energy',
    unit: 'Wh',
    initial: 40,
    description: 'Of the pack its flight times are stated with.',
  }),
  hoverMinutes: above(0, 300, {
    title: 'Hover time',
    unit: 'min',
    initial: 28,
    description: 'As the maker states it, in still air.',
  }),
  cruiseMinutes: between(0, 300, {
    title: 'Cruise time',
    unit: 'min',
    initial: 30,
    description: 'At the cruise speed beside it; 0 where unknown.',
  }),
  cruiseSpeedMs: between(0, 60, {
    title: 'Cruise speed',
    unit: 'm/s',
    initial: 7,
    description: '0 where unknown.',
  }),
  maxSpeedMs: above(0, 100, { title: 'Top speed', unit: 'm/s', initial: 15 }),
  windLimitMs: above(0, 60, {
    title: 'Wind limit',
    unit: 'm/s',
    initial: 10,
    description: 'Rated by the maker.',
  }),
  dragAreaM2: between(0, 2, {
    title: 'Drag area',
    unit: 'm²',
    initial: 0,
    description: 'CdA; 0 where unknown.',
  }),
  maxClimbMs: above(0, 30, { title: 'Climb rate', unit: 'm/s', initial: 5 }),
  maxDescentMs: above(0, 30, { title: 'Descent rate', unit: 'm/s', initial: 3 }),
  maxYawDegS: above(0, 720, { title: 'Yaw rate', unit: 'deg/s', initial: 60 }),
  maxTiltDegS: above(0, 720, { title: 'Gimbal tilt rate', unit: 'deg/s', default: 60 }),
  spanM: above(0, 5, {
    title: 'Overall width',
    unit: 'm',
    default: 0.4,
    description: 'Largest width with propellers turning.',
  }),
  heightM: above(0, 3, { title: 'Overall height', unit: 'm', default: 0.15 }),
  handling: strict(
    { slow: HandlingSchema, normal: HandlingSchema, fast: HandlingSchema },
    {
      title: 'Stick profiles',
      default: HANDLING,
      initial: { ...HANDLING, fast: { ...HANDLING.fast, maxSpeedMs: 15 } },
    },
  ),
  abilities: listOf(AbilitySchema, 20, { title: 'Flying aids', default: [] }),
  cameras: listOf(CameraSchema, 8, { minItems: 1, title: 'Cameras' }),
  senses: listOf(oneOf(SENSE_SIDES), 6, { uniqueItems: true, title: 'Senses obstacles', default: [] }),
  tiltUpDeg: between(0, 90, { title: 'Gimbal tilt up to', unit: 'deg', default: 30 }),
  propsFromDeg: between(0, 90, {
    title: 'Propellers in frame from',
    unit: 'deg',
    default: 90,
    description: 'Upward tilt from which propellers stand in the picture.',
  }),
  registration: text(60, { title: 'Registration', default: '' }),
  insurance: text(200, { title: 'Insurance', default: '' }),
  insuredUntil: nullable(localDate(), { title: 'Insured until', default: null }),
  usualPackG: between(0, 20_000, {
    title: 'Usual pack mass',
    unit: 'g',
    default: 0,
    description: 'Of the pack the take-off mass is stated with; 0 where nobody weighed it.',
  }),
  internalGB: between(0, 100_000, { title: 'Internal memory', unit: 'GB', default: 0 }),
  ...firmware,
  notes: notes(),
  typical: typicalFields(),
  retired: flag({ title: 'Retired', initial: false }),
});

/** What the power model needs of an aircraft, as its maker states it. */
export interface AirframeFigures {
  readonly massKg: number;
  readonly rotors: number;
  readonly rotorDiameterM: number;
  readonly packWh: number;
  readonly hoverMinutes: number;
  readonly cruiseMinutes: number;
  readonly cruiseSpeedMs: number;
  readonly maxSpeedMs: number;
  readonly windLimitMs: number;
  readonly dragAreaM2?: number;
}

export type Aircraft = Stored<typeof AircraftSchema> & {
  /** Energy it really takes for a watt-hour reckoned, by logged flights; worked out, not stored. */
  readonly energyFactor?: number;
  /** Seconds a set-up really takes for each planned, by logged flights; worked out, not stored. */
  readonly setUpFactor?: number;
};
