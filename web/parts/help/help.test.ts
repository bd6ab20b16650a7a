import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DE } from './de';
import { EN } from './en';

const VIEWS = join(import.meta.dirname, '../../views');
const sources = readdirSync(VIEWS, { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.vue'))
  .map((f) => ({ f, text: readFileSync(join(VIEWS, f), 'utf8') }));
/** Fields as they stand in the templates; quotes may hold what ends a tag. */
const FIELD =
  /<(NumberField|TextField|PickField|SwitchField|DateField|TimeField)\b((?:[^>"']|"[^"]*"|'[^']*')*?)\/>/g;

describe('help on fields', () => {
  it('stands on every field of the kit and of a shot; those that are cells of a table are named by their column', () => {
    const asked = sources.filter(({ f }) => /^(kit|shots\/facets)\//.test(f) || f === 'shots/MoveFacet.vue');
    const all = asked.flatMap(({ f, text }) => [...text.matchAll(FIELD)].map((m) => ({ f, tag: m[2]! })));
    expect(all.length).toBeGreaterThan(140);
    const bare = all.filter(
      ({ f, tag }) => !/\bbare\b/.test(tag) && !/\bhelp="/.test(tag) && f !== 'kit/ImportSheet.vue',
    );
    expect(bare.map(({ f, tag }) => `${f}: ${/:label="([^"]*)"/.exec(tag)?.[1]}`)).toEqual([]);
  });

  it('is there for each key that is asked for, once, and none is kept that nobody asks for', () => {
    const wanted = sources.flatMap(({ text }) => [...text.matchAll(/\bhelp="([^"]+)"/g)].map((m) => m[1]!));
    expect([...new Set(wanted)].sort()).toEqual(Object.keys(EN).sort());
    expect(Object.keys(DE)).toEqual(Object.keys(EN));
  });

  it('is short, ends as a sentence does, and says in both languages where a figure may be left out', () => {
    for (const [key, text] of Object.entries(EN)) {
      expect(text, key).toMatch(/^[A-Z0-9f].*[.]$/);
      expect(text.length, key).toBeLessThan(190);
      const german = DE[key as keyof typeof DE];
      expect(german, key).toMatch(/[.]$/);
      // Figures and units are the same in either language.
      for (const n of text.match(/\d+(?= )/g) ?? []) expect(german, key).toContain(n);
    }
  });
});
