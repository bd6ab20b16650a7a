import type { Change, FilmFile } from '@contract';
import { listFlightId } from '@core/day';
import type { EntityKind } from '@core/model';
import { v4 as uuid } from 'uuid';

/** More flights of one aircraft at one location than anybody flies in a day. */
const LIST_FLIGHTS = 40;

/** New ids for the things of a film that is taken in, the same one each time it is asked for a thing. */
const newIds = (file: FilmFile) => {
  const fresh = new Map<string, string>();
  const renew = (id: string): string => {
    const known = fresh.get(id) ?? uuid();
    fresh.set(id, known);
    return known;
  };
  // Flights that follow from list order have ids made from their location.
  for (const { id } of file.locations)
    for (const { id: aircraftId } of file.kit.aircraft)
      for (let n = 0; n < LIST_FLIGHTS; n += 1)
        fresh.set(listFlightId(id, aircraftId, n), listFlightId(renew(id), aircraftId, n));
  return { renew, renewed: (id: string | null): string | null => (id === null ? null : renew(id)) };
};

/** Kit by kind; the log of flights follows film, flights and shots to their new ids. */
const kitRows = (
  file: FilmFile,
  film: string,
  renew: (id: string) => string,
  renewed: (id: string | null) => string | null,
): [EntityKind, readonly { readonly id: string }[]][] => [
  ['aircraft', file.kit.aircraft],
  ['pack', file.kit.packs],
  ['card', file.kit.cards],
  ['filter', file.kit.filters],
  ['pilot', file.kit.pilots],
  ['practice', file.kit.practice],
  ['charger', file.kit.chargers],
  ['device', file.kit.devices],
  [
    'flightLogEntry',
    file.kit.flightLog.map((f) => ({
      ...f,
      filmId: f.filmId === file.film.id ? film : f.filmId,
      flightId: renewed(f.flightId),
      shotIds: f.shotIds.map(renew),
    })),
  ],
  ['gear', file.kit.gear],
  ['cardMove', file.kit.cardMoves],
  ['check', file.kit.checks],
];

/**
 * Everything a film that is taken in comes to, under new ids.
 * @param here ids of kit that is there already, which is used as it is
 */
export const importChanges = (
  file: FilmFile,
  here: ReadonlySet<string>,
): { film: string; changes: Change[] } => {
  const { renew, renewed } = newIds(file);
  const create = (kind: EntityKind, value: Record<string, unknown>): Change => ({
    kind,
    id: String(value['id']),
    version: 0,
    value,
  });
  const film = renew(file.film.id);
  const shots = file.shots.map((s) => ({
    ...s,
    id: renew(s.id),
    locationId: renew(s.locationId),
    subjectId: renewed(s.subjectId),
    launchId: renewed(s.launchId),
    afterId: renewed(s.afterId),
  }));
  const flights = file.flights.map((f) => ({
    ...f,
    launchId: renewed(f.launchId),
    stops: f.stops.map((s) => ({ ...s, shotId: renew(s.shotId) })),
  }));
  const ofPlace = <T extends { readonly id: string; readonly locationId: string }>(
    kind: EntityKind,
    list: readonly T[],
  ): Change[] => list.map((t) => create(kind, { ...t, id: renew(t.id), locationId: renew(t.locationId) }));
  const kit = kitRows(file, film, renew, renewed);
  return {
    film,
    changes: [
      create('film', { ...file.film, id: film }),
      ...kit.flatMap(([kind, list]) =>
        list.filter((k) => !here.has(k.id)).map((k) => create(kind, { ...k })),
      ),
      ...file.locations.map((l) =>
        create('location', { ...l, id: renew(l.id), filmId: film, launchId: renewed(l.launchId) }),
      ),
      ...ofPlace('subject', file.subjects),
      ...shots.map((s) => create('shot', s)),
      ...ofPlace('reading', file.readings),
      ...ofPlace('feature', file.features),
      ...ofPlace('ground', file.grounds),
      ...ofPlace('picture', file.pictures),
      ...ofPlace('flight', flights),
      ...ofPlace(
        'answer',
        file.answers.map((a) => ({ ...a, shotId: renewed(a.shotId), flightId: renewed(a.flightId) })),
      ),
      ...ofPlace(
        'take',
        file.takes.map((t) => ({ ...t, shotId: renewed(t.shotId) ?? t.shotId })),
      ),
      ...ofPlace('groundShot', file.groundShots),
      ...ofPlace(
        'voiceNote',
        file.voiceNotes.map((v) => ({ ...v, takeId: renew(v.takeId) })),
      ),
    ],
  };
};
