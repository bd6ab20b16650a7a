import { once } from 'node:events';
import { ASSET_LIMIT, ASSET_MIMES, EXCHANGE_LIMIT } from '@core/model';
import { demoFilm } from '@demo';
import { FilmFileSchema, KitFileSchema, openApi } from '@contract';
import { RecordRowSchema } from '@core/model';
import express, { Router, type Response } from 'express';
import { checkBatch } from '../services/checks';
import { readImportBeside } from '../import';
import { withBody } from '../http/incoming';
import { HttpProblem } from '../http/problem';
import type { Assets } from '../services/assets';
import type { Backups } from '../services/backup';
import type { Films } from '../services/films';
import { projectionOf } from '../services/projections';
import { storageTrouble } from '../services/storage';
import type { Store } from '../services/store';
import type { Feed } from '../services/feed';
import { documentOf, LANGUAGES, makeBeside, PAPERS } from '../documents';
import { writeFilmFolder } from '../import/film-folder';
import { events } from './events';

const BATCH_LIMIT = '2mb';
/** Whole films that come and go are nobody's step: no tab takes them back by an undo. */
const WHOLE_FILMS = 'whole-films';

/** Schemas that are published, by name. */
const SCHEMA_FILES: ReadonlyMap<string, object> = new Map<string, object>([
  ['film-file', FilmFileSchema],
  ['kit-file', KitFileSchema],
  ['flight-record', RecordRowSchema],
]);

/** Ends when whoever asked has gone before the answer was there. */
const closedEarly = (response: Response): AbortSignal => {
  const given = new AbortController();
  response.once('close', () => {
    if (!response.writableEnded) given.abort();
  });
  return given.signal;
};

/** A film's name as a file may have it. */
const fileNameOf = (name: string): string =>
  name
    .replace(/[^\p{L}\p{N} _-]+/gu, '')
    .trim()
    .slice(0, 60) || 'film';

