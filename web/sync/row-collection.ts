import { ENTITY_KINDS, type Entity, type EntityKind } from '@core/model';
import { shallowRef, triggerRef, type ShallowRef } from 'vue';
import type { Thing } from './history';

interface Board {
  readonly things: Map<string, Thing>;
  readonly list: ShallowRef<readonly Thing[]>;
  dirty: boolean;
}

/**
 * Things as shown, by kind. Each kind has a list of its own that stays the same object until something of that kind changes,
 * so that a slate's slider makes nobody look at the kit again.
 */
export class Shelf {
  private boards = new Map<EntityKind, Board>(
    ENTITY_KINDS.map((kind) => [kind, { things: new Map(), list: shallowRef([]), dirty: false }]),
  );

  private board(kind: EntityKind): Board {
    const board = this.boards.get(kind);
    if (!board) throw new Error(`no such kind: ${kind}`);
    return board;
  }

  /** Puts a thing, or takes it away; shown at the next `refresh`. */
  put(kind: EntityKind, id: string, value: Thing | null): void {
    const board = this.board(kind);
    if (value) board.things.set(id, value);
    else board.things.delete(id);
    board.dirty = true;
  }

  clear(): void {
    for (const board of this.boards.values()) {
      board.things.clear();
      board.dirty = true;
    }
  }

  refresh(): void {
    for (const board of this.boards.values()) {
      if (!board.dirty) continue;
      board.dirty = false;
      board.list.value = [...board.things.values()];
      triggerRef(board.list);
    }
  }

  list<K extends EntityKind>(kind: K): readonly Entity<K>[] {
    return this.board(kind).list.value as unknown as readonly Entity<K>[];
  }

  /** The thing as shown; whoever asks inside a computed is told when its kind changes. */
  get<K extends EntityKind>(kind: K, id: string): Entity<K> | undefined {
    const board = this.board(kind);
    void board.list.value;
    return board.things.get(id) as unknown as Entity<K> | undefined;
  }

  /** The thing as it stands, outside of what is shown. */
  at(kind: EntityKind, id: string): Thing | null {
    return this.board(kind).things.get(id) ?? null;
  }
}
