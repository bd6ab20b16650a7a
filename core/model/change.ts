import type { Entity } from './entities';
import type { EntityKind } from './kinds';

/** A row as it is to become, as it goes through the one write path; null deletes. */
export type RowChange<K extends EntityKind = EntityKind> = {
  [Kind in K]: { readonly kind: Kind; readonly id: string; readonly after: Entity<Kind> | null };
}[K];

/** A row of a kind that only the data tells, as it is to become. Whoever takes the change checks the row against its kind. */
export const changeTo = (kind: EntityKind, id: string, after: object | null): RowChange =>
  ({ kind, id, after }) as RowChange;
