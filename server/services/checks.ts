import {
  BatchSchema,
  beyondSchema,
  ENTITIES,
  ENTITY_KINDS,
  FilmFileSchema,
  sayFaults,
  type Batch,
  type EntityKind,
  type FieldFault,
  type FilmFile,
} from '@contract';
import { Ajv, type ValidateFunction } from 'ajv';
import { HttpProblem } from '../http/problem';

const ajv = new Ajv({
  allErrors: true,
  strict: true,
  strictTypes: false,
  allowUnionTypes: true,
  useDefaults: true,
});
const checks = Object.fromEntries(ENTITY_KINDS.map((kind) => [kind, ajv.compile(ENTITIES[kind])])) as Record<
  EntityKind,
  ValidateFunction
>;
const checkBatchShape = ajv.compile<Batch>(BatchSchema);
const checkFile = ajv.compile<FilmFile>(FilmFileSchema);

export const faultsOf = (
  kind: EntityKind,
  value: Record<string, unknown>,
): { path: string; say: string }[] => {
  const check = checks[kind];
  return check(value) ? beyondSchema(kind, value) : sayFaults(check.errors);
};

const refuse = (fields: readonly FieldFault[]): never => {
  throw new HttpProblem(400, 'fields', fields[0]?.say ?? 'A field is not right.', { fields });
};

/** A batch as it came in, or a problem that names every field at fault. */
export const checkBatch = (body: unknown): Batch => {
  if (!checkBatchShape(body))
    return refuse(sayFaults(checkBatchShape.errors).map((f) => ({ index: 0, ...f })));
  const fields = body.changes.flatMap((change, index) => {
    if (change.value === null) return [];
    const faults =
      change.value['id'] === change.id
        ? []
        : [{ path: '/id', say: 'The id of the change and of its value differ.' }];
    return [...faults, ...faultsOf(change.kind, change.value)].map((f) => ({ index, ...f }));
  });
  return fields.length > 0 ? refuse(fields) : body;
};

export const checkFilmFile = (body: unknown): FilmFile => {
  if (!checkFile(body))
    return refuse(
      sayFaults(checkFile.errors)
        .slice(0, 20)
        .map((f) => ({ index: 0, ...f })),
    );
  const fields = [
    ...body.locations.map((l) => beyondSchema('location', l)),
    ...body.features.map((f) => beyondSchema('feature', f)),
  ].flatMap((faults) => faults.map((f) => ({ index: 0, ...f })));
  return fields.length > 0 ? refuse(fields) : body;
};
