import { BatchSchema } from './changes';
import { ENTITIES } from './entities';
import { ASSET_MIMES, ENTITY_KINDS } from '../core/model';
import { RecordRowSchema } from '../core/model';
import { FilmFileSchema, KitFileSchema } from './exchange';

const json = (schema: object) => ({ content: { 'application/json': { schema } } });
const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: ref('problem') } },
});
const idParameter = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } };
const nameParameter = { name: 'name', in: 'path', required: true, schema: { type: 'string' } };
const listOf = (items: object) => ({ type: 'array', items });
const text = { type: 'string' };
const whole = { type: 'integer' };
const instant = { type: 'string', format: 'date-time' };
const idText = { type: 'string', format: 'uuid' };
const record = (properties: Readonly<Record<string, object>>) => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});

const filmSummary = record({ id: idText, name: text, locations: whole, shots: whole, updatedAt: text });
const backupSchema = record({
  name: text,
  at: instant,
  bytes: whole,
  sound: { type: 'boolean', description: 'It opens and its pages hold together.' },
  films: listOf(record({ id: text, name: text, shots: whole })),
});
const projectionSchema = record({
  code: { ...text, description: 'Number in the EPSG register.' },
  name: text,
  proj4: { ...text, description: 'Definition as PROJ writes it.' },
  unit: { ...text, description: 'Of its coordinates: degree, metre.' },
});
const deviceSchema = record({ id: idText, name: text, pairedAt: instant, seenAt: instant });
const invitationSchema = record({
  code: text,
  untilMs: { type: 'integer', description: 'When it runs out, UTC ms.' },
  links: { ...listOf(text), description: 'Address of the pairing page with the code in it, by network.' },
});
const lanSchema = {
  type: 'object',
  required: ['on'],
  properties: {
    on: { type: 'boolean', description: 'Whether it was started with --lan.' },
    addresses: listOf(text),
    fingerprint: { ...text, description: 'SHA-256 of the certificate authority.' },
    open: { anyOf: [record({ code: text, untilMs: whole }), { type: 'null' }] },
    devices: listOf(deviceSchema),
  },
};
const ok = (description: string, schema: object = { type: 'object' }) => ({ description, ...json(schema) });
const file = (description: string, mime = '*/*') => ({
  description,
  content: { [mime]: { schema: { type: 'string', format: 'binary' } } },
});

const rowSchema = (kind: string) => ({
  ...record({ kind: { const: kind }, version: whole, createdAt: text, updatedAt: text, value: ref(kind) }),
});
const anyRow = { anyOf: ENTITY_KINDS.map((kind) => ref(`${kind}-row`)) };
const loggedSchema = record({
  sequence: whole,
  batch: idText,
  undoes: { anyOf: [idText, { type: 'null' }] },
  step: { anyOf: [idText, { type: 'null' }] },
  device: text,
  filmId: { anyOf: [idText, { type: 'null' }] },
  kind: { enum: ENTITY_KINDS },
  id: idText,
  at: text,
  version: whole,
  before: { description: 'The value before; null where it was new.' },
  after: { description: 'The value after; null where it was deleted.' },
});

const problemSchema = {
  type: 'object',
  required: ['type', 'title', 'status', 'detail'],
  properties: {
    type: text,
    title: text,
    status: whole,
    detail: text,
    fields: listOf(record({ index: whole, path: text, say: text })),
    conflicts: listOf({ type: 'object' }),
  },
};

interface Described {
  readonly summary: string;
  readonly parameters?: readonly object[];
  readonly requestBody?: object;
  readonly responses: Readonly<Record<number, object>>;
}
type Method = 'get' | 'post' | 'delete';

