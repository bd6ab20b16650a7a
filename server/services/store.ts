import type { AnyRow, Batch, Change, Conflict, LoggedChange } from '@contract';
import { type EntityKind, REFERENCES } from '@core/model';
import pLimit from 'p-limit';
import type { Sequelize } from 'sequelize';
import { inTransaction, read } from '../database';
import { HttpProblem } from '../http/problem';
import { appendChanges, columnOf, deleteRow, insertRows, readChanges, readRows, updateRow } from '../models';
import { TABLES } from '../models/tables';
import type { Feed } from './feed';

const now = (): string => new Date().toISOString();

/** An id names one thing only, also after that was deleted. */
const checkKinds = (
  changes: readonly Change[],
  logged: ReadonlyMap<string, { readonly kind: string }>,
): void => {
  for (const { id, kind } of changes) {
    const other = logged.get(id);
    if (other && other.kind !== kind)
      throw new HttpProblem(409, 'id-taken', `The id ${id} is that of a ${other.kind}, not of a ${kind}.`);
  }
};

/**
 * A row as a change leaves it; null where it is deleted.
 * @param counted version up to which its id counted before: a thing that was deleted and comes back goes on, so that no stale
 *   copy matches by chance
 */
const rowAfter = (change: Change, stored: AnyRow | null, counted: number): AnyRow | null => {
  if (change.value === null) return null;
  const updatedAt = now();
  const row = {
    kind: change.kind,
    version: (stored?.version ?? counted) + 1,
    createdAt: stored?.createdAt ?? updatedAt,
    updatedAt,
    value: change.value,
  };
  return row as unknown as AnyRow;
};

const entryOf = (
  batch: Batch,
  change: Change,
  filmId: string | null,
  before: AnyRow | null,
  after: AnyRow | null,
): Omit<LoggedChange, 'sequence'> => ({
  batch: batch.batch,
  undoes: batch.undoes ?? null,
  step: batch.step ?? null,
  device: batch.device,
  filmId,
  kind: change.kind,
  id: change.id,
  at: after?.updatedAt ?? now(),
  version: after?.version ?? (before?.version ?? 0) + 1,
  before: before?.value ?? null,
  after: after?.value ?? null,
});

/** What a batch came to: rows as they stand now, and what is gone. */
export interface Taken {
  readonly rows: readonly AnyRow[];
  readonly gone: readonly { readonly kind: EntityKind; readonly id: string }[];
}

/** The one place where rows are written: a batch is one transaction, taken whole or not at all. */
export class Store {
  private readonly oneAtATime = pLimit(1);
  /** Film of each location seen so far; a location keeps its film. */
  private readonly filmOfPlace = new Map<unknown, string>();

  /** @param writer a connection only this store writes on; readers have another, so that they never see half a batch */
  constructor(
    private readonly writer: Sequelize,
    private readonly feed: Feed,
  ) {}

  /**
   * Takes a batch. Every change names the version it was made on. A batch sent again because its answer was lost gets
   * the same answer.
   * @throws HttpProblem 409 with both versions when one changed meanwhile, or when something deleted is still in use
   */
  apply(batch: Batch): Promise<Taken> {
    return this.oneAtATime(async () => {
      const result = await inTransaction(this.writer, () => this.write(batch));
      this.feed.publish(result.changes);
      return {
        rows: result.rows,
        gone: batch.changes.filter((c) => c.value === null).map(({ kind, id }) => ({ kind, id })),
      };
    });
  }

  /** Runs a write of its own in turn with the batches. */
  alone<T>(work: (writer: Sequelize) => Promise<T>): Promise<T> {
    return this.oneAtATime(() => work(this.writer));
  }

  /** Waits until everything asked for so far is written. */
  async idle(): Promise<void> {
    await this.oneAtATime(() => Promise.resolve());
  }

  /** What is stored now of everything a batch is about, by id. */
  private async stored(changes: readonly Change[]): Promise<Map<string, AnyRow>> {
    const kinds = [...new Set(changes.map((c) => c.kind))];
    const rows: AnyRow[] = [];
    for (const kind of kinds)
      rows.push(
        ...(await readRows(
          this.writer,
          kind,
          'id',
          changes.filter((c) => c.kind === kind).map((c) => c.id),
        )),
      );
    return new Map(rows.map((r) => [r.value.id, r]));
  }

