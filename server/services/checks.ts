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
import { MODEL_VERSION, validateSemantics, withDefaults, ENTITY_KINDS, type EntityKind } from '@core/model';
import type { ValidateFunction } from 'ajv';
import { newValidator } from '../../contract/validator';
import { HttpProblem } from '../http/problem';

const ajv = newValidator();
/** Looks no further than the first fault: what is wrong in its shape may be so a hundred thousand times. */
const shape = newValidator({ allErrors: false });
/** Faults that are named; who mends these finds the next. */
const MOST_FAULTS = 20;
/** Made when it is first asked for: all of them together would hold the start up by most of a second. */
const late = <T>(make: () => T): (() => T) => {
  let made: T | undefined;
  return () => (made ??= make());
};
const checks = Object.fromEntries(
  ENTITY_KINDS.map((kind) => [kind, late(() => ajv.compile(ENTITIES[kind]))]),
) as Record<EntityKind, () => ValidateFunction>;
const batchShape = late(() => shape.compile<Batch>(BatchSchema));
const fileShape = late(() => shape.compile<FilmFile>(FilmFileSchema));

/** Makes the checks one after the other, giving way to requests in between; the first save finds them there. */
export const warmChecks = async (): Promise<void> => {
  for (const make of [batchShape, ...Object.values(checks), fileShape]) {
    await new Promise((resolve) => setImmediate(resolve));
    make();
  }
};

export const validateRow = (
  kind: EntityKind,
  value: Record<string, unknown>,
): { path: string; say: string }[] => {
  const check = checks[kind]();
  return check(value) ? validateSemantics(kind, value) : sayFaults(check.errors);
};

const refuse = (fields: readonly FieldFault[]): never => {
  throw new HttpProblem(400, 'fields', fields[0]?.say ?? 'A field is not right.', {
    fields: fields.slice(0, MOST_FAULTS),
  });
};

/**
 * A page of another version is not listened to: what it does not know of a row it would set back without a word.
 * @throws HttpProblem 409 which of the two is the older
 */
const checkModel = ({ model = MODEL_VERSION }: Batch): void => {
  if (model < MODEL_VERSION)
    throw new HttpProblem(
      409,
      'page-older',
      'This page is of an earlier version than the application. Load it again, then send what waits.',
    );
  if (model > MODEL_VERSION)
    throw new HttpProblem(
      409,
      'page-newer',
      'This page is of a later version than the application. Update the application, then send what waits.',
    );
};

/** A batch with defaults for what its values lack, or a problem that names every field at fault. */
export const checkBatch = (body: unknown): Batch => {
  const checkShape = batchShape();
  if (!checkShape(body)) return refuse(sayFaults(checkShape.errors).map((f) => ({ index: 0, ...f })));
  checkModel(body);
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
  const fields: FieldFault[] = [];
  for (const [index, { kind, id, value }] of changes.entries()) {
    if (value === null || fields.length >= MOST_FAULTS) continue;
    const faults =
      value['id'] === id ? [] : [{ path: '/id', say: 'The id of the change and of its value differ.' }];
    fields.push(...[...faults, ...validateRow(kind, value)].map((f) => ({ index, ...f })));
  }
  return fields.length > 0 ? refuse(fields) : { ...body, changes };
};

interface List {
  readonly maxItems?: number;
  readonly properties?: Readonly<Record<string, List>>;
}

/** The first list that has more entries than one may have: counted before anything is looked at. */
const tooLong = (body: unknown, schema: List = FilmFileSchema as List, path = ''): FieldFault | null => {
  if (body === null || typeof body !== 'object') return null;
  for (const [name, part] of Object.entries(schema.properties ?? {})) {
    const value = (body as Readonly<Record<string, unknown>>)[name];
    const at = `${path}/${name}`;
    if (Array.isArray(value) && part.maxItems !== undefined && value.length > part.maxItems)
      return {
        index: 0,
        path: at,
        say: `${name} may have at most ${part.maxItems}; it has ${value.length}.`,
      };
    const deeper = Array.isArray(value) ? null : tooLong(value, part, at);
    if (deeper) return deeper;
  }
  return null;
};

/** A film file with defaults for what it lacks, or a problem that names the fields at fault. */
export const checkFilmFile = (body: unknown): FilmFile => {
  const long = tooLong(body);
  if (long) return refuse([long]);
  const file = withDefaults(FilmFileSchema, upgradeFile(body));
  const checkFile = fileShape();
  if (!checkFile(file)) return refuse(sayFaults(checkFile.errors).map((f) => ({ index: 0, ...f })));
  const fields = [
    ...file.locations.map((l) => validateSemantics('location', l)),
    ...file.features.map((f) => validateSemantics('feature', f)),
  ].flatMap((faults) => faults.map((f) => ({ index: 0, ...f })));
  return fields.length > 0 ? refuse(fields) : file;
};
