import type { TSchema } from '@sinclair/typebox';
import { AircraftSchema } from './aircraft';
import { CardMoveSchema, CardSchema } from './card';
import { ChargerSchema, DeviceSchema } from './charger';
import { AnswerSchema, CheckSchema } from './check';
import { FeatureSchema } from './feature';
import { FilmSchema } from './film';
import { FilterSchema } from './filter';
import { FlightSchema, FlightLogEntrySchema } from './flight';
import { GearSchema } from './gear';
import { GroundSchema, PictureSchema } from './ground';
import { GroundShotSchema } from './ground-shot';
import type { EntityKind } from './kinds';
import { LocationSchema, ReadingSchema } from './location';
import { PackSchema } from './pack';
import { PilotSchema, PracticeSchema } from './pilot';
import type { Stored } from './schema';
import { ShotSchema } from './shot';
import { SubjectSchema } from './subject';
import { TakeSchema } from './take';
import { VoiceNoteSchema } from './voice-note';

/** Every kind of row that can be stored, with the schema that types, checks and describes it. */
export const SCHEMAS = {
  film: FilmSchema,
  location: LocationSchema,
  subject: SubjectSchema,
  shot: ShotSchema,
  reading: ReadingSchema,
  feature: FeatureSchema,
  ground: GroundSchema,
  picture: PictureSchema,
  aircraft: AircraftSchema,
  pack: PackSchema,
  card: CardSchema,
  filter: FilterSchema,
  pilot: PilotSchema,
  practice: PracticeSchema,
  flight: FlightSchema,
  charger: ChargerSchema,
  device: DeviceSchema,
  flightLogEntry: FlightLogEntrySchema,
  gear: GearSchema,
  cardMove: CardMoveSchema,
  check: CheckSchema,
  answer: AnswerSchema,
  take: TakeSchema,
  groundShot: GroundShotSchema,
  voiceNote: VoiceNoteSchema,
} as const satisfies Record<EntityKind, TSchema>;

/** A stored thing of some kind. */
export type Entity<K extends EntityKind = EntityKind> = Stored<(typeof SCHEMAS)[K]>;