  /**
   * What a batch made when it was taken before: the rows as it made them, whatever came after. Null for a new one.
   * @throws HttpProblem 409 when its name was used for something else
   */
  private async takenBefore(batch: Batch): Promise<AnyRow[] | null> {
    const known = await readChanges(this.writer, 'batch = :batch', { batch: batch.batch });
    if (known.length === 0) return null;
    const ids = new Set(batch.changes.map((c) => `${c.kind}:${c.id}`));
    if (known.some((c) => !ids.has(`${c.kind}:${c.id}`)))
      throw new HttpProblem(
        409,
        'batch-reused',
        'A batch of that name was taken before, with other changes.',
      );
    return known.flatMap((c) => (c.after ? [asMade(c)] : []));
  }

  /** What the log knows of ids that are not there now: of which kind they were, and up to which version they counted. */
  private async logged(
    changes: readonly Change[],
    before: ReadonlyMap<string, AnyRow>,
  ): Promise<Map<string, { kind: string; top: number }>> {
    const ids = changes.filter((c) => !before.has(c.id)).map((c) => c.id);
    if (ids.length === 0) return new Map();
    const rows = await read<{ id: string; kind: string; top: number }>(
      this.writer,
      'SELECT entity_id AS id, kind, MAX(version) AS top FROM change_log WHERE entity_id IN (:ids) GROUP BY entity_id, kind',
      { ids },
    );
    return new Map(rows.map((r) => [r.id, r]));
  }

  private async write(batch: Batch): Promise<{ rows: AnyRow[]; changes: LoggedChange[] }> {
    const again = await this.takenBefore(batch);
    if (again) return { rows: again, changes: [] };
    const before = await this.stored(batch.changes);
    const conflicts = batch.changes.flatMap((change): Conflict[] => {
      const theirs = before.get(change.id) ?? null;
      return (theirs?.version ?? 0) === change.version
        ? []
        : [{ kind: change.kind, id: change.id, yours: change, theirs }];
    });
    if (conflicts.length > 0)
      throw new HttpProblem(409, 'conflict', 'Somebody changed the same thing meanwhile.', { conflicts });
    const logged = await this.logged(batch.changes, before);
    checkKinds(batch.changes, logged);
    const filmOf = await this.filmsOf(batch.changes, before);
    const written = batch.changes.map((change) => {
      const old = before.get(change.id) ?? null;
      return { change, old, row: rowAfter(change, old, logged.get(change.id)?.top ?? 0) };
    });
    await this.writeRows(written);
    const changes = await appendChanges(
      this.writer,
      written
        .filter(({ old, row }) => row ?? old)
        .map(({ change, old, row }) => entryOf(batch, change, filmOf(change), old, row)),
    );
    await this.checkReferences(batch.changes, before);
    return { rows: written.flatMap(({ row }) => row ?? []), changes };
  }

  /** Writes in the order of the batch; new things of a kind that follow one another go in together. */
  private async writeRows(
    written: readonly { change: Change; old: AnyRow | null; row: AnyRow | null }[],
  ): Promise<void> {
    let fresh: AnyRow[] = [];
    for (const { change, old, row } of written) {
      const isNew = row !== null && old === null;
      if (!isNew || fresh[0]?.kind !== change.kind) {
        await insertRows(this.writer, fresh);
        fresh = [];
      }
      if (isNew) fresh.push(row);
      else if (row) await updateRow(this.writer, row);
      else if (old) await deleteRow(this.writer, change.kind, change.id);
    }
    await insertRows(this.writer, fresh);
  }

  /** Which film each change belongs to; kit belongs to none. */
  private async filmsOf(
    changes: readonly Change[],
    before: ReadonlyMap<string, AnyRow>,
  ): Promise<(change: Change) => string | null> {
    const valueOf = (c: Change): Record<string, unknown> =>
      (c.value ?? before.get(c.id)?.value ?? {}) as Record<string, unknown>;
    const films = this.filmOfPlace;
    for (const c of changes) if (c.kind === 'location') films.set(c.id, String(valueOf(c)['filmId']));
    const unknown = [...new Set(changes.map((c) => valueOf(c)['locationId']))].filter(
      (id): id is string => typeof id === 'string' && !films.has(id),
    );
    if (unknown.length > 0) {
      const found = await read<{ id: string; film_id: string }>(
        this.writer,
        'SELECT id, film_id FROM locations WHERE id IN (:unknown)',
        { unknown },
      );
      for (const row of found) films.set(row.id, row.film_id);
    }
    return (c) =>
      c.kind === 'film' ? c.id : (films.get(c.kind === 'location' ? c.id : valueOf(c)['locationId']) ?? null);
  }

