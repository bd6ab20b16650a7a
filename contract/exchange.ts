import { Literal } from '@sinclair/typebox';
import {
  AssetSchema,
  EXCHANGE_FORMAT,
  EXCHANGE_VERSION,
  KIT_FORMAT,
  listOf,
  strict,
  type Stored,
} from '../core/model';
import { ENTITIES } from './entities';

/** All kit of an owner, with its log, its cards and its checks. */
const KitSchema = strict({
  aircraft: listOf(ENTITIES.aircraft, 200),
  packs: listOf(ENTITIES.pack, 500),
  cards: listOf(ENTITIES.card, 500),
  filters: listOf(ENTITIES.filter, 500),
  pilots: listOf(ENTITIES.pilot, 100, { default: [] }),
  practice: listOf(ENTITIES.practice, 20_000, { default: [] }),
  chargers: listOf(ENTITIES.charger, 100, { default: [] }),
  devices: listOf(ENTITIES.device, 100, { default: [] }),
  flightLog: listOf(ENTITIES.flightLogEntry, 20_000, { default: [] }),
  gear: listOf(ENTITIES.gear, 1000, { default: [] }),
  cardMoves: listOf(ENTITIES.cardMove, 50_000, { default: [] }),
  checks: listOf(ENTITIES.check, 1000, { default: [] }),
});

/** A film with all it needs in one file: the backup a person understands, the door for the demo, the bug report. */
export const FilmFileSchema = strict({
  format: Literal(EXCHANGE_FORMAT),
  formatVersion: Literal(EXCHANGE_VERSION),
  film: ENTITIES.film,
  locations: listOf(ENTITIES.location, 500),
  subjects: listOf(ENTITIES.subject, 5000),
  shots: listOf(ENTITIES.shot, 5000),
  readings: listOf(ENTITIES.reading, 5000),
  features: listOf(ENTITIES.feature, 20_000, { default: [] }),
  grounds: listOf(ENTITIES.ground, 500, { default: [] }),
  pictures: listOf(ENTITIES.picture, 500, { default: [] }),
  flights: listOf(ENTITIES.flight, 2000, { default: [] }),
  answers: listOf(ENTITIES.answer, 50_000, { default: [] }),
  takes: listOf(ENTITIES.take, 50_000, { default: [] }),
  groundShots: listOf(ENTITIES.groundShot, 5000, { default: [] }),
  voiceNotes: listOf(ENTITIES.voiceNote, 5000, { default: [] }),
  /** Files the grounds and pictures refer to. */
  assets: listOf(AssetSchema, 1000, { default: [] }),
  kit: KitSchema,
});

export type FilmFile = Stored<typeof FilmFileSchema>;

/** Kit and checks by themselves, to be carried to another machine. */
export const KitFileSchema = strict({
  format: Literal(KIT_FORMAT),
  formatVersion: Literal(EXCHANGE_VERSION),
  kit: KitSchema,
});

export type KitFile = Stored<typeof KitFileSchema>;
