import { ENTITY_KINDS, type Entity, type EntityKind } from '@core/model';
import { shallowRef, type ShallowRef } from 'vue';
import type { Thing } from './history';

interface KindRows {
  readonly byId: Map<string, Thing>;
  list: readonly Thing[];
  /** Counts how often the list was shown anew. */
  readonly shown: ShallowRef<number>;
  dirty: boolean;
}

/**
 * Things as shown, by kind. Each kind has a list of its own that stays the same object until something of that kind changes,
 * so that a shot's slider makes nobody look at the kit again.
 */
export class RowCollection {
  private kinds = new Map<EntityKind, KindRows>(
    ENTITY_KINDS.map((kind) => [kind, { byId: new Map(), list: [], shown: shallowRef(0), dirty: false }]),
  );

  private rows(kind: EntityKind): KindRows {
    const rows = this.kinds.get(kind);
    if (!rows) throw new Error(`no such kind: ${kind}`);
    return rows;
  }

  /** Puts a thing, or takes it away; shown at the next `refresh`. */
  put(kind: EntityKind, id: string, value: Thing | null): void {
    const rows = this.rows(kind);
    if (value) rows.byId.set(id, value);
    else rows.byId.delete(id);
    rows.dirty = true;
  }

  clear(): void {
    for (const rows of this.kinds.values()) {
      rows.byId.clear();
      rows.dirty = true;
    }
  }

  refresh(): void {
    const changed = [...this.kinds.values()].filter((rows) => rows.dirty);
    for (const rows of changed) {
      rows.dirty = false;
      rows.list = [...rows.byId.values()];
    }
    // Only once all lists are those of one moment: who looks at the first change must not find a film without its kit.
    for (const rows of changed) rows.shown.value += 1;
  }

  list<K extends EntityKind>(kind: K): readonly Entity<K>[] {
    const rows = this.rows(kind);
    void rows.shown.value;
    return rows.list as unknown as readonly Entity<K>[];
  }

  /** The thing as shown; whoever asks inside a computed is told when its kind changes. */
  get<K extends EntityKind>(kind: K, id: string): Entity<K> | undefined {
    const rows = this.rows(kind);
    void rows.shown.value;
    return rows.byId.get(id) as unknown as Entity<K> | undefined;
  }

  /** The thing as it stands, outside of what is shown. */
  at(kind: EntityKind, id: string): Thing | null {
    return this.rows(kind).byId.get(id) ?? null;
  }
}
