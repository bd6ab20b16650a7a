import type { Entity, EntityKind } from '@core/model';

/** Fields of a thing as a change may give them; nothing handed over is written to. */
type Deep<T> = T extends readonly (infer U)[]
  ? readonly Deep<U>[]
  : T extends object
    ? { readonly [F in keyof T]: Deep<T[F]> }
    : T;
export type Fields<K extends EntityKind> = { readonly [F in keyof Entity<K>]?: Deep<Entity<K>[F]> };
