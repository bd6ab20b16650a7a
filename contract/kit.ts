import { Type } from '@sinclair/typebox';
import { Above, Between, Name, ShortText, strict, Uuid, Whole } from './parts';

const PartId = Type.String({ minLength: 1, maxLength: 60 });

export const ModeSchema = strict({
  id: PartId, name: Name, widthPx: Whole(16, 20_000), heightPx: Whole(16, 20_000), fps: Between(1, 480), megabitsPerS: Above(0, 10_000),
});

export const CameraSchema = strict({
  id: PartId,
  name: Name,
  equivalentMm: Between(4, 2000),
  apertures: Type.Array(Above(0, 64), { minItems: 1, maxItems: 30 }),
  isoBase: Between(1, 100_000),
  isoCeiling: Between(1, 1_000_000),
  maxZoom: Between(1, 30),
  modes: Type.Array(ModeSchema, { minItems: 1, maxItems: 40 }),
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
  cameras: Type.Array(CameraSchema, { minItems: 1, maxItems: 8 }),
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
  factor: Between(1, 1_000_000),
  aircraftIds: Type.Array(Uuid, { maxItems: 50 }),
  notes: ShortText,
  retired: Type.Boolean(),
});
