import { BatchSchema } from './changes';
import { ENTITIES } from './entities';
import { ENTITY_KINDS } from '../core/model';
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
const backupSchema = {
  type: 'object',
  properties: {
    name: { type: 'string' },
    at: { type: 'string', format: 'date-time' },
    bytes: { type: 'integer' },
    sound: { type: 'boolean', description: 'It opens and its pages hold together.' },
    films: listOf({
      type: 'object',
      properties: { id: { type: 'string' }, name: { type: 'string' }, shots: { type: 'integer' } },
    }),
  },
};
const ok = (description: string, schema: object = { type: 'object' }) => ({ description, ...json(schema) });

const rowSchema = (kind: string) => ({
  type: 'object',
  properties: {
    kind: { const: kind },
    version: { type: 'integer' },
    createdAt: { type: 'string' },
    updatedAt: { type: 'string' },
    value: ref(kind),
  },
});

const problemSchema = {
  type: 'object',
  required: ['type', 'title', 'status', 'detail'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    fields: { type: 'array' },
    conflicts: { type: 'array' },
  },
};

const paths = {
  '/api/films': { get: { summary: 'Films, newest change first', responses: { 200: ok('List') } } },
  '/api/films/{id}': {
    get: {
      summary: 'A film with its locations, subjects, shots and readings',
      parameters: [idParameter],
      responses: { 200: ok('Film'), 404: problem('No such film') },
    },
  },
  '/api/films/{id}/file': {
    get: {
      summary: 'The film as one file',
      parameters: [idParameter],
      responses: { 200: ok('File', ref('film-file')), 404: problem('No such film') },
    },
  },
  '/api/films/{id}/documents/{name}': {
    get: {
      summary:
        'A document of the film: call sheet, shot list, storyboard, tables, calendar, timeline, or all of them',
      parameters: [
        idParameter,
        { ...nameParameter, description: 'File name, such as call-sheet.pdf or everything.zip.' },
        { name: 'paper', in: 'query', schema: { enum: ['A4', 'LETTER'], default: 'A4' } },
      ],
      responses: {
        200: {
          description: 'The file',
          content: { '*/*': { schema: { type: 'string', format: 'binary' } } },
        },
        404: problem('No such film or document'),
      },
    },
  },
  '/api/backups': {
    get: {
      summary: 'Backups, newest first, each opened and checked',
      responses: { 200: ok('Backups', { type: 'object', properties: { backups: listOf(backupSchema) } }) },
    },
    post: {
      summary: 'Writes a backup now',
      responses: { 201: ok('Its name', { type: 'object', properties: { name: { type: 'string' } } }) },
    },
  },
  '/api/backups/{name}/films/{film}': {
    post: {
      summary: 'Brings a film back from a backup, beside the film of today',
      parameters: [
        nameParameter,
        { name: 'film', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } },
      ],
      responses: { 201: ok('Id of the new film'), 404: problem('No such backup or film') },
    },
  },
  '/api/backups/{name}/restore': {
    post: {
      summary:
        'Has a backup take the place of everything at the next start; the state now is backed up first',
      parameters: [nameParameter],
      responses: { 202: ok('Name of that backup'), 404: problem('No such backup') },
    },
  },
  '/api/films/{id}/changes': {
    get: {
      summary: 'Newest changes of a film',
      parameters: [idParameter],
      responses: { 200: ok('Changes') },
    },
  },
  '/api/films/import': {
    post: {
      summary: 'Takes in a film file under new ids',
      requestBody: json(ref('film-file')),
      responses: { 201: ok('The new film'), 400: problem('Not a film file') },
    },
  },
  '/api/films/demo': {
    post: {
      summary: 'Makes a fresh copy of the made-up demo film, its kit added where it is missing',
      responses: { 201: ok('The new film') },
    },
  },
  '/api/assets': {
    post: {
      summary: 'Keeps a picture or a raster of heights; the same content gets the same id',
      requestBody: { content: { 'application/octet-stream': {} } },
      responses: {
        201: ok('Its id, the SHA-256 of its content'),
        413: problem('Too large'),
        415: problem('Of a kind not kept here'),
      },
    },
  },
  '/api/assets/{id}': {
    get: {
      summary: 'A kept file',
      parameters: [{ ...idParameter, schema: { type: 'string', pattern: '^[0-9a-f]{64}$' } }],
      responses: { 200: { description: 'The file' }, 404: problem('No such file') },
    },
  },
  '/api/projections/{code}': {
    get: {
      summary: 'Definition of a map projection by its EPSG number',
      parameters: [{ ...idParameter, name: 'code', schema: { type: 'string' } }],
      responses: { 200: ok('Definition'), 404: problem('Not known here') },
    },
  },
  '/api/settings': {
    get: {
      summary: 'What the owner set when starting: the address of map tiles, or none',
      responses: { 200: ok('Settings') },
    },
  },
  '/api/kit': { get: { summary: 'All kit', responses: { 200: ok('Kit') } } },
  '/api/kit/file': {
    get: { summary: 'Kit and checks as one file', responses: { 200: ok('File', ref('kit-file')) } },
  },
  '/api/schemas/{name}': {
    get: {
      summary: 'Schema of a file: film-file or kit-file',
      parameters: [{ ...idParameter, name: 'name', schema: { type: 'string' } }],
      responses: { 200: ok('JSON Schema'), 404: problem('No such schema') },
    },
  },
  '/api/changes': {
    post: {
      summary: 'Takes a batch of changes, all or none',
      requestBody: json(ref('batch')),
      responses: {
        200: ok('The rows as stored'),
        400: problem('A field is wrong'),
        409: problem('Changed meanwhile, or still in use'),
      },
    },
  },
  '/api/events': {
    get: {
      summary: 'Changes as server-sent events; Last-Event-ID resumes, a reset asks to read everything anew',
      responses: { 200: { description: 'text/event-stream' } },
    },
  },
  '/api/health': {
    get: { summary: 'Whether the application can read and write', responses: { 200: ok('Health') } },
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
      problem: problemSchema,
    },
  },
});
