import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Ajv } from 'ajv';
import { FilmFileSchema, type AnyRow, type FilmFile, type LoggedChange, type Problem } from '@contract';
import { deriveFilm } from '../core/film/derive';
import { MODEL_VERSION, type FilmInput } from '@core/model';
import { demoFilm } from '@demo';
import { v4 as uuid } from 'uuid';
import { newValidator } from '../contract/validator';
import { api } from './routes/api';
import { pairing } from './routes/pairing';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const shotOf = (rows: readonly AnyRow[]) =>
  rows.find((r) => r.kind === 'shot') as Extract<AnyRow, { kind: 'shot' }>;
const raw = (headers: Record<string, string>, method = 'GET', path = '/api/films'): Promise<number> =>
  new Promise((resolve, reject) => {
    const { hostname, port } = new URL(server.address);
    const sent = request({ hostname, port, path, method, headers }, (response) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    sent.on('error', reject);
    sent.end(method === 'POST' ? '{}' : undefined);
  });

describe('changes', () => {
  it('saves a shot, counts its version and logs before and after', async () => {
    const { id, rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version, { ...shot.value, takes: 5 })),
    );
    expect(answer.status).toBe(200);
    const { rows: saved } = (await answer.json()) as { rows: AnyRow[] };
    expect(saved[0]).toMatchObject({ version: shot.version + 1, value: { takes: 5 } });
    const log = await getJson<{ changes: LoggedChange[] }>(server.address, `/api/films/${id}/changes`);
    expect(log.changes.at(-1)).toMatchObject({
      filmId: id,
      device: 'test',
      version: shot.version + 1,
      before: { takes: shot.value.takes },
      after: { takes: 5 },
    });
  });

  it('answers a stale save with both versions and keeps the first', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version, { ...shot.value, title: 'first' })),
    );
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version, { ...shot.value, title: 'second' })),
    );
    expect(answer.status).toBe(409);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    const problem = (await answer.json()) as Problem;
    expect(problem.conflicts?.[0]).toMatchObject({
      yours: { value: { title: 'second' } },
      theirs: { version: shot.version + 1, value: { title: 'first' } },
    });
  });

  it('takes a batch whole or not at all', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(
        change('shot', shot.version, { ...shot.value, title: 'half' }),
        change('card', 7, {
          id: uuid(),
          name: 'x',
          nominalGB: 64,
          usedGB: 0,
          writeMBs: 30,
          notes: '',
          retired: false,
        }),
      ),
    );
    expect(answer.status).toBe(409);
    expect(shotOf((await openFirst(server.address)).rows).value.title).not.toBe('half');
  });

  it('a page of another version is told which of the two is older, and nothing of it is stored', async () => {
    const shot = shotOf((await openFirst(server.address)).rows);
    const sent = async (model: number) => {
      const batch = batchOf(change('shot', shot.version, { ...shot.value, title: 'Elsewhere' }));
      const answer = await post(server.address, '/api/changes', { ...batch, model });
      return [answer.status, ((await answer.json()) as Partial<Problem>).type?.split(':').at(-1)];
    };
    expect(await sent(MODEL_VERSION - 1)).toEqual([409, 'page-older']);
    expect(await sent(MODEL_VERSION + 1)).toEqual([409, 'page-newer']);
    expect(shotOf((await openFirst(server.address)).rows).value).toEqual(shot.value);
    expect(await sent(MODEL_VERSION)).toEqual([200, undefined]);
  });

  it('gives the same answer to the same batch sent twice', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const batch = batchOf(change('shot', shot.version, { ...shot.value, notes: 'once' }));
    const [first, second] = [
      await post(server.address, '/api/changes', batch),
      await post(server.address, '/api/changes', batch),
    ];
    expect(second.status).toBe(200);
    const made = (await first.json()) as { rows: AnyRow[] };
    const again = (await second.json()) as { rows: AnyRow[] };
    expect(again.rows.map((r) => [r.version, r.value])).toEqual(made.rows.map((r) => [r.version, r.value]));
    await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version + 1, { ...shot.value, notes: 'later' })),
    );
    const late = (await (await post(server.address, '/api/changes', batch)).json()) as { rows: AnyRow[] };
    expect(late.rows[0]).toMatchObject({ version: shot.version + 1, value: { notes: 'once' } });
  });

  it('refuses to delete what is in use, says by what, and lets a whole place go in one batch', async () => {
    const { id, rows } = await openFirst(server.address);
    const kit = await getJson<{ rows: AnyRow[] }>(server.address, '/api/kit');
    const craft = kit.rows.find((r) => r.kind === 'aircraft')!;
    const refused = await post(
      server.address,
      '/api/changes',
      batchOf({ kind: 'aircraft', id: craft.value.id, version: craft.version, value: null }),
    );
    expect(refused.status).toBe(409);
    expect(((await refused.json()) as Problem).detail).toMatch(/still used by \d+ shots?/);
    const location = rows.find((r) => r.kind === 'location')!;
    const belongs = rows.filter((r) => 'locationId' in r.value && r.value.locationId === location.value.id);
    const gone = await post(
      server.address,
      '/api/changes',
      batchOf(
        ...[location, ...belongs].map((r) => ({
          kind: r.kind,
          id: r.value.id,
          version: r.version,
          value: null,
        })),
      ),
    );
    expect(gone.status).toBe(200);
    const back = [location, ...belongs].map((r) => change(r.kind, 0, r.value));
    expect((await post(server.address, '/api/changes', batchOf(...back))).status).toBe(200);
    const again = (await getJson<{ rows: AnyRow[] }>(server.address, `/api/films/${id}`)).rows.find(
      (r) => r.value.id === location.value.id,
    );
    expect(again?.version).toBeGreaterThan(location.version);
    expect(again?.value).toEqual(location.value);
  });
});

