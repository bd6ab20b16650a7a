import {
  BatchSchema,
  ENTITIES,
  FilmFileSchema,
  sayFaults,
  upgradeFile,
  type Batch,
  type FieldFault,
  type FilmFile,
} from '@contract';
import { validateSemantics, withDefaults, ENTITY_KINDS, type EntityKind } from '@core/model';
import type { ValidateFunction } from 'ajv';
import { newValidator } from '../../contract/validator';
import { HttpProblem } from '../http/problem';

const ajv = newValidator();
const checks = Object.fromEntries(ENTITY_KINDS.map((kind) => [kind, ajv.compile(ENTITIES[kind])])) as Record<
  EntityKind,
  ValidateFunction
>;
const checkBatchShape = ajv.compile<Batch>(BatchSchema);
const checkFile = ajv.compile<FilmFile>(FilmFileSchema);

export const validateRow = (
  kind: EntityKind,
  value: Record<string, unknown>,
): { path: string; say: string }[] => {
  const check = checks[kind];
  return check(value) ? validateSemantics(kind, value) : sayFaults(check.errors);
};

const refuse = (fields: readonly FieldFault[]): never => {
  throw new HttpProblem(400, 'fields', fields[0]?.say ?? 'A field is not right.', { fields });
};

/** A batch with defaults for what its values lack, or a problem that names every field at fault. */
export const checkBatch = (body: unknown): Batch => {
  if (!checkBatchShape(body))
    return refuse(sayFaults(checkBatchShape.errors).map((f) => ({ index: 0, ...f })));
  const seen = new Set<string>();
  for (const [index, { id }] of body.changes.entries()) {
    if (seen.has(id))
      return refuse([{ index, path: '/id', say: 'The same thing is changed twice in one batch.' }]);
    seen.add(id);
  }
  const changes = body.changes.map((c) => ({
    ...c,
    value: withDefaults(ENTITIES[c.kind], c.value) as Record<string, unknown> | null,
  }));
  const fields = changes.flatMap(({ kind, id, value }, index) => {
    if (value === null) return [];
    const faults =
      value['id'] === id ? [] : [{ path: '/id', say: 'The id of the change and of its value differ.' }];
    return [...faults, ...validateRow(kind, value)].map((f) => ({ index, ...f }));
  });
  return fields.length > 0 ? refuse(fields) : { ...body, changes };
};

/** A film file with defaults for what it lacks, or a problem that names the fields at fault. */
export const checkFilmFile = (body: unknown): FilmFile => {
  const file = withDefaults(FilmFileSchema, upgradeFile(body));
  if (!checkFile(file))
    return refuse(
      sayFaults(checkFile.errors)
        .slice(0, 20)
        .map((f) => ({ index: 0, ...f })),
    );
  const fields = [
    ...file.locations.map((l) => validateSemantics('location', l)),
    ...file.features.map((f) => validateSemantics('feature', f)),
  ].flatMap((faults) => faults.map((f) => ({ index: 0, ...f })));
  return fields.length > 0 ? refuse(fields) : file;
};
