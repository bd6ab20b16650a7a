import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import openapiTS, { astToString, type OpenAPI3 } from 'openapi-typescript';
import ts from 'typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getJson, testServer } from './testing';

/** A program as somebody outside would write it, with nothing of this application but what was generated from its description. */
const PROGRAM = `
import createClient from 'openapi-fetch';
import type { paths } from './api';

export const renameFirst = async (baseUrl: string, title: string) => {
  const client = createClient<paths>({ baseUrl });
  const films = await client.GET('/api/films');
  const id = films.data?.films[0]?.id;
  if (!id) throw new Error('no film');
  const path = { id };
  const opened = await client.GET('/api/films/{id}', { params: { path } });
  const shots = opened.data?.rows.flatMap((row) => (row.kind === 'shot' ? [row] : [])) ?? [];
  const first = shots[0];
  if (!first) throw new Error('no shot');
  const changed = await client.POST('/api/changes', {
    body: {
      batch: crypto.randomUUID(),
      device: 'outside',
      changes: [{ kind: 'shot', id: first.value.id, version: first.version, value: { ...first.value, title } }],
    },
  });
  const file = await client.GET('/api/films/{id}/file', { params: { path } });
  const missing = await client.GET('/api/films/{id}', { params: { path: { id: crypto.randomUUID() } } });
  return {
    shots: shots.length,
    unnamed: shots.filter((row) => row.value.title === '').length,
    refused: changed.error?.detail ?? null,
    renamed: file.data?.shots.filter((s) => s.title === title).length,
    missing: missing.error?.status,
  };
};
`;
/** The same with a mistake each, which the generated types must find. */
const MISTAKES: readonly (readonly [from: string, to: string])[] = [
  ['row.value.title', 'row.value.named'],
  ["'/api/films/{id}/file'", "'/api/films/{id}/movie'"],
  ["row.kind === 'shot'", "row.kind === 'slate'"],
  ['version: first.version', "version: 'newest'"],
];

let server: Awaited<ReturnType<typeof testServer>>;
let folder = '';
beforeAll(async () => {
  server = await testServer();
  await mkdir(resolve('.cache'), { recursive: true });
  folder = await mkdtemp(resolve('.cache/client-'));
  const description = await getJson<OpenAPI3>(server.address, '/api/openapi.json');
  await writeFile(join(folder, 'api.ts'), astToString(await openapiTS(description)));
});
afterAll(async () => {
  await server.end();
  await rm(folder, { recursive: true, force: true });
});

const faultsOf = async (name: string, program: string): Promise<readonly string[]> => {
  const path = join(folder, name);
  await writeFile(path, program);
  const compiled = ts.createProgram([path], {
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    noUncheckedIndexedAccess: true,
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    lib: ['lib.es2022.d.ts', 'lib.dom.d.ts'],
    types: [],
  });
  return ts
    .getPreEmitDiagnostics(compiled)
    .map((d) => ts.flattenDiagnosticMessageText(d.messageText, '\n').slice(0, 400));
};

describe('a client generated from the description of the API', () => {
  it('opens the demo film, changes a shot and reads it back, with types that hold', async () => {
    expect(await faultsOf('program.ts', PROGRAM)).toEqual([]);
    const { renameFirst } = (await import(pathToFileURL(join(folder, 'program.ts')).href)) as {
      renameFirst: (address: string, title: string) => Promise<object>;
    };
    expect(await renameFirst(server.address, 'Named from outside')).toEqual({
      shots: 18,
      unnamed: 0,
      refused: null,
      renamed: 1,
      missing: 404,
    });
  });

  it('finds what a program does wrong before it runs', async () => {
    for (const [i, [from, to]] of MISTAKES.entries()) {
      expect(PROGRAM).toContain(from);
      expect(await faultsOf(`wrong-${i}.ts`, PROGRAM.replace(from, to)), to).not.toEqual([]);
    }
  });
});
