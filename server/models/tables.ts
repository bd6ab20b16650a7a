import type { EntityKind } from '@core/model';

/** Which fields of a thing are columns of their own; the rest is its JSON body. */
export const TABLES: Readonly<
  Record<EntityKind, { readonly table: string; readonly columns: readonly string[] }>
> = {
  film: { table: 'films', columns: ['name', 'pilotId'] },
  location: { table: 'locations', columns: ['filmId', 'position', 'name'] },
  subject: { table: 'subjects', columns: ['locationId', 'name'] },
  shot: { table: 'shots', columns: ['locationId', 'subjectId', 'aircraftId', 'position', 'title'] },
  reading: { table: 'readings', columns: ['locationId'] },
  feature: { table: 'features', columns: ['locationId', 'name'] },
  ground: { table: 'grounds', columns: ['locationId', 'name'] },
  picture: { table: 'pictures', columns: ['locationId', 'name'] },
  aircraft: { table: 'aircraft', columns: ['name', 'retired'] },
  pack: { table: 'packs', columns: ['name', 'retired'] },
  card: { table: 'cards', columns: ['name', 'retired'] },
  filter: { table: 'filters', columns: ['name', 'retired'] },
  pilot: { table: 'pilots', columns: ['name', 'retired'] },
  practice: { table: 'practice', columns: ['pilotId'] },
  flight: { table: 'flights', columns: ['locationId', 'aircraftId', 'packId', 'position'] },
  charger: { table: 'chargers', columns: ['name', 'retired'] },
  device: { table: 'devices', columns: ['name', 'retired'] },
  flightLogEntry: { table: 'flight_log', columns: ['aircraftId', 'packId', 'filmId'] },
  gear: { table: 'gear', columns: ['name', 'retired'] },
  cardMove: { table: 'card_moves', columns: ['cardId'] },
  check: { table: 'own_checks', columns: ['name', 'retired'] },
  answer: { table: 'answers', columns: ['locationId'] },
  take: { table: 'takes', columns: ['locationId'] },
  groundShot: { table: 'ground_shots', columns: ['locationId'] },
  voiceNote: { table: 'voice_notes', columns: ['locationId'] },
};
