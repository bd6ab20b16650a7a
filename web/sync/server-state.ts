import type { AnyRow, Conflict, LoggedChange } from '@contract';
import type { EntityKind } from '@core/model';
import type { Thing } from './history';
import { keyOf } from './outbox';

export interface StoredRow {
  readonly kind: EntityKind;
  readonly version: number;
  readonly value: Thing;
}

/** Rows as the server last sent them, by key. What arrives late never replaces what is newer. */
export class ServerState {
  private readonly rows = new Map<string, StoredRow>();
  /** Newest version of a thing that was deleted: older changes must not bring it back. */
  private readonly deletions = new Map<string, number>();

  constructor(rows: readonly AnyRow[] = []) {
    for (const row of rows) this.set(row);
  }

  /** Every row, as an answer of the server would have it; the times are not known here. */
  get all(): readonly AnyRow[] {
    return [...this.rows.values()].map((r) => ({ ...r, createdAt: '', updatedAt: '' }) as unknown as AnyRow);
  }

  at(key: string): StoredRow | null {
    return this.rows.get(key) ?? null;
  }

  /** A change from the server. @returns false when something newer of that thing is known */
  receive({ kind, id, version, after }: LoggedChange): boolean {
    const key = keyOf(kind, id);
    if (version <= this.known(key)) return false;
    if (after) this.rows.set(key, { kind, version, value: after as Thing });
    else this.markDeleted(key, version);
    return true;
  }

  /** A row from an answer. @returns what arrived meanwhile, when that is newer than the answer */
  answer(row: AnyRow): StoredRow | null {
    const known = this.at(keyOf(row.kind, row.value.id));
    if (known && known.version > row.version) return known;
    this.set(row);
    return null;
  }

  /** A deletion the server took. */
  deleted(kind: EntityKind, id: string): void {
    const key = keyOf(kind, id);
    this.markDeleted(key, this.known(key) + 1);
  }

  /** How a thing in conflict stands. */
  conflict({ kind, id, theirs }: Conflict): void {
    if (theirs) this.set(theirs);
    else this.rows.delete(keyOf(kind, id));
  }

  private set(row: AnyRow): void {
    this.rows.set(keyOf(row.kind, row.value.id), {
      kind: row.kind,
      version: row.version,
      value: row.value as Thing,
    });
  }
  private known(key: string): number {
    return Math.max(this.rows.get(key)?.version ?? 0, this.deletions.get(key) ?? 0);
  }
  private markDeleted(key: string, version: number): void {
    this.rows.delete(key);
    this.deletions.set(key, version);
  }
}
