import type { Static, TSchema } from '@sinclair/typebox';
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
import { FeatureSchema, GroundSchema, PictureSchema } from './site';
import type { EntityKind } from './kinds';

/** Every kind of row that can be stored, with the schema that types, checks and describes it. */
export const ENTITIES = {
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
  flown: FlownSchema,
  gear: GearSchema,
  cardMove: CardMoveSchema,
  check: CheckSchema,
  answer: AnswerSchema,
} as const satisfies Record<EntityKind, TSchema>;

export type Entity<K extends EntityKind = EntityKind> = Static<(typeof ENTITIES)[K]>;

/** A stored row: the thing, how often it was changed, and when. */
export interface Row<K extends EntityKind = EntityKind> {
  readonly kind: K;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly value: Entity<K>;
}

export type AnyRow = { [K in EntityKind]: Row<K> }[EntityKind];

/** What refers to what: deleting the right side while the left holds on to it is refused. */
export const REFERENCES: readonly {
  readonly from: EntityKind;
  readonly field: string;
  readonly to: EntityKind;
}[] = [
  { from: 'location', field: 'filmId', to: 'film' },
  { from: 'subject', field: 'locationId', to: 'location' },
  { from: 'shot', field: 'locationId', to: 'location' },
  { from: 'reading', field: 'locationId', to: 'location' },
  { from: 'feature', field: 'locationId', to: 'location' },
  { from: 'ground', field: 'locationId', to: 'location' },
  { from: 'picture', field: 'locationId', to: 'location' },
  { from: 'shot', field: 'subjectId', to: 'subject' },
  { from: 'shot', field: 'aircraftId', to: 'aircraft' },
  { from: 'film', field: 'pilotId', to: 'pilot' },
  { from: 'practice', field: 'pilotId', to: 'pilot' },
  { from: 'flight', field: 'locationId', to: 'location' },
  { from: 'flight', field: 'aircraftId', to: 'aircraft' },
  { from: 'flight', field: 'packId', to: 'pack' },
  { from: 'flown', field: 'aircraftId', to: 'aircraft' },
  { from: 'flown', field: 'packId', to: 'pack' },
  { from: 'cardMove', field: 'cardId', to: 'card' },
  { from: 'answer', field: 'locationId', to: 'location' },
];