  private async checkReferences(
    changes: readonly Change[],
    before: ReadonlyMap<string, AnyRow>,
  ): Promise<void> {
    await this.checkTargets(changes, before);
    await this.checkFiles(changes, before);
    for (const change of changes) if (change.value === null) await this.checkUnused(change);
  }

  /** What a change newly refers to must be there. */
  private async checkTargets(changes: readonly Change[], before: ReadonlyMap<string, AnyRow>): Promise<void> {
    for (const reference of REFERENCES) {
      const wanted = new Set<string>();
      for (const { kind, id, value } of changes) {
        const target = kind === reference.from ? value?.[reference.field] : undefined;
        const old = (before.get(id)?.value as Record<string, unknown> | undefined)?.[reference.field];
        if (typeof target === 'string' && target !== old) wanted.add(target);
      }
      if (wanted.size === 0) continue;
      const found = await read<{ n: number }>(
        this.writer,
        `SELECT COUNT(*) AS n FROM ${TABLES[reference.to].table} WHERE id IN (:ids)`,
        { ids: [...wanted] },
      );
      if (found[0]?.n !== wanted.size)
        throw new HttpProblem(
          400,
          'missing-target',
          `The ${reference.to} this ${reference.from} belongs to is not there any more.`,
        );
    }
  }

  /** A file a row newly names must have been sent before it. */
  private async checkFiles(changes: readonly Change[], before: ReadonlyMap<string, AnyRow>): Promise<void> {
    const fileOf = (value: Change['value'] | undefined): unknown => value?.['assetId'];
    const wanted = new Set(
      changes.flatMap(({ id, value }) => {
        const file = fileOf(value);
        const old = fileOf(before.get(id)?.value as Change['value'] | undefined);
        return typeof file === 'string' && file !== old ? [file] : [];
      }),
    );
    if (wanted.size === 0) return;
    const found = await read<{ n: number }>(
      this.writer,
      'SELECT COUNT(*) AS n FROM assets WHERE id IN (:ids)',
      { ids: [...wanted] },
    );
    if (found[0]?.n !== wanted.size)
      throw new HttpProblem(
        400,
        'missing-file',
        'A file that is named here was never sent, or is gone. Add it once more from where it came.',
      );
  }

  private async checkUnused(change: Change): Promise<void> {
    for (const reference of REFERENCES.filter((r) => r.to === change.kind)) {
      await this.refuseIfAny(
        `SELECT COUNT(*) AS n FROM ${TABLES[reference.from].table} WHERE ${columnOf(reference.field)} = :id`,
        change,
        reference.from,
      );
    }
    if (change.kind !== 'aircraft' && change.kind !== 'filter') return;
    for (const kind of ['pack', 'filter', 'shot', 'charger'] as const) {
      await this.refuseIfAny(
        `SELECT COUNT(*) AS n FROM ${TABLES[kind].table} WHERE id <> :id AND body LIKE '%' || :id || '%'`,
        change,
        kind,
      );
    }
  }

  private async refuseIfAny(sql: string, change: Change, kind: EntityKind): Promise<void> {
    const rows = await read<{ n: number }>(this.writer, sql, { id: change.id });
    const n = rows[0]?.n ?? 0;
    if (n > 0)
      throw new HttpProblem(
        409,
        'in-use',
        `This ${change.kind} is still used by ${n} ${(WORDS[kind] ?? [kind, `${kind}s`])[n > 1 ? 1 : 0]}. Retire it, or put another in its place first.`,
      );
  }
}

/** Kinds that have no word of their own in a sentence. */
const WORDS: Partial<Record<EntityKind, readonly [one: string, many: string]>> = {
  cardMove: ['entry', 'entries'],
  flightLogEntry: ['logged flight', 'logged flights'],
  practice: ['practice', 'practices'],
};

const asMade = ({ kind, version, at, after }: LoggedChange): AnyRow =>
  ({ kind, version, createdAt: at, updatedAt: at, value: after }) as AnyRow;
