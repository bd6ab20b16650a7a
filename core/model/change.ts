import type { Entity } from './entities';
import type { EntityKind } from './kinds';

/** A row as it is to become, as it goes through the one write path; null deletes. */
export type RowChange<K extends EntityKind = EntityKind> = {
  [Kind in K]: { readonly kind: Kind; readonly id: string; readonly after: Entity<Kind> | null };
}[K];
