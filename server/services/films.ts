import {
  EXCHANGE_FORMAT,
  EXCHANGE_VERSION,
  KIT_FORMAT,
  KIT_KINDS,
  LOCATION_KINDS,
  type EntityKind,
} from '@core/model';
import type { AnyRow, Batch, Change, FilmFile, KitFile, LoggedChange } from '@contract';
import { listFlightId } from '@core/day';
import { v4 as uuid } from 'uuid';
import { read } from '../database';
import { HttpProblem } from '../http/problem';
import type { Sequelize } from 'sequelize';
import { readChanges, readRows } from '../models';
import type { Assets } from './assets';
import type { Store } from './store';

export interface FilmSummary {
  readonly id: string;
  readonly name: string;
  readonly locations: number;
  readonly shots: number;
  readonly updatedAt: string;
}

/** Reading, exporting, importing and deleting whole films. */
export class Films {
  /** @param reader a connection that only reads */
  constructor(
    private readonly reader: Sequelize,
    private readonly store: Store,
    private readonly assets: Assets,
  ) {}

  list(): Promise<FilmSummary[]> {
    return read<FilmSummary>(
      this.reader,
      `
      SELECT f.id, f.name,
        (SELECT COUNT(*) FROM locations l WHERE l.film_id = f.id) AS locations,
        (SELECT COUNT(*) FROM shots s JOIN locations l ON l.id = s.location_id WHERE l.film_id = f.id) AS shots,
        COALESCE((SELECT at FROM change_log c WHERE c.film_id = f.id ORDER BY sequence DESC LIMIT 1), f.updated_at) AS updatedAt
      FROM films f ORDER BY updatedAt DESC`,
    );
  }

  private rows(kind: EntityKind, field = 'id', values: readonly string[] | null = null): Promise<AnyRow[]> {
    return readRows(this.reader, kind, field, values);
  }

  async kit(): Promise<AnyRow[]> {
    return (await Promise.all(KIT_KINDS.map((kind) => this.rows(kind)))).flat();
  }

  /** Sequence of the newest change, so that a reader can listen on from there. */
  async sequence(): Promise<number> {
    return (
      (await read<{ top: number | null }>(this.reader, 'SELECT MAX(sequence) AS top FROM change_log'))[0]
        ?.top ?? 0
    );
  }

  /** @throws HttpProblem 404 */
  async rowsOf(filmId: string): Promise<AnyRow[]> {
    const [film] = await this.rows('film', 'id', [filmId]);
    if (!film) throw new HttpProblem(404, 'no-film', 'There is no such film; it may have been deleted.');
    const locations = await this.rows('location', 'filmId', [filmId]);
    const places = locations.map((l) => l.value.id);
    const belongs = await Promise.all(LOCATION_KINDS.map((kind) => this.rows(kind, 'locationId', places)));
    return [film, ...locations, ...belongs.flat()];
  }

  async open(filmId: string): Promise<{ rows: AnyRow[]; sequence: number }> {
    const sequence = await this.sequence();
    return { rows: await this.rowsOf(filmId), sequence };
  }

  /** Newest changes of a film and of the kit, oldest first, whole batches only; what undo is rebuilt from after a reload. */
  async changes(filmId: string, limit: number): Promise<LoggedChange[]> {
    const changes = await readChanges(
      this.reader,
      '(film_id = :filmId OR film_id IS NULL)',
      { filmId },
      limit,
    );
    // A batch that is cut off would be taken back by half.
    return changes.length < limit ? changes : changes.filter((c) => c.batch !== changes[0]?.batch);
  }

  /** Everything taken after a sequence, oldest first; null where that is too much to be told, or the sequence is none of this database's. */
  async since(sequence: number, limit = 5000): Promise<LoggedChange[] | null> {
    if (sequence > (await this.sequence())) return null;
    const changes = await readChanges(this.reader, 'sequence > :sequence', { sequence }, limit + 1);
    return changes.length > limit ? null : changes;
  }

  async exportFile(filmId: string): Promise<FilmFile> {
    const rows = [...(await this.rowsOf(filmId)), ...(await this.kit())];
    const values = (kind: EntityKind): never[] =>
      rows.filter((r) => r.kind === kind).map((r) => r.value) as never[];
    const [film] = values('film');
    if (!film) throw new HttpProblem(404, 'no-film', 'There is no such film.');
    const grounds: FilmFile['grounds'] = values('ground');
    const pictures: FilmFile['pictures'] = values('picture');
    const assets = await this.assets.all([...new Set([...grounds, ...pictures].map((g) => g.assetId))]);
    return {
      format: EXCHANGE_FORMAT,
      formatVersion: EXCHANGE_VERSION,
      film,
      locations: values('location'),
      subjects: values('subject'),
      shots: values('shot'),
      readings: values('reading'),
      features: values('feature'),
      grounds,
      pictures,
      flights: values('flight'),
      answers: values('answer'),
      takes: values('take'),
      assets: assets.map(({ id, mime, bytes }) => ({ id, mime, data: bytes.toString('base64') })),
      kit: kitOf(values),
    };
  }

  /** All kit with its log, its cards and its checks. */
  async kitFile(): Promise<KitFile> {
    const rows = await this.kit();
    return {
      format: KIT_FORMAT,
      formatVersion: EXCHANGE_VERSION,
      kit: kitOf((kind) => rows.filter((r) => r.kind === kind).map((r) => r.value) as never[]),
    };
  }

  /** Takes a film in under new ids; kit that is already here by its id is used as it is here. @returns the new film's id */
  async importFile(file: FilmFile, device: string): Promise<string> {
    const here = new Set((await this.kit()).map((r) => r.value.id));
    const { film, changes } = importChanges(file, here);
    for (const { id, mime, data } of file.assets) {
      if ((await this.assets.keep(mime, Buffer.from(data, 'base64'))) !== id)
        throw new HttpProblem(
          400,
          'asset',
          'A file inside the film is damaged: its content does not match its name.',
        );
    }
    await this.store.apply({ batch: uuid(), device, changes });
    return film;
  }

  /** Deletes a film with all that belongs to it. */
  async remove(filmId: string, device: string): Promise<void> {
    const rows = await this.rowsOf(filmId);
    const changes = [...rows]
      .reverse()
      .map((r): Change => ({ kind: r.kind, id: r.value.id, version: r.version, value: null }));
    await this.store.apply({ batch: uuid(), device, changes } satisfies Batch);
  }
}

const kitOf = (values: (kind: EntityKind) => never[]): KitFile['kit'] => ({
  aircraft: values('aircraft'),
  packs: values('pack'),
  cards: values('card'),
  filters: values('filter'),
  pilots: values('pilot'),
  practice: values('practice'),
  chargers: values('charger'),
  devices: values('device'),
  flightLog: values('flightLogEntry'),
  gear: values('gear'),
  cardMoves: values('cardMove'),
  checks: values('check'),
});

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

const importChanges = (file: FilmFile, here: ReadonlySet<string>): { film: string; changes: Change[] } => {
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
  const kit: [EntityKind, readonly { readonly id: string }[]][] = [
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
    ],
  };
};
