import { describe, expect, it, beforeAll } from 'vitest';
import { unzipSync, strFromU8 } from 'fflate';
import { createHash } from 'node:crypto';
import Papa from 'papaparse';
import { HANDOVER_TABLES } from '@core/handover';
import type { FilmFile } from '@contract';
import { demoFilm } from '@demo';
import { filmOf, openFolder } from '../import/read-folder';
import { newRow } from '@core/model';
import { plannedShares } from '@core/day';
import { checkSheets } from './check-sheets';
import { flightSheet } from './flight-sheet';
import { footageReport } from './footage-report';
import { makeDocument, wholeOf } from './make';
import { shotList, storyboard } from './shot-list';
import { DOCUMENT_NAMES } from './names';
import { MAKERS } from './registry';

const AT = Date.UTC(2027, 4, 1, 12);
const OPTIONS = { paper: 'A4', language: 'en', atMs: AT } as const;
let film: FilmFile;
beforeAll(() => {
  film = demoFilm() as FilmFile;
});
const made = async (name: string, of: FilmFile = film): Promise<string> =>
  Buffer.from(await makeDocument(of, name, OPTIONS)).toString('utf8');

describe('documents', () => {
  it('are made for every name there is, and for no other', async () => {
    expect(Object.keys(MAKERS).sort()).toEqual(DOCUMENT_NAMES.map((d) => d.file).sort());
    await expect(makeDocument(film, 'secret.pdf', OPTIONS)).rejects.toThrow('no document');
  });
  it('are all in the one folder, with checksums that hold', async () => {
    const files = unzipSync(await makeDocument(film, 'everything.zip', OPTIONS));
    expect(Object.keys(files).sort()).toEqual(
      [
        ...Object.keys(MAKERS).filter((n) => n !== 'everything.zip'),
        ...['film.zip', 'README.txt', 'checksums.txt'],
      ].sort(),
    );
    for (const line of strFromU8(files['checksums.txt']!).trim().split('\n')) {
      const [sum, name] = line.split('  ');
      expect(createHash('sha256').update(files[name!]!).digest('hex'), name).toBe(sum);
    }
    // The film in it is the film: opened again it is the same to the last byte of its pictures and heights.
    const folder = await openFolder(Buffer.from(files['film.zip']!));
    const { film: back, files: beside } = await filmOf(folder);
    const contents = await Promise.all(beside.map((name) => folder.read(name!)));
    const { assets, ...rest } = back as FilmFile;
    expect(rest).toEqual(JSON.parse(JSON.stringify({ ...film, assets: undefined })));
    expect(assets.map((a, i) => ({ ...a, data: contents[i]!.toString('base64') }))).toEqual(film.assets);
  });
  it('of an empty film are made too', async () => {
    const empty: FilmFile = {
      ...film,
      locations: [],
      subjects: [],
      shots: [],
      readings: [],
      features: [],
      grounds: [],
      pictures: [],
      flights: [],
      answers: [],
      takes: [],
      assets: [],
    };
    expect((await makeDocument(empty, 'everything.zip', OPTIONS)).length).toBeGreaterThan(1000);
  });
});

describe('tables as CSV', () => {
  it('come back cell by cell through a reader, formulas made text, letters of any script whole', async () => {
    const odd = structuredClone(film) as unknown as { shots: { title: string }[] };
    odd.shots[0]!.title = '=SUM(A1)';
    odd.shots[1]!.title = 'Zug, „Nacht“\nשקיעה';
    const whole = wholeOf(odd as unknown as FilmFile);
    for (const table of HANDOVER_TABLES) {
      const text = await made(`${table.id}.csv`, odd as unknown as FilmFile);
      expect(text.charCodeAt(0)).toBe(0xfeff);
      const { data, errors } = Papa.parse<string[]>(text.slice(1).trimEnd());
      expect(errors.filter((e) => e.type !== 'Delimiter')).toEqual([]);
      expect(data[0]).toEqual(table.heads);
      const rows = table.rows(whole);
      expect(data.length - 1).toBe(rows.length);
      for (const [i, row] of rows.entries())
        expect(data[i + 1]).toEqual(
          row.map((c) => (/^[=+\-@]/.test(String(c ?? '')) ? `'${c}` : String(c ?? ''))),
        );
    }
  });
});