describe('bad input', () => {
  const bad: [string, string, Record<string, unknown>, RegExp][] = [
    ['a latitude that is none', 'location', { latitude: 143 }, /Latitude must be 90° or less/],
    ['an unknown zone', 'location', { zone: 'Nowhere/Land' }, /not a time zone/],
    ['a date that is not in the calendar', 'location', { date: '2027-02-30' }, /calendar/],
    ['an unknown field', 'shot', { colour: 'red' }, /not a field known/],
    ['zero takes', 'shot', { takes: 0 }, /Takes must be 1 or more/],
    [
      'an orbit of radius zero',
      'shot',
      { move: { kind: 'orbit', values: { radiusM: 0 } } },
      /Radius must be/,
    ],
    ['a move nobody knows', 'shot', { move: { kind: 'loop', values: {} } }, /not one of the choices/],
    ['notes of 10,001 characters', 'shot', { notes: 'x'.repeat(10_001) }, /too long: at most 10000/],
  ];
  it.each(bad)('%s is refused with a sentence at the field', async (_, kind, patch, say) => {
    const { rows } = await openFirst(server.address);
    const row = rows.find((r) => r.kind === kind)!;
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(change(row.kind, row.version, { ...row.value, ...patch })),
    );
    expect(answer.status).toBe(400);
    const problem = (await answer.json()) as Problem;
    expect(problem.fields?.map((f) => f.say).join(' ')).toMatch(say);
    expect((await openFirst(server.address)).rows.find((r) => r.value.id === row.value.id)?.version).toBe(
      row.version,
    );
  });

  it('keeps emoji, right-to-left text and markup exactly as typed', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const title = '🚂 قطار الصباح <b onclick=alert(1)>x</b> \u0000'.replace('\u0000', '');
    await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version, { ...shot.value, title, notes: 'ß'.repeat(10_000) })),
    );
    expect(shotOf((await openFirst(server.address)).rows).value).toMatchObject({
      title,
      notes: 'ß'.repeat(10_000),
    });
  });

  it('answers unreadable, oversized and foreign bodies with problems', async () => {
    expect((await post(server.address, '/api/changes', '{"batch":')).status).toBe(400);
    expect(
      (await post(server.address, '/api/changes', JSON.stringify({ a: 'x'.repeat(3_000_000) }))).status,
    ).toBe(413);
    expect(
      (
        await fetch(`${server.address}/api/changes`, {
          method: 'POST',
          headers: { 'content-type': 'text/plain' },
          body: 'x',
        })
      ).status,
    ).toBe(415);
    expect((await fetch(`${server.address}/api/nothing`)).status).toBe(404);
  });
});

