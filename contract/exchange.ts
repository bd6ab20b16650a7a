import { Type, type Static } from '@sinclair/typebox';
import { FlightSchema } from './flight';
import { AnswerSchema, FilmSchema, LocationSchema, ReadingSchema, ShotSchema, SubjectSchema } from './film';
import {
  AircraftSchema,
  CardMoveSchema,
  CardSchema,
  ChargerSchema,
  CheckSchema,
  DeviceSchema,
  FilterSchema,
  FlownSchema,
  GearSchema,
  PackSchema,
  PilotSchema,
  PracticeSchema,
} from './kit';
import { EXCHANGE_FORMAT, EXCHANGE_VERSION, KIT_FORMAT } from './kinds';
import { filled, strict } from './parts';
import { AssetSchema, FeatureSchema, GroundSchema, PictureSchema } from './site';

/** All kit of an owner, with its log, its cards and its checks. */
const KitSchema = strict({
  aircraft: Type.Array(AircraftSchema, { maxItems: 200 }),
  packs: Type.Array(PackSchema, { maxItems: 500 }),
  cards: Type.Array(CardSchema, { maxItems: 500 }),
  filters: Type.Array(FilterSchema, { maxItems: 500 }),
  pilots: filled(Type.Array(PilotSchema, { maxItems: 100 }), []),
  practice: filled(Type.Array(PracticeSchema, { maxItems: 20_000 }), []),
  chargers: filled(Type.Array(ChargerSchema, { maxItems: 100 }), []),
  devices: filled(Type.Array(DeviceSchema, { maxItems: 100 }), []),
  flown: filled(Type.Array(FlownSchema, { maxItems: 20_000 }), []),
  gear: filled(Type.Array(GearSchema, { maxItems: 1000 }), []),
  cardMoves: filled(Type.Array(CardMoveSchema, { maxItems: 50_000 }), []),
  checks: filled(Type.Array(CheckSchema, { maxItems: 1000 }), []),
});

/** A film with all it needs in one file: the backup a person understands, the door for the demo, the bug report. */
export const FilmFileSchema = strict({
  format: Type.Literal(EXCHANGE_FORMAT),
  formatVersion: Type.Literal(EXCHANGE_VERSION),
  film: FilmSchema,
  locations: Type.Array(LocationSchema, { maxItems: 500 }),
  subjects: Type.Array(SubjectSchema, { maxItems: 5000 }),
  shots: Type.Array(ShotSchema, { maxItems: 5000 }),
  readings: Type.Array(ReadingSchema, { maxItems: 5000 }),
  features: filled(Type.Array(FeatureSchema, { maxItems: 20_000 }), []),
  grounds: filled(Type.Array(GroundSchema, { maxItems: 500 }), []),
  pictures: filled(Type.Array(PictureSchema, { maxItems: 500 }), []),
  flights: filled(Type.Array(FlightSchema, { maxItems: 2000 }), []),
  answers: filled(Type.Array(AnswerSchema, { maxItems: 50_000 }), []),
  /** Files the grounds and pictures refer to. */
  assets: filled(Type.Array(AssetSchema, { maxItems: 1000 }), []),
  kit: KitSchema,
});

export type FilmFile = Static<typeof FilmFileSchema>;

/** Kit and checks by themselves, to be carried to another machine. */
export const KitFileSchema = strict({
  format: Type.Literal(KIT_FORMAT),
  formatVersion: Type.Literal(EXCHANGE_VERSION),
  kit: KitSchema,
});

export type KitFile = Static<typeof KitFileSchema>;
