import { EXCHANGE_FORMAT, EXCHANGE_VERSION, type FilmFile } from '@contract';
import { DEFAULT_PREFERENCES } from '@core/film';
import { v4 as uuid } from 'uuid';

/** An empty film, in the same form every film comes in by. */
export const emptyFilm = (name: string): FilmFile => ({
  format: EXCHANGE_FORMAT,
  formatVersion: EXCHANGE_VERSION,
  film: {
    id: uuid(),
    name,
    purpose: '',
    audience: '',
    cutLengthS: 120,
    timelineFps: 25,
    tempoBpm: 100,
    aspect: '16:9',
    stillsWanted: false,
    units: 'metric',
    preferences: { ...DEFAULT_PREFERENCES },
    leftHome: [],
    beatsPerCount: 8,
    pilotId: null,
  },
  locations: [],
  subjects: [],
  shots: [],
  readings: [],
  features: [],
  grounds: [],
  pictures: [],
  flights: [],
  answers: [],
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
    flown: [],
    gear: [],
    cardMoves: [],
    checks: [],
  },
});