describe('the door', () => {
  it('answers only under its own names', async () => {
    expect(await raw({ host: 'evil.example' })).toBe(403);
    expect(await raw({ host: 'slate.test' })).toBe(200);
    expect(await raw({ host: 'localhost:4780' })).toBe(200);
    expect(await raw({ host: '[::1]:4780' })).toBe(200);
  });
  it('takes no writes from other sites', async () => {
    const { host } = new URL(server.address);
    const json = { host, 'content-type': 'application/json' };
    expect(await raw({ ...json, origin: 'http://evil.example' }, 'POST', '/api/changes')).toBe(403);
    expect(await raw({ ...json, 'sec-fetch-site': 'cross-site' }, 'POST', '/api/changes')).toBe(403);
    expect(await raw({ ...json, origin: `http://${host}` }, 'POST', '/api/changes')).toBe(400);
  });
  it('sends a policy without inline script', async () => {
    const policy = (await fetch(`${server.address}/api/films`)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain('unsafe');
    // One script of its own may run WebAssembly, and none may be written in.
    const unpacker = await fetch(`${server.address}/assets/heights.worker-a1.js`);
    expect(unpacker.headers.get('content-security-policy')).toMatch(/script-src 'self' 'wasm-unsafe-eval';/);
  });
});

describe('one film, one file', () => {
  it('exports what the published schema allows and imports it beside itself with the same figures', async () => {
    const { id } = await openFirst(server.address);
    const file = await getJson<FilmFile>(server.address, `/api/films/${id}/file`);
    expect(new Ajv({ strict: false }).validate(FilmFileSchema, file)).toBe(true);
    const made = (await (await post(server.address, '/api/films/import', file)).json()) as { id: string };
    expect(made.id).not.toBe(id);
    const twin = await getJson<FilmFile>(server.address, `/api/films/${made.id}/file`);
    const figures = (f: FilmFile) => {
      const b = deriveFilm(f as FilmInput).budget;
      return [b.airborneS, b.usedWh, b.bytes, b.shotsFitting];
    };
    expect(figures(twin)).toEqual(figures(file));
    expect(twin.kit).toEqual(file.kit);
  });
  it('refuses a file of another format, version or shape, and takes in nothing of it', async () => {
    const before = (await getJson<{ films: unknown[] }>(server.address, '/api/films')).films.length;
    for (const wrong of [
      { ...demoFilm(), formatVersion: 9 },
      { ...demoFilm(), extra: 1 },
      { hello: 'world' },
      [],
    ]) {
      expect((await post(server.address, '/api/films/import', wrong)).status).toBe(400);
    }
    expect((await getJson<{ films: unknown[] }>(server.address, '/api/films')).films).toHaveLength(before);
  });
  it('deletes a film with everything in it and leaves the kit', async () => {
    const { id } = (await (await post(server.address, '/api/films/import', demoFilm())).json()) as {
      id: string;
    };
    const kit = (await getJson<{ rows: unknown[] }>(server.address, '/api/kit')).rows.length;
    expect((await fetch(`${server.address}/api/films/${id}`, { method: 'DELETE' })).status).toBe(204);
    expect((await fetch(`${server.address}/api/films/${id}`)).status).toBe(404);
    expect((await getJson<{ rows: unknown[] }>(server.address, '/api/kit')).rows).toHaveLength(kit);
  });
});

describe('description', () => {
  it('describes every route it has', async () => {
    const api = await getJson<{
      openapi: string;
      paths: Record<string, unknown>;
      components: { schemas: Record<string, unknown> };
    }>(server.address, '/api/openapi.json');
    expect(api.openapi).toBe('3.1.0');
    expect(Object.keys(api.paths)).toEqual(
      expect.arrayContaining(['/api/changes', '/api/films/{id}', '/api/events']),
    );
    expect(api.components.schemas).toHaveProperty('shot.properties.move');
  });
});

describe('many at once', () => {
  it('of writers on the same version exactly one wins, and the rest learn what it wrote', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        post(
          server.address,
          '/api/changes',
          batchOf(change('shot', shot.version, { ...shot.value, title: `writer ${i}` })),
        ),
      ),
    );
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    const winner = shotOf((await openFirst(server.address)).rows).value.title;
    for (const answer of answers.filter((a) => a.status === 409))
      expect(((await answer.json()) as Problem).conflicts?.[0]?.theirs?.value).toMatchObject({
        title: winner,
      });
  });

  it('readers never see half a batch', async () => {
    const { id, rows } = await openFirst(server.address);
    const shots = rows.filter((r): r is Extract<AnyRow, { kind: 'shot' }> => r.kind === 'shot').slice(0, 8);
    const versions = shots.map((s) => s.version);
    // Written on until enough was read in between, however fast either side is.
    let seen = 0;
    const writes = (async () => {
      for (let round = 0; seen < 5; round += 1) {
        const answer = await post(
          server.address,
          '/api/changes',
          batchOf(
            ...shots.map((s, i) =>
              change('shot', versions[i]! + round, { ...s.value, notes: `round ${round}` }),
            ),
          ),
        );
        if (answer.status !== 200) return answer.status;
      }
      return 200;
    })();
    let written: number | null = null;
    void writes.then((status) => {
      written = status;
    });
    while (seen < 5 && written === null) {
      const now = await getJson<{ rows: AnyRow[] }>(server.address, `/api/films/${id}`);
      const notes = new Set(
        shots.map((s) => (now.rows.find((r) => r.value.id === s.value.id)?.value as { notes: string }).notes),
      );
      const rounds = [...notes].filter((n) => n.startsWith('round'));
      if (rounds.length > 0) {
        expect(notes.size).toBe(1);
        seen += 1;
      }
    }
    expect([await writes, seen]).toEqual([200, 5]);
  });

  it('a thing cannot be hung on what is not there', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', 0, { ...shot.value, id: uuid(), locationId: uuid() })),
    );
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as Problem).detail).toMatch(/location this shot belongs to/);
  });

  it('the id inside and the id of the change must agree', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const answer = await post(server.address, '/api/changes', {
      ...batchOf(),
      changes: [{ kind: 'shot', id: uuid(), version: 0, value: shot.value }],
    });
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as Problem).fields?.[0]?.say).toMatch(/id/);
  });
});

