import { SCHEMAS, type Entity, type EntityKind } from '../core/model';
import { withMoveLimits } from './moves';

/** Schemas of every kind of row as they are checked: those of the model, and the limits of each move's numbers. */
export const ENTITIES = { ...SCHEMAS, shot: withMoveLimits(SCHEMAS.shot) } as const;

/** A stored row: the thing, how often it was changed, and when. */
export interface Row<K extends EntityKind = EntityKind> {
  readonly kind: K;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly value: Entity<K>;
}

export type AnyRow = { [K in EntityKind]: Row<K> }[EntityKind];
