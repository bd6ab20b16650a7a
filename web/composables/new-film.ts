import { EXCHANGE_FORMAT, EXCHANGE_VERSION, newRow } from '@core/model';
import type { FilmFile } from '@contract';
import { v4 as uuid } from 'uuid';

/** An empty film, in the same form every film comes in by. */
export const emptyFilm = (name: string): FilmFile => ({
  format: EXCHANGE_FORMAT,
  formatVersion: EXCHANGE_VERSION,
  film: newRow('film', { id: uuid(), name }),
  locations: [],
  subjects: [],
  shots: [],
  readings: [],
  features: [],
  grounds: [],
  pictures: [],
  flights: [],
  answers: [],
  takes: [],
  groundShots: [],
  voiceNotes: [],
  assets: [],
  kit: {
    aircraft: [],
    packs: [],
    cards: [],
    filters: [],
    pilots: [],
    practice: [],
    chargers: [],
    devices: [],
    flightLog: [],
    gear: [],
    cardMoves: [],
    checks: [],
  },
});