describe('odd requests', () => {
  const code = async (path: string, body?: unknown): Promise<[number, string]> => {
    const answer =
      body === undefined ? await fetch(`${server.address}${path}`) : await post(server.address, path, body);
    return [answer.status, ((await answer.json()) as Problem).detail];
  };
  it('the same thing twice in a batch is refused and nothing of it is stored', async () => {
    const { id, rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const twice = batchOf(
      change('shot', shot.version, { ...shot.value, takes: 7 }),
      change('shot', shot.version, { ...shot.value, takes: 8 }),
    );
    const [status, say] = await code('/api/changes', twice);
    expect([status, say]).toEqual([400, 'The same thing is changed twice in one batch.']);
    expect((await server.films.exportFile(id)).shots.find((s) => s.id === shot.value.id)?.takes).toBe(
      shot.value.takes,
    );
  });
  it('a batch sent again after its row was deleted elsewhere does not bring it back', async () => {
    const { id, rows } = await openFirst(server.address);
    const { value } = shotOf(rows);
    const made = { ...value, id: uuid(), title: 'Once only' };
    const create = batchOf(change('shot', 0, made));
    expect((await post(server.address, '/api/changes', create)).status).toBe(200);
    expect(
      (
        await post(
          server.address,
          '/api/changes',
          batchOf({ kind: 'shot', id: made.id, version: 1, value: null }),
        )
      ).status,
    ).toBe(200);
    expect((await post(server.address, '/api/changes', create)).status).toBe(200);
    expect((await server.films.exportFile(id)).shots.map((s) => s.title)).not.toContain('Once only');
  });
  it('a batch’s name used for other changes, and an id of another kind, are each a clear refusal', async () => {
    const { rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const first = batchOf(change('shot', 0, { ...shot.value, id: uuid() }));
    expect((await post(server.address, '/api/changes', first)).status).toBe(200);
    const other = { ...batchOf(change('shot', 0, { ...shot.value, id: uuid() })), batch: first.batch };
    expect(await code('/api/changes', other)).toEqual([
      409,
      'A batch of that name was taken before, with other changes.',
    ]);
    const subject = rows.find((r) => r.kind === 'subject')!;
    const wrong = batchOf(change('subject', 0, { ...subject.value, id: shot.value.id }));
    expect((await code('/api/changes', wrong))[0]).toBe(409);
  });
  it('names that are none are not found, whatever they are called', async () => {
    for (const path of [
      '/api/schemas/constructor',
      '/api/films/%00',
      '/api/films/%00/file',
      '/api/assets/%00',
      '/api/films/x/documents/constructor',
    ])
      expect([path, (await code(path))[0]]).toEqual([path, 404]);
  });
});

describe('a wrong method', () => {
  it('is answered with what is allowed there, and an unknown path still is not found', async () => {
    const { id } = await openFirst(server.address);
    for (const [path, method, allowed] of [
      ['/api/films', 'PUT', 'GET, HEAD'],
      [`/api/films/${id}`, 'PATCH', 'GET, DELETE, HEAD'],
      ['/api/changes', 'GET', 'POST'],
      ['/api/backups', 'DELETE', 'GET, POST, HEAD'],
      [`/api/films/${id}/documents/calendar.ics`, 'POST', 'GET, HEAD'],
    ] as const) {
      const answer = await fetch(server.address + path, { method });
      expect([path, answer.status, answer.headers.get('allow')]).toEqual([path, 405, allowed]);
      const problem = (await answer.json()) as Problem;
      expect(problem.detail).toContain(method);
      expect(problem.type).toBe('urn:dusk-slate:method');
    }
    expect((await fetch(`${server.address}/api/nothing`, { method: 'PUT' })).status).toBe(404);
    expect((await fetch(`${server.address}/api/films`, { method: 'HEAD' })).status).toBe(200);
  });
});

describe('the description of the API', () => {
  interface Described {
    paths: Record<
      string,
      Record<string, { operationId: string; responses: Record<string, { content?: object }> }>
    >;
    components: { schemas: Record<string, object> };
  }
  it('names every route there is, and no other, each by a name of its own', async () => {
    const { paths } = await getJson<Described>(server.address, '/api/openapi.json');
    const described = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((m) => `${m.toUpperCase()} ${path}`),
    );
    const none = {} as never;
    const routers = [
      api(none, none, none, none, none, { version: '', tiles: '', dataDir: '' }),
      pairing(() => null),
    ];
    const routed = routers.flatMap(({ stack }) =>
      stack.flatMap(({ route }) =>
        route
          ? route.stack.map((l) => `${l.method.toUpperCase()} /api${route.path.replace(/:(\w+)/g, '{$1}')}`)
          : [],
      ),
    );
    expect([...new Set(described)].sort()).toEqual([...new Set(routed)].sort());
    const ids = Object.values(paths).flatMap((m) => Object.values(m).map((o) => o.operationId));
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('describes what is answered: the demo film, the kit and the lists hold to it', async () => {
    const { paths, components } = await getJson<Described>(server.address, '/api/openapi.json');
    const ajv = newValidator({ strict: false, validateFormats: false });
    ajv.addSchema({ $id: 'api', components });
    const { id } = await openFirst(server.address);
    let held = 0;
    for (const [path, { get }] of Object.entries(paths)) {
      const schema = (
        get?.responses['200']?.content as { 'application/json'?: { schema: object } } | undefined
      )?.['application/json']?.schema;
      if (!schema || /documents|assets|openapi|schemas/.test(path)) continue;
      const asked = path.replace('{id}', id).replace('{code}', '25830');
      const check = ajv.compile(
        JSON.parse(JSON.stringify(schema).replaceAll('"#/components', '"api#/components')) as object,
      );
      expect(
        check(await getJson(server.address, asked)),
        `${path}: ${JSON.stringify(check.errors?.[0])}`,
      ).toBe(true);
      held += 1;
    }
    expect(held).toBeGreaterThan(9);
  });
});