describe('the calendar', () => {
  it('has an event for each location and flight, with ids that stay and instants that are right', async () => {
    const text = await made('calendar.ics');
    const again = await made('calendar.ics');
    const whole = wholeOf(film);
    const places = [...whole.derived.places.values()];
    const ids = (of: string): string[] => [...of.matchAll(/^UID:(.*)$/gm)].map((m) => m[1]!.trim());
    expect(ids(text)).toEqual(ids(again));
    expect(ids(text)).toHaveLength(places.length + places.reduce((n, p) => n + p.flights.length, 0));
    const utc = (ms: number): string => new Date(ms).toISOString().replace(/[-:]|\.\d+/g, '');
    for (const p of places) {
      expect(text).toContain(`DTSTART:${utc(p.windowFromMs)}`);
      for (const f of p.flights)
        expect(text).toContain(`DTSTART:${utc(Math.floor(f.startMs / 1000) * 1000)}`);
    }
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(3 * places.length);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });
});

describe('the map in one file', () => {
  it('is a zip whose first document is the KML as it goes out by itself', async () => {
    const files = unzipSync(await makeDocument(film, 'paths.kmz', OPTIONS));
    expect(Object.keys(files)).toEqual(['doc.kml']);
    expect(strFromU8(files['doc.kml']!)).toBe(await made('paths.kml'));
  });
});

describe('shots from the ground', () => {
  it('are in the list, on the board and in a table of their own, and in no flight', async () => {
    const whole = wholeOf(film);
    const paper = JSON.stringify([shotList(whole, 'A4'), storyboard(whole, 'A4')]);
    for (const { title } of film.groundShots) {
      expect(await made('ground-shots.csv')).toContain(title);
      expect(await made('flights.csv')).not.toContain(title);
      expect(paper.split(title)).toHaveLength(3);
    }
  });
});

describe('the page that is taken along', () => {
  it('stands alone: nothing fetched, every shot in flying order, and no title breaks out of its place', async () => {
    const odd = structuredClone(film) as unknown as { shots: { title: string }[] };
    odd.shots[0]!.title = '</h2><script>alert(1)</script>';
    const page = await made('take-along.html', odd as unknown as FilmFile);
    expect(page).not.toMatch(/(src|href)=["']?(https?:)?\/\//);
    expect(page).not.toContain('<script>alert');
    expect(page.match(/<script>/g)).toHaveLength(1);
    const shots = [...page.matchAll(/data-shot="([^"]+)"/g)].map((m) => m[1]);
    expect(shots.toSorted()).toEqual(film.shots.map((s) => s.id).toSorted());
    expect(page.match(/first frame/g)).toHaveLength(film.shots.length);
  });
});

describe('sheets on paper', () => {
  it('hold every shot, check and take, and the charge the plan lands with', async () => {
    const withTakes = structuredClone(film) as unknown as { takes: unknown[] };
    const [shot] = film.shots;
    withTakes.takes = [
      {
        ...newRow('take', { id: film.film.id, locationId: shot!.locationId, shotId: shot!.id }),
        utcMs: Date.UTC(2027, 4, 14, 5, 8),
        rating: 'good',
        clip: 'CLIP0042.MP4',
        notes: 'שקט at the end',
      },
    ];
    const whole = wholeOf(withTakes as unknown as FilmFile);
    const said = (definition: unknown): string => JSON.stringify(definition);
    const flights = said(flightSheet(whole, 'A4'));
    for (const place of whole.derived.places.values())
      for (const flight of place.flights) {
        expect(flights).toContain(`${Math.round(100 * plannedShares(flight).endShare)} % at landing planned`);
        for (const { shotId } of flight.stops)
          expect(flights).toContain(whole.derived.shots.get(shotId)!.facts.shot.title);
      }
    const footage = said(footageReport(whole, 'A4'));
    expect(footage).toContain('CLIP0042.MP4');
    expect(footage).toContain(`1 of ${film.shots.length} shots have a good take.`);
    const checks = said(checkSheets(whole, 'A4', AT));
    for (const { location } of whole.derived.places.values()) expect(checks).toContain(location.name);
    expect(checks.match(/"Pass"/g)!.length).toBeGreaterThan(5);
    expect(checks).not.toContain('"is legal"');
    const stock = Papa.parse<Record<string, string>>(
      (await made('stock.csv', withTakes as unknown as FilmFile)).slice(1),
      {
        header: true,
      },
    ).data.filter((r) => r['Clip'] !== undefined && r['Title']);
    expect(stock).toHaveLength(film.shots.length);
    expect(stock.find((r) => r['Clip'] === 'CLIP0042.MP4')).toMatchObject({
      Title: shot!.title,
      Status: 'good',
    });
  });
});
