import { initialOf } from './initial';
import {
  above,
  between,
  listOf,
  name,
  nullable,
  oneOf,
  shortText,
  strict,
  text,
  whole,
  type Stored,
} from './schema';

/** How a picture is recorded for what is done with it after. */
export const PROFILE_SCHOOLS = ['standard', 'flat', 'high-dynamic'] as const;
export type ProfileSchool = (typeof PROFILE_SCHOOLS)[number];

/** Shapes a camera's stills may have. */
export const STILL_ASPECTS = ['4:3', '3:2', '16:9', '1:1'] as const;

const partId = () => text(60, { minLength: 1 });

/** A way a camera records. */
export const RecordingModeSchema = strict({
  id: partId(),
  name: name({ initial: '4K 25' }),
  widthPx: whole(16, 20_000, { title: 'Width', unit: 'px', initial: 3840 }),
  heightPx: whole(16, 20_000, { title: 'Height', unit: 'px', initial: 2160 }),
  fps: between(1, 480, { title: 'Frame rate', unit: 'fps', initial: 25 }),
  megabitsPerS: above(0, 10_000, { title: 'Bitrate', unit: 'Mbit/s', initial: 100 }),
  codec: shortText({ title: 'Codec', default: '' }),
  maxZoom: between(0, 30, {
    title: 'Zoom up to',
    unit: '×',
    default: 0,
    description: '0 takes the camera’s.',
  }),
  losslessZoom: between(1, 30, {
    title: 'Lossless zoom up to',
    unit: '×',
    default: 1,
    description: 'The sensor has pixels to spare up to here.',
  }),
});
export type RecordingMode = Stored<typeof RecordingModeSchema>;

/** A picture profile of a camera with the ISO range it is confined to. */
const ProfileSchema = strict({
  school: oneOf(PROFILE_SCHOOLS, { title: 'Kind', initial: 'standard' }),
  name: name(),
  isoBase: between(1, 100_000, { title: 'Base ISO', initial: 100 }),
  isoCeiling: between(1, 1_000_000, { title: 'Highest ISO', initial: 3200 }),
});
export type Profile = Stored<typeof ProfileSchema>;

export const CameraSchema = strict({
  id: partId(),
  name: name({ initial: 'Wide' }),
  equivalentMm: between(4, 2000, {
    title: 'Equivalent focal length',
    unit: 'mm',
    initial: 24,
    description: '35 mm equivalent on the diagonal, as the maker states it.',
  }),
  apertures: listOf(above(0, 64), 30, {
    minItems: 1,
    title: 'Apertures',
    unit: 'f/',
    initial: [2.8],
    description: 'f-numbers it can be set to; one means a fixed aperture.',
  }),
  isoBase: between(1, 100_000, { title: 'Base ISO', initial: 100 }),
  isoCeiling: between(1, 1_000_000, {
    title: 'Highest ISO',
    initial: 3200,
    description: 'Highest ISO you accept.',
  }),
  maxZoom: between(1, 30, { title: 'Zoom up to', unit: '×', initial: 1 }),
  fixedTiltDeg: nullable(between(-30, 80), {
    title: 'Fixed tilt',
    unit: 'deg',
    default: null,
    description: 'Tilt it is screwed on at; empty where a gimbal tilts it.',
  }),
  stillAspect: oneOf(STILL_ASPECTS, {
    title: 'Still aspect',
    default: '4:3',
    description: 'Shape of the whole still, before any crop.',
  }),
  stillMB: above(0, 1000, { title: 'Still size', unit: 'MB', default: 20 }),
  rawMB: between(0, 2000, {
    title: 'Raw size',
    unit: 'MB',
    default: 0,
    description: '0 where it keeps none.',
  }),
  sensorDiagonalMm: nullable(above(0, 100), { title: 'Sensor diagonal', unit: 'mm', default: null }),
  focus: oneOf(['fixed', 'adjustable'], { title: 'Focus', default: 'adjustable' }),
  sharpFromF: above(0, 64, { title: 'Sharp from', unit: 'f/', default: 2.8 }),
  sharpToF: above(0, 64, { title: 'Sharp to', unit: 'f/', default: 5.6 }),
  profiles: listOf(ProfileSchema, 6, {
    title: 'Picture profiles',
    default: [],
    description: 'None listed stands for a standard one with the ISO range above.',
  }),
  modes: listOf(RecordingModeSchema, 40, { minItems: 1, title: 'Recording modes' }),
});
export type Camera = Stored<typeof CameraSchema>;

/** A new camera with one recording mode. Ids of parts are unique within their aircraft. */
export const newCamera = (id: string, cameraName: string): Camera => ({
  ...(initialOf(CameraSchema) as Omit<Camera, 'id' | 'modes'>),
  id,
  name: cameraName,
  modes: [{ ...(initialOf(RecordingModeSchema) as Omit<RecordingMode, 'id'>), id: 'm1' }],
});
