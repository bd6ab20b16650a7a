import { Type, type Static } from '@sinclair/typebox';
import { ENTITY_KINDS, oneOf, strict, uuid, whole, type EntityKind } from '../core/model';
import type { AnyRow } from './entities';

/** One wanted change. `version` is the one the change was made on; 0 creates. A null value deletes. */
export const ChangeSchema = strict({
  kind: oneOf(ENTITY_KINDS),
  id: uuid(),
  version: whole(0, 2_000_000_000),
  value: Type.Union([Type.Record(Type.String(), Type.Unknown()), Type.Null()]),
});

/** Changes that are taken together or not at all. */
export const BatchSchema = strict({
  batch: uuid(),
  device: Type.String({ minLength: 1, maxLength: 80 }),
  undoes: Type.Optional(uuid()),
  /** Version of the model its values are written in; left out, whoever sends it answers for that. */
  model: Type.Optional(whole(1, 10_000)),
  /** Names one act of a person that takes several batches: it is taken back as a whole. */
  step: Type.Optional(uuid()),
  changes: Type.Array(ChangeSchema, { minItems: 1, maxItems: 2000 }),
});

export type Change = Static<typeof ChangeSchema>;
export type Batch = Static<typeof BatchSchema>;

/** A change that was taken, as it stands in the log and goes out to other tabs. */
export interface LoggedChange {
  readonly sequence: number;
  readonly batch: string;
  readonly undoes: string | null;
  readonly step: string | null;
  readonly device: string;
  readonly filmId: string | null;
  readonly kind: EntityKind;
  readonly id: string;
  readonly at: string;
  readonly version: number;
  readonly before: AnyRow['value'] | null;
  readonly after: AnyRow['value'] | null;
}

export interface Conflict {
  readonly kind: EntityKind;
  readonly id: string;
  readonly yours: Change;
  /** What is stored now; null when it was deleted. */
  readonly theirs: AnyRow | null;
}

/** RFC 9457 problem document. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly fields?: readonly FieldFault[];
  readonly conflicts?: readonly Conflict[];
}

export interface FieldFault {
  /** Which change of the batch; 0 elsewhere. */
  readonly index: number;
  readonly path: string;
  readonly say: string;
}