const paths: Readonly<Record<string, Partial<Record<Method, Described & { readonly operationId: string }>>>> =
  {
    '/api/films': {
      get: {
        operationId: 'listFilms',
        summary: 'Films, newest change first',
        responses: { 200: ok('Films', record({ films: listOf(filmSummary) })) },
      },
    },
    '/api/films/{id}': {
      get: {
        operationId: 'openFilm',
        summary: 'A film with its locations and everything that belongs to them',
        parameters: [idParameter],
        responses: {
          200: ok(
            'Rows, the sequence of the newest change, and the version of the model they are written in',
            record({ rows: listOf(anyRow), sequence: whole, model: whole }),
          ),
          404: problem('No such film'),
        },
      },
      delete: {
        operationId: 'deleteFilm',
        summary: 'Deletes a film with all that belongs to it; kit stays',
        parameters: [idParameter],
        responses: { 204: { description: 'Deleted' }, 404: problem('No such film') },
      },
    },
    '/api/films/{id}/file': {
      get: {
        operationId: 'exportFilm',
        summary: 'The film as one file',
        parameters: [idParameter],
        responses: { 200: ok('File', ref('film-file')), 404: problem('No such film') },
      },
    },
    '/api/films/{id}/file.zip': {
      get: {
        operationId: 'exportFilmFolder',
        summary:
          'The film as one ZIP: film.json, with the path of each file instead of its bytes, and the files beside it',
        parameters: [idParameter],
        responses: { 200: file('The ZIP'), 404: problem('No such film') },
      },
    },
    '/api/films/{id}/documents/{name}': {
      get: {
        operationId: 'makeDocument',
        summary:
          'A document of the film: call sheet, shot list, storyboard, check sheets, tables, calendar, timeline, or all of them',
        parameters: [
          idParameter,
          { ...nameParameter, description: 'File name, such as call-sheet.pdf or everything.zip.' },
          { name: 'paper', in: 'query', schema: { enum: ['A4', 'LETTER'], default: 'A4' } },
          { name: 'language', in: 'query', schema: { enum: ['en', 'de'], default: 'en' } },
        ],
        responses: { 200: file('The file'), 404: problem('No such film or document') },
      },
    },
    '/api/films/{id}/changes': {
      get: {
        operationId: 'listChanges',
        summary: 'Newest changes of a film and of the kit, oldest first, whole batches only',
        parameters: [idParameter],
        responses: { 200: ok('Changes', record({ changes: listOf(loggedSchema) })) },
      },
    },
    '/api/films/import': {
      post: {
        operationId: 'importFilm',
        summary: 'Takes in a film file of up to 250 MB under new ids, as JSON or as the ZIP it is saved as',
        requestBody: {
          content: {
            'application/json': { schema: ref('film-file') },
            'application/zip': { schema: { type: 'string', format: 'binary' } },
          },
        },
        responses: {
          201: ok('The new film', record({ id: idText })),
          400: problem('Not a film file'),
          413: problem('Too large'),
          415: problem('Neither JSON nor ZIP, or packed on the way'),
        },
      },
    },
    '/api/films/demo': {
      post: {
        operationId: 'openDemo',
        summary: 'Makes a fresh copy of the made-up demo film, its kit added where it is missing',
        responses: { 201: ok('The new film', record({ id: idText })) },
      },
    },
    '/api/kit': {
      get: {
        operationId: 'openKit',
        summary: 'All kit',
        responses: { 200: ok('Kit', record({ rows: listOf(anyRow) })) },
      },
    },
    '/api/kit/file': {
      get: {
        operationId: 'exportKit',
        summary: 'Kit and checks as one file',
        responses: { 200: ok('File', ref('kit-file')) },
      },
    },
    '/api/changes': {
      post: {
        operationId: 'applyChanges',
        summary: 'Takes a batch of changes, all or none',
        requestBody: json(ref('batch')),
        responses: {
          200: ok(
            'The rows as stored, and what is gone',
            record({
              rows: listOf(anyRow),
              gone: listOf(record({ kind: { enum: ENTITY_KINDS }, id: idText })),
            }),
          ),
          400: problem('A field is wrong'),
          409: problem('Changed meanwhile, or still in use'),
          413: problem('Too large'),
        },
      },
    },
    '/api/events': {
      get: {
        operationId: 'followChanges',
        summary: 'Changes as server-sent events; Last-Event-ID resumes, a reset asks to read everything anew',
        parameters: [{ name: 'since', in: 'query', schema: whole }],
        responses: { 200: { description: 'Events', content: { 'text/event-stream': { schema: text } } } },
      },
    },
    '/api/assets': {
      post: {
        operationId: 'keepAsset',
        summary: 'Keeps a picture or a raster of heights; the same content gets the same id',
        requestBody: {
          content: Object.fromEntries(
            ASSET_MIMES.map((mime) => [mime, { schema: { type: 'string', format: 'binary' } }]),
          ),
        },
        responses: {
          201: ok('Its id, the SHA-256 of its content', record({ id: text })),
          413: problem('Too large'),
          415: problem('Of a kind not kept here'),
        },
      },
    },
    '/api/assets/{id}': {
      get: {
        operationId: 'openAsset',
        summary: 'A kept file',
        parameters: [{ ...idParameter, schema: { type: 'string', pattern: '^[0-9a-f]{64}$' } }],
        responses: { 200: file('The file'), 404: problem('No such file') },
      },
    },
    '/api/projections/{code}': {
      get: {
        operationId: 'openProjection',
        summary: 'Definition of a map projection, or unit of a system of heights, by its EPSG number',
        parameters: [{ ...nameParameter, name: 'code' }],
        responses: { 200: ok('Definition', projectionSchema), 404: problem('Not known here') },
      },
    },
    '/api/backups': {
      get: {
        operationId: 'listBackups',
        summary: 'Backups, newest first, each opened and checked',
        responses: { 200: ok('Backups', record({ backups: listOf(backupSchema) })) },
      },
      post: {
        operationId: 'makeBackup',
        summary: 'Writes a backup now',
        responses: { 201: ok('Its name', record({ name: text })) },
      },
    },
    '/api/backups/{name}/films/{film}': {
      post: {
        operationId: 'restoreFilm',
        summary: 'Brings a film back from a backup, beside the film of today',
        parameters: [nameParameter, { ...idParameter, name: 'film' }],
        responses: {
          201: ok('Id of the new film', record({ id: idText })),
          404: problem('No such backup or film'),
        },
      },
    },
    '/api/backups/{name}/restore': {
      post: {
        operationId: 'restoreAll',
        summary:
          'Has a backup take the place of everything at the next start; the state now is backed up first',
        parameters: [nameParameter],
        responses: {
          202: ok('Name of that backup', record({ before: text })),
          404: problem('No such backup'),
        },
      },
    },
    '/api/pairing': {
      get: {
        operationId: 'openPairing',
        summary: 'The local network and its paired devices; only on the computer itself',
        responses: { 200: ok('State', lanSchema), 403: problem('Asked by a paired device') },
      },
    },
    '/api/pairing/codes': {
      post: {
        operationId: 'inviteDevice',
        summary: 'A code for one device, for five minutes; the one before is void',
        responses: { 201: ok('The code', invitationSchema), 409: problem('Not started with --lan') },
      },
    },
    '/api/pairing/devices/{id}': {
      delete: {
        operationId: 'removeDevice',
        summary: 'Sends a paired device away, at once',
        parameters: [idParameter],
        responses: { 204: { description: 'Removed' }, 404: problem('Not paired') },
      },
    },
    '/api/settings': {
      get: {
        operationId: 'openSettings',
        summary: 'What the owner set when starting: the address of map tiles, or none',
        responses: { 200: ok('Settings', record({ tiles: text })) },
      },
    },
    '/api/schemas/{name}': {
      get: {
        operationId: 'openSchema',
        summary: 'Schema of a file: film-file, kit-file, or a line of a flight-record',
        parameters: [nameParameter],
        responses: { 200: ok('JSON Schema'), 404: problem('No such schema') },
      },
    },
    '/api/openapi.json': {
      get: { operationId: 'describe', summary: 'This description', responses: { 200: ok('OpenAPI 3.1') } },
    },
    '/api/health': {
      get: {
        operationId: 'checkHealth',
        summary: 'Whether the application can read and write',
        responses: {
          200: ok('Health', record({ ok: { type: 'boolean' }, sequence: whole })),
          503: ok(
            'Nothing can be stored now',
            record({ ok: { type: 'boolean' }, sequence: whole, trouble: ref('problem') }),
          ),
        },
      },
    },
  };

/** Description of the API, built from the schemas that check it. */
export const openApi = (version: string) => ({
  openapi: '3.1.0',
  info: { title: 'Dusk Slate', version, description: 'Shoot planning for drone videographers.' },
  paths,
  components: {
    schemas: {
      ...ENTITIES,
      ...Object.fromEntries(ENTITY_KINDS.map((kind) => [`${kind}-row`, rowSchema(kind)])),
      batch: BatchSchema,
      'film-file': FilmFileSchema,
      'kit-file': KitFileSchema,
      'flight-record': RecordRowSchema,
      problem: problemSchema,
    },
  },
});
