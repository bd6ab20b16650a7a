import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { language } from '../../language';
import { api } from '../api';
import de from './de';

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory()
      ? sources(join(folder, e.name))
      : e.name.endsWith('.ts') && !e.name.endsWith('.test.ts')
        ? [readFileSync(join(folder, e.name), 'utf8')]
        : [],
  );
const kinds = new Set(
  sources('server').flatMap((text) =>
    [...text.matchAll(/HttpProblem\(\s*(?:\d+|status),\s*'([a-z-]+)'|^\s+'(storage-[a-z-]+)',$/gm)].map(
      (m) => m[1] ?? m[2]!,
    ),
  ),
);

describe('problems of the application in the language of the interface', () => {
  afterEach(() => {
    language.value = 'en';
    vi.unstubAllGlobals();
  });
  it('every kind there is has a sentence in the other language, and none is left over', () => {
    expect(kinds.size).toBeGreaterThan(30);
    // Faults of fields are sentences of their own.
    kinds.delete('fields');
    expect(Object.keys(de).sort()).toEqual([...kinds].sort());
  });
  it.each([
    ['en', 'There is no such backup; it may have been outdated.'],
    ['de', de['no-backup']],
  ] as const)('is said in %s', async (spoken, sentence) => {
    language.value = spoken;
    const problem = {
      type: 'urn:dusk-slate:no-backup',
      title: 'Not found',
      status: 404,
      detail: 'There is no such backup; it may have been outdated.',
    };
    vi.stubGlobal('fetch', async () => new Response(JSON.stringify(problem), { status: 404 }));
    await expect(api.backups()).rejects.toThrow(sentence);
    vi.stubGlobal(
      'fetch',
      async () => new Response(JSON.stringify({ ...problem, type: 'urn:dusk-slate:other' }), { status: 404 }),
    );
    await expect(api.backups()).rejects.toThrow(problem.detail);
  });
});
