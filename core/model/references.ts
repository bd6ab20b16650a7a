import type { EntityKind } from './kinds';

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
  { from: 'flightLogEntry', field: 'aircraftId', to: 'aircraft' },
  { from: 'flightLogEntry', field: 'packId', to: 'pack' },
  { from: 'cardMove', field: 'cardId', to: 'card' },
  { from: 'answer', field: 'locationId', to: 'location' },
  { from: 'take', field: 'locationId', to: 'location' },
  { from: 'groundShot', field: 'locationId', to: 'location' },
  { from: 'voiceNote', field: 'locationId', to: 'location' },
];