/** Every route of the API. */
export const api = (
  store: Store,
  films: Films,
  assets: Assets,
  feed: Feed,
  backups: Backups,
  about: { readonly version: string; readonly tiles: string; readonly dataDir: string },
): Router => {
  const router = Router();
  // One probe at a time: it writes, so that many who ask at once would keep those waiting who save.
  let probing: ReturnType<typeof storageTrouble> | null = null;
  const probe = (): ReturnType<typeof storageTrouble> =>
    (probing ??= storageTrouble(store, about.dataDir).finally(() => {
      probing = null;
    }));
  router.get('/health', async (_request, response) => {
    const trouble = await probe();
    response.status(trouble ? 503 : 200).json({
      ok: trouble === null,
      sequence: await films.sequence(),
      ...(trouble ? { trouble: trouble.document() } : {}),
    });
  });
  router.get('/openapi.json', (_request, response) => {
    response.json(openApi(about.version));
  });
  router.get('/settings', (_request, response) => {
    response.json({ tiles: about.tiles });
  });
  router.get('/films', async (_request, response) => {
    response.json({ films: await films.list() });
  });
  router.get('/kit/file', async (_request, response) => {
    response.attachment('kit.json').send(JSON.stringify(await films.kitFile(), null, 1));
  });
  router.get('/schemas/:name', (request, response) => {
    const schema = SCHEMA_FILES.get(request.params.name);
    if (!schema)
      throw new HttpProblem(
        404,
        'no-schema',
        'There is no such schema: film-file, kit-file and flight-record are published.',
      );
    response.json({ $schema: 'https://json-schema.org/draft/2020-12/schema', ...schema });
  });
  router.get('/kit', async (_request, response) => {
    response.json({ rows: await films.kit() });
  });
  router.post('/films/import', async (request, response) => {
    if (!request.is(['application/json', 'application/zip']))
      throw new HttpProblem(415, 'file-kind', 'A film comes in as application/json or as application/zip.');
    const given = closedEarly(response);
    const id = await withBody(request, about.dataDir, EXCHANGE_LIMIT, async (path) =>
      films.take(await readImportBeside(path, await films.kitIds(), given), WHOLE_FILMS, path),
    );
    response.status(201).location(`/api/films/${id}`).json({ id });
  });
  // A fresh copy each time: beside one's own films, and as it was.
  router.post('/films/demo', async (_request, response) => {
    const id = await films.importFile(demoFilm(), WHOLE_FILMS);
    response.status(201).location(`/api/films/${id}`).json({ id });
  });
  router.get('/films/:id', async (request, response) => {
    response.json(await films.open(request.params.id));
  });
  router.delete('/films/:id', async (request, response) => {
    await films.remove(request.params.id, WHOLE_FILMS);
    response.status(204).end();
  });
  router.get('/films/:id/changes', async (request, response) => {
    response.json({ changes: await films.changes(request.params.id, 400) });
  });
  router.get('/films/:id/file', async (request, response) => {
    const file = await films.exportFile(request.params.id);
    response.attachment(`${fileNameOf(file.film.name)}.json`).send(JSON.stringify(file, null, 1));
  });
  router.get('/films/:id/file.zip', async (request, response) => {
    const parts = await films.exportParts(request.params.id);
    response.attachment(`${fileNameOf(parts.film.film.name)}.zip`).type('application/zip');
    const left = closedEarly(response);
    await writeFilmFolder({ ...parts, bytesOf: (id) => films.bytesOf(id) }, async (piece) => {
      // A reader that is slower than the database is waited for.
      if (!left.aborted && !response.write(piece)) await once(response, 'drain', { signal: left });
    }).catch((error: unknown) => {
      if (!left.aborted) throw error;
    });
    response.end();
  });
  router.get('/films/:id/documents/:name', async (request, response) => {
    const kind = documentOf(request.params.name);
    if (!kind) throw new HttpProblem(404, 'no-document', 'There is no such document.');
    const paper = PAPERS.find((p) => p === request.query['paper']) ?? 'A4';
    const language = LANGUAGES.find((l) => l === request.query['language']) ?? 'en';
    const file = await films.exportFile(request.params.id);
    const options = { paper, language, atMs: Date.now() };
    const made = await makeBeside(file, kind.file, options, closedEarly(response));
    response
      .attachment(`${fileNameOf(file.film.name)} ${kind.file}`)
      .type(kind.mime)
      .send(Buffer.from(made));
  });
  router.post('/changes', express.json({ limit: BATCH_LIMIT }), async (request, response) => {
    response.json(await store.apply(checkBatch(request.body)));
  });
  router.post(
    '/assets',
    express.raw({ limit: ASSET_LIMIT, type: [...ASSET_MIMES] }),
    async (request, response) => {
      const bytes: unknown = request.body;
      const id = await assets.keep(
        String(request.headers['content-type'] ?? '').split(';')[0] ?? '',
        Buffer.isBuffer(bytes) ? bytes : Buffer.alloc(0),
      );
      response.status(201).location(`/api/assets/${id}`).json({ id });
    },
  );
  router.get('/assets/:id', async (request, response) => {
    const asset = await assets.get(request.params.id);
    if (!asset) throw new HttpProblem(404, 'no-asset', 'There is no such file.');
    response
      .set({ 'content-type': asset.mime, 'cache-control': 'private, max-age=31536000, immutable' })
      .send(asset.bytes);
  });
  router.get('/projections/:code', async (request, response) => {
    response.json(await projectionOf(request.params.code));
  });
  router.get('/backups', async (_request, response) => {
    response.json({ backups: await backups.list() });
  });
  router.post('/backups', async (_request, response) => {
    response.status(201).json({ name: await backups.make() });
  });
  // Beside today's film, never in its place.
  router.post('/backups/:name/films/:film', async (request, response) => {
    const file = await backups.film(request.params.name, request.params.film);
    const id = await films.importFile(
      { ...file, film: { ...file.film, name: `${file.film.name} (backup)`.slice(0, 200) } },
      WHOLE_FILMS,
    );
    response.status(201).location(`/api/films/${id}`).json({ id });
  });
  router.post('/backups/:name/restore', async (request, response) => {
    response.status(202).json({ before: await backups.stage(request.params.name) });
  });
  router.get('/events', events(feed, films));
  return router;
};
