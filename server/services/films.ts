import {
  ASSET_LIMIT,
  EXCHANGE_FORMAT,
  EXCHANGE_VERSION,
  KIT_FORMAT,
  KIT_KINDS,
  LOCATION_KINDS,
  type EntityKind,
  MODEL_VERSION,
} from '@core/model';
import type { AnyRow, Batch, Change, FilmFile, KitFile, LoggedChange } from '@contract';
import { v4 as uuid } from 'uuid';
import { read } from '../database';
import { HttpProblem } from '../http/problem';
import { preparedImport, type PreparedAsset, type PreparedImport } from '../import/prepare';
import { openFolder, type OpenFolder } from '../import/read-folder';
import type { Sequelize } from 'sequelize';
import { readChanges, readRows } from '../models';
import type { FolderSource } from '../import/film-folder';
import type { Assets } from './assets';
import type { Store } from './store';

export interface FilmSummary {
  readonly id: string;
  readonly name: string;
  readonly locations: number;
  readonly shots: number;
  readonly updatedAt: string;
}

/** More changes than one act of a person makes. */
const LARGEST_ACT = 20_000;

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

  async open(filmId: string): Promise<{ rows: AnyRow[]; sequence: number; model: number }> {
    const sequence = await this.sequence();
    return { rows: await this.rowsOf(filmId), sequence, model: MODEL_VERSION };
  }

  /** Newest changes of a film and of the kit, oldest first, whole batches only; what undo is rebuilt from after a reload. */
  async changes(filmId: string, limit: number): Promise<LoggedChange[]> {
    const changes = await readChanges(
      this.reader,
      '(film_id = :filmId OR film_id IS NULL)',
      { filmId },
      limit,
    );
    // An act that is cut off would be taken back by half.
    const actOf = (c: LoggedChange | undefined): string | undefined => c?.step ?? c?.batch;
    if (changes.length < limit) return changes;
    const act = actOf(changes[0]);
    const whole = changes.filter((c) => actOf(c) !== act);
    // The newest act may be larger than the limit by itself; it is the one that is taken back first.
    return whole.length > 0 || act === undefined
      ? whole
      : readChanges(this.reader, '(batch = :act OR step = :act)', { act }, LARGEST_ACT);
  }

  /** Everything taken after a sequence, oldest first; null where that is too much to be told, or the sequence is none of this database's. */
  async since(sequence: number, limit = 5000): Promise<LoggedChange[] | null> {
    if (sequence > (await this.sequence())) return null;
    const changes = await readChanges(this.reader, 'sequence > :sequence', { sequence }, limit + 1);
    return changes.length > limit ? null : changes;
  }

  /** A film without its files, and which files belong to it. */
  async exportParts(filmId: string): Promise<Omit<FolderSource, 'bytesOf'>> {
    const rows = [...(await this.rowsOf(filmId)), ...(await this.kit())];
    const values = (kind: EntityKind): never[] =>
      rows.filter((r) => r.kind === kind).map((r) => r.value) as never[];
    const [film] = values('film');
    if (!film) throw new HttpProblem(404, 'no-film', 'There is no such film.');
    const grounds: FilmFile['grounds'] = values('ground');
    const pictures: FilmFile['pictures'] = values('picture');
    const assets = await this.assets.kinds([...new Set([...grounds, ...pictures].map((g) => g.assetId))]);
    const whole: FolderSource['film'] = {
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
      groundShots: values('groundShot'),
      voiceNotes: values('voiceNote'),
      kit: kitOf(values),
    };
    return { film: whole, assets };
  }

  /** A film with its files inside, as one piece. */
  async exportFile(filmId: string): Promise<FilmFile> {
    const { film, assets } = await this.exportParts(filmId);
    const all = await this.assets.all(assets.map((a) => a.id));
    return {
      ...film,
      assets: all.map(({ id, mime, bytes }) => ({ id, mime, data: bytes.toString('base64') })),
    };
  }

  /** Bytes of a file of a film. */
  async bytesOf(id: string): Promise<Uint8Array> {
    const asset = await this.assets.get(id);
    if (!asset) throw new HttpProblem(404, 'no-asset', 'There is no such file.');
    return asset.bytes;
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

  /** Ids of all kit, which a film that is taken in uses as it is here. */
  async kitIds(): Promise<string[]> {
    return (await this.kit()).map((r) => r.value.id);
  }

  /** Takes a film in under new ids; kit that is already here by its id is used as it is here. @returns the new film's id */
  async importFile(file: FilmFile, device: string): Promise<string> {
    return this.take(preparedImport(file, await this.kitIds()), device);
  }

  /**
   * Takes in what was read from a film file, one of its pictures and heights in memory at a time.
   * @param path where the folder lies that has files of it
   * @returns the new film's id
   */
  async take({ film, changes, assets }: PreparedImport, device: string, path?: string): Promise<string> {
    const folder = path !== undefined && assets.some((a) => 'file' in a) ? await openFolder(path) : undefined;
    try {
      for (const asset of assets) await this.keep(asset, folder);
    } finally {
      folder?.close();
    }
    await this.store.apply({ batch: uuid(), device, changes: [...changes] });
    return film;
  }

  private async keep(asset: PreparedAsset, folder: OpenFolder | undefined): Promise<void> {
    const bytes = 'bytes' in asset ? asset.bytes : await folder?.read(asset.file, ASSET_LIMIT);
    if (!bytes) throw new HttpProblem(400, 'asset', 'A file of the film did not come with it.');
    const content = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if ((await this.assets.keep(asset.mime, content)) !== asset.id)
      throw new HttpProblem(
        400,
        'asset',
        'A file inside the film is damaged: its content does not match its name.',
      );
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
