import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { IntlMessageFormat } from 'intl-messageformat';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FilmFile } from '@contract';
import { demoFilm } from '@demo';
import { callSheet } from './call-sheet';
import { checkSheets } from './check-sheets';
import { debriefSheet } from './debrief-sheet';
import { exposureSheet } from './exposure-sheet';
import { flightSheet } from './flight-sheet';
import { footageReport } from './footage-report';
import { makeDocument, wholeOf } from './make';
import { PAPER } from './messages/en';
import { PAPER_DE } from './messages/de';
import type { Printed } from './printed';
import { shotList, storyboard } from './shot-list';
import { voiceOf } from './voice';

const AT = Date.UTC(2027, 4, 1, 12);
const SHEETS = {
  callSheet,
  shotList,
  storyboard,
  exposureSheet,
  flightSheet,
  footageReport,
  debriefSheet,
  checkSheets: (whole: Printed) => checkSheets(whole, 'A4', AT),
} as const;

/** Every text of a definition; drawings by the words in them. */
const textsOf = (node: unknown): string[] => {
  if (typeof node === 'string') return [node];
  if (Array.isArray(node)) return node.flatMap(textsOf);
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, value]) => {
    if (key === 'svg') return [...String(value).matchAll(/<text[^>]*>([^<]*)</g)].map((m) => m[1] ?? '');
    return ['text', 'stack', 'columns', 'table', 'body', 'ol', 'ul', 'content', 'info'].includes(key)
      ? textsOf(value)
      : [];
  });
};

let film: FilmFile;
beforeAll(() => {
  film = demoFilm() as FilmFile;
});
const imperial = (): FilmFile => ({ ...film, film: { ...film.film, units: 'imperial' } });

interface Node {
  readonly type: number;
  readonly value: string;
  readonly options?: Readonly<Record<string, { readonly value: readonly Node[] }>>;
}
const namesIn = (text: string): string[] => {
  const walk = (nodes: readonly Node[]): string[] =>
    nodes.flatMap((n) => [
      ...(n.type === 0 || n.type === 7 ? [] : [n.value]),
      ...Object.values(n.options ?? {}).flatMap((o) => walk(o.value)),
    ]);
  return [...new Set(walk(new IntlMessageFormat(text, 'en').getAst() as unknown as Node[]))].sort();
};

describe('the texts of documents', () => {
  it('are in German what they are in English, filled with the same, and each is written somewhere', () => {
    const source = readdirSync(import.meta.dirname)
      .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
      .map((f) => readFileSync(join(import.meta.dirname, f), 'utf8'))
      .join('\n');
    for (const [key, text] of Object.entries(PAPER))
      expect(namesIn(PAPER_DE[key as keyof typeof PAPER]), key).toEqual(namesIn(text));
    expect(Object.keys(PAPER).filter((key) => !source.includes(`'${key}'`))).toEqual([]);
  });
});

describe('documents in another language and other units', () => {
  it.each(Object.entries(SHEETS))('%s has no English left in it, and no metres', (_, sheet) => {
    const plain = sheet(wholeOf(film, 'en'), 'A4');
    const other = sheet(wholeOf(imperial(), 'de'), 'A4');
    const [english, german] = [textsOf(plain), textsOf(other)];
    expect(german.length).toBe(english.length);
    // Whole texts of their own; what the two languages write alike is no sign.
    const ours = new Set(
      Object.entries(PAPER)
        .filter(([key, text]) => text !== PAPER_DE[key as keyof typeof PAPER] && !text.includes('{'))
        .map(([, text]) => text as string),
    );
    expect(english.some((text) => ours.has(text))).toBe(true);
    expect(german.filter((text) => ours.has(text))).toEqual([]);
    for (const text of german)
      expect(text.replace(/\d+ m auf/g, ''), text).not.toMatch(/\d ?(m|m\/s|°C|km)(?![\p{L}²])/u);
  });
  it('writes figures with the point, date and units of who reads', () => {
    const [en, de] = [voiceOf('en', 'metric'), voiceOf('de', 'imperial')];
    expect([en.write(1234.56, 'metres'), de.write(30.48, 'metres')]).toEqual(['1234.6 m', '100 ft']);
    expect([en.aperture(2.8), de.aperture(2.8)]).toEqual(['f/2.8', 'f/2,8']);
    expect([en.percent(0.126), de.percent(0.126)]).toEqual(['13 %', '13 %']);
    expect(en.write(NaN, 'metres')).toBe('–');
    expect([en.date('2027-05-14'), de.date('2027-05-14')]).toEqual(['Fri 14 May 2027', 'Fr. 14. Mai 2027']);
    // A scale is a round length in the units it is written in.
    expect(en.drawing.bar(600)).toEqual({ lengthM: 200, text: '200 m' });
    expect(de.drawing.bar(600)).toEqual({ lengthM: 500 * 0.3048, text: '500 ft' });
  });
  it('the page that is taken along speaks it too, with nothing that ends its script', async () => {
    const page = Buffer.from(
      await makeDocument(film, 'take-along.html', { paper: 'A4', language: 'de', atMs: AT }),
    ).toString('utf8');
    expect(page).toContain('<html lang="de">');
    expect(page).toContain('Flugbuch sichern');
    expect(page).not.toMatch(/Save log|first frame|Recording\?/);
    expect(page.match(/<script>/g)).toHaveLength(1);
  });
});

describe('the call sheet', () => {
  it('says who is reached, how one gets there, what to bring, and what is on the map under the numbers of the drawing', () => {
    const whole = wholeOf(film);
    const texts = textsOf(callSheet(whole, 'A4'));
    const said = texts.join('\n');
    for (const contact of film.film.contacts) expect(said).toContain(Object.values(contact).join(', '));
    for (const { wayIn } of film.locations) expect(said).toContain(wayIn);
    for (const { name } of whole.input.features) expect(said).toContain(name);
    for (const place of whole.derived.places.values())
      for (const { packId } of place.flights)
        expect(said).toContain(film.kit.packs.find((p) => p.id === packId)?.name);
    // As many numbers are drawn as things are listed.
    const drawn = texts.filter((t) => /^\d+$/.test(t)).length;
    expect(drawn).toBeGreaterThanOrEqual(whole.input.features.length);
    const open = {
      ...film,
      features: film.features.map((f) => (f.kind === 'permission' ? { ...f, granted: false } : f)),
    };
    expect(said).not.toContain('permission OPEN');
    expect(textsOf(callSheet(wholeOf(open), 'A4')).join()).toContain('permission OPEN');
  });
});
