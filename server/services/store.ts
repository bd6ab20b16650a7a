import type { AnyRow, Batch, Change, Conflict, EntityKind, LoggedChange } from '@contract';
import { REFERENCES } from '@contract';
import pLimit from 'p-limit';
import { Transaction, type Sequelize } from 'sequelize';
import { read } from '../database';
import { HttpProblem } from '../http/problem';
import { toColumns, toRow, type Models } from '../models';
import { TABLES } from '../models/tables';
import type { Feed } from './feed';

const now = (): string => new Date().toISOString();

/** The one place where rows are written: a batch is one transaction, taken whole or not at all. */
export class Store {
  private readonly oneAtATime = pLimit(1);

  constructor(readonly sequelize: Sequelize, readonly models: Models, private readonly feed: Feed) {}

  /**
   * Takes a batch. Every change names the version it was made on.
   * @throws HttpProblem 409 with both versions when one changed meanwhile, or when something deleted is still in use
   */
  apply(batch: Batch): Promise<{ rows: AnyRow[]; changes: LoggedChange[] }> {
    return this.oneAtATime(async () => {
      const repeated = await this.alreadyTaken(batch);
      if (repeated) return repeated;
      const result = await this.sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, (t) => this.write(batch, t));
      this.feed.publish(result.changes);
      return result;
    });
  }

  /** A batch sent again because its answer was lost gets the same answer. */
  private async alreadyTaken(batch: Batch): Promise<{ rows: AnyRow[]; changes: LoggedChange[] } | null> {
    const logged = await this.models.changes.findAll({ where: { batch: batch.batch }, order: [['sequence', 'ASC']] });
    if (logged.length === 0) return null;
    const rows = await Promise.all(batch.changes.map((c) => this.find(c.kind, c.id)));
    return { rows: rows.filter((r) => r !== null), changes: logged.map(toLogged) };
  }

  private async find(kind: EntityKind, id: string, transaction?: Transaction): Promise<AnyRow | null> {
    const found = await this.models.rows[kind].findByPk(id, transaction ? { transaction } : {});
    return found ? toRow(kind, found) : null;
  }

  private async write(batch: Batch, t: Transaction): Promise<{ rows: AnyRow[]; changes: LoggedChange[] }> {
    const before = await Promise.all(batch.changes.map((c) => this.find(c.kind, c.id, t)));
    const conflicts = batch.changes.flatMap((change, i): Conflict[] => {
      const stored = before[i] ?? null;
      return (stored?.version ?? 0) === change.version ? [] : [{ kind: change.kind, id: change.id, yours: change, theirs: stored }];
    });
    if (conflicts.length > 0) throw new HttpProblem(409, 'conflict', 'Somebody changed the same thing meanwhile.', { conflicts });
    const filmIds = await Promise.all(batch.changes.map((c, i) => this.filmOf(c.kind, (c.value ?? before[i]?.value ?? {}) as Record<string, unknown>, batch, t)));
    const rows: AnyRow[] = [];
    const changes: LoggedChange[] = [];
    for (const [i, change] of batch.changes.entries()) {
      const stored = before[i] ?? null;
      const row = await this.writeOne(change, stored, t);
      if (row) rows.push(row);
      if (row || stored) changes.push(await this.log(batch, change, filmIds[i] ?? null, stored, row, t));
    }
    await this.checkReferences(batch.changes, t);
    return { rows, changes };
  }

  private async writeOne(change: Change, stored: AnyRow | null, t: Transaction): Promise<AnyRow | null> {
    const model = this.models.rows[change.kind];
    if (change.value === null) {
      if (stored) await model.destroy({ where: { id: change.id }, transaction: t });
      return null;
    }
    const at = now();
    const columns = toColumns(change.kind, change.value);
    if (stored) {
      const version = stored.version + 1;
      await model.update({ ...columns, version, updatedAt: at }, { where: { id: change.id }, transaction: t });
      return { ...stored, version, updatedAt: at, value: change.value } as unknown as AnyRow;
    }
    const version = await this.firstVersion(change.id, t);
    await model.create({ ...columns, version, createdAt: at, updatedAt: at }, { transaction: t });
    return { kind: change.kind, version, createdAt: at, updatedAt: at, value: change.value } as unknown as AnyRow;
  }

  /** A thing that was deleted and comes back goes on counting, so that no stale copy matches by chance. */
  private async firstVersion(id: string, t: Transaction): Promise<number> {
    const rows = await read<{ top: number | null }>(this.sequelize, 'SELECT MAX(version) AS top FROM change_log WHERE entity_id = :id', { id }, t);
    return (rows[0]?.top ?? 0) + 1;
  }

  private async log(batch: Batch, change: Change, filmId: string | null, before: AnyRow | null, after: AnyRow | null, t: Transaction): Promise<LoggedChange> {
    const logged = await this.models.changes.create({
      batch: batch.batch, undoes: batch.undoes ?? null, device: batch.device, filmId, kind: change.kind, entityId: change.id, at: after?.updatedAt ?? now(),
      version: after?.version ?? (before?.version ?? 0) + 1, before: before?.value ?? null, after: after?.value ?? null,
    }, { transaction: t });
    return toLogged(logged);
  }

  private async filmOf(kind: EntityKind, value: Record<string, unknown>, batch: Batch, t: Transaction): Promise<string | null> {
    if (kind === 'film') return String(value['id'] ?? '') || null;
    if (kind === 'location') return (value['filmId'] as string | undefined) ?? null;
    const locationId = value['locationId'] as string | undefined;
    if (locationId === undefined) return null;
    const inBatch = batch.changes.find((c) => c.kind === 'location' && c.id === locationId)?.value;
    if (inBatch) return String(inBatch['filmId']);
    const location = await this.find('location', locationId, t);
    return location ? String((location.value as Record<string, unknown>)['filmId']) : null;
  }

  private async checkReferences(changes: readonly Change[], t: Transaction): Promise<void> {
    for (const change of changes) {
      if (change.value === null) await this.checkUnused(change, t);
      else await this.checkTargets(change, change.value, t);
    }
  }

  private async checkTargets(change: Change, value: Record<string, unknown>, t: Transaction): Promise<void> {
    for (const reference of REFERENCES.filter((r) => r.from === change.kind)) {
      const target = value[reference.field];
      if (typeof target !== 'string') continue;
      if (!(await this.find(reference.to, target, t))) {
        throw new HttpProblem(400, 'missing-target', `The ${reference.to} this ${change.kind} belongs to is not there any more.`);
      }
    }
  }

  private async checkUnused(change: Change, t: Transaction): Promise<void> {
    for (const reference of REFERENCES.filter((r) => r.to === change.kind)) {
      const column = reference.field.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
      await this.refuseIfAny(`SELECT COUNT(*) AS n FROM ${TABLES[reference.from].table} WHERE ${column} = :id`, change, reference.from, t);
    }
    if (change.kind !== 'aircraft' && change.kind !== 'filter') return;
    for (const kind of ['pack', 'filter', 'shot'] as const) {
      await this.refuseIfAny(`SELECT COUNT(*) AS n FROM ${TABLES[kind].table} WHERE body LIKE '%' || :id || '%'`, change, kind, t);
    }
  }

  private async refuseIfAny(sql: string, change: Change, kind: EntityKind, t: Transaction): Promise<void> {
    const rows = await read<{ n: number }>(this.sequelize, sql, { id: change.id }, t);
    const n = rows[0]?.n ?? 0;
    if (n > 0) throw new HttpProblem(409, 'in-use', `This ${change.kind} is still used by ${n} ${kind}${n > 1 ? 's' : ''}. Retire it, or put another in its place first.`);
  }
}

/** A row of the change log as it crosses the wire. */
export const toLogged = (model: { get: (o: { plain: true }) => Record<string, unknown> }): LoggedChange => {
  const { entityId, ...rest } = model.get({ plain: true });
  return { ...rest, id: entityId } as unknown as LoggedChange;
};
