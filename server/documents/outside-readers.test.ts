import { gpx, kml } from '@tmcw/togeojson';
import { parse as parseSubtitles } from '@plussub/srt-vtt-parser';
import { JSDOM } from 'jsdom';
import ical, { type VEvent } from 'node-ical';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import { describe, expect, it } from 'vitest';
import yauzl from 'yauzl';
import type { FilmFile } from '@contract';
import { editTimeline, shotLines } from '@core/handover';
import { demoFilm } from '@demo';
import { wholeOf } from './make';
import { DOCUMENT_NAMES, type Paper } from './names';
import { MAKERS } from './registry';

// Every format that leaves the application, opened by a reader nobody here wrote.

const film = demoFilm() as FilmFile;
const whole = wholeOf(film);
const lines = shotLines(whole);
const bytesOf = async (name: string, paper: Paper = 'A4', of = whole): Promise<Uint8Array> =>
  MAKERS[name]!(of, { paper, language: 'en', atMs: Date.UTC(2027, 4, 1, 12) }, film);
const textOf = async (name: string): Promise<string> => Buffer.from(await bytesOf(name)).toString('utf8');

interface Page {
  readonly width: number;
  readonly height: number;
  readonly items: readonly { readonly text: string; readonly size: number; readonly y: number }[];
}

const pagesOf = async (name: string, paper: Paper, of = whole): Promise<Page[]> => {
  const task = getDocument({ data: Uint8Array.from(await bytesOf(name, paper, of)), verbosity: 0 });
  const pdf = await task.promise;
  const pages: Page[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const [, , width = 0, height = 0] = page.view;
    const items = (await page.getTextContent()).items.filter(
      (item): item is TextItem => 'str' in item && item.str.trim() !== '',
    );
    pages.push({
      width,
      height,
      items: items.map((i) => ({ text: i.str, size: i.height, y: Number(i.transform[5]) })),
    });
  }
  await task.destroy();
  return pages;
};

/** The film with enough shots to fill many pages. */
const long = wholeOf({
  ...film,
  shots: film.shots.flatMap((shot) => [shot, ...[1, 2].map((k) => ({ ...shot, id: `${shot.id}-${k}` }))]),
});

const PDFS = DOCUMENT_NAMES.map((d) => d.file).filter((f) => f.endsWith('.pdf'));
const SIZES = { A4: [595, 842], LETTER: [612, 792] } as const;

describe('sheets on paper', () => {
  it.each(PDFS)(
    '%s: each page has its size and number, and no heading stands alone at its foot',
    async (name) => {
      for (const [paper, of] of [
        ['A4', long],
        ['LETTER', whole],
      ] as const) {
        const pages = await pagesOf(name, paper, of);
        for (const [i, page] of pages.entries()) {
          const size = [page.width, page.height].map(Math.round).toSorted((a, b) => a - b);
          expect(size).toEqual([...SIZES[paper]].toSorted((a, b) => a - b));
          expect(page.items.at(-1)?.text).toContain(`page ${i + 1} of ${pages.length}`);
          const body = page.items.filter((item) => item.y > 44);
          expect(body.length).toBeGreaterThan(0);
          const last = body.reduce((low, item) => (item.y < low.y ? item : low));
          expect(last.size, `${name} ${paper} page ${i + 1} ends with the heading “${last.text}”`).not.toBe(
            12,
          );
        }
      }
    },
  );

  it('no shot of the list is split over two pages', async () => {
    const pages = await pagesOf('shot-list.pdf', 'A4', long);
    expect(pages.length).toBeGreaterThan(10);
    let shots = 0;
    for (const page of pages) {
      const count = (of: RegExp): number => page.items.filter((item) => of.test(item.text)).length;
      expect(count(/^takes wanted/)).toBe(count(/^launch$/));
      expect(page.items.filter((i) => i.size === 15 && /^\d+$/.test(i.text))).toHaveLength(
        count(/^first frame/),
      );
      shots += count(/^first frame/);
    }
    expect(shots).toBe(3 * film.shots.length);
  });
});

describe('the calendar', () => {
  it('is read with the instants, places and reminders of the plan', async () => {
    const read = Object.values(ical.sync.parseICS(await textOf('calendar.ics')));
    const events = read.filter((e): e is VEvent => e?.type === 'VEVENT');
    const places = [...whole.derived.places.values()];
    expect(events).toHaveLength(places.length + places.flatMap((p) => p.flights).length);
    for (const place of places) {
      const event = events.find((e) => e.uid.startsWith(place.location.id))!;
      expect(event.start.getTime()).toBe(place.windowFromMs);
      expect(event.end?.getTime()).toBe(place.windowToMs);
      expect(event.location).toBe(place.location.name);
      expect(event.alarms).toHaveLength(3);
      expect(Number(event.geo?.lat)).toBeCloseTo(place.location.latitude, 5);
    }
  });
});

describe('paths on the globe', () => {
  const xml = (text: string): Document =>
    new new JSDOM().window.DOMParser().parseFromString(text, 'application/xml');
  const paths = lines.filter((l) => l.shot.facts.trajectory);
  it('KML and GPX hold a line a shot with as many points, at its heights', async () => {
    const inKml = kml(xml(await textOf('paths.kml'))).features;
    const inGpx = gpx(xml(await textOf('paths.gpx'))).features;
    for (const { number, shot } of paths) {
      const { trajectory, location } = shot.facts;
      for (const features of [inKml, inGpx]) {
        const own = features.filter(
          (f) => f.geometry?.type === 'LineString' && String(f.properties?.['name']).startsWith(`${number} `),
        );
        expect(own).toHaveLength(1);
        const at = own[0]!.geometry as GeoJSON.LineString;
        expect(at.coordinates[0]![2]).toBeCloseTo(location.elevationM + trajectory!.samples[0]!.pose.at.z, 0);
      }
    }
  });
});

describe('subtitles with the shot numbers', () => {
  it('follow each other through the whole cut', async () => {
    const { entries } = parseSubtitles(await textOf('shot-numbers.srt'));
    const cut = editTimeline(whole);
    expect(entries).toHaveLength(cut.clips.length);
    for (const [i, entry] of entries.entries()) {
      expect(entry.text).toContain(cut.clips[i]!.name);
      expect(entry.from).toBe(i === 0 ? 0 : entries[i - 1]!.to);
    }
    const frames = cut.clips.reduce((sum, c) => sum + c.frames, 0);
    expect(entries.at(-1)!.to).toBeCloseTo((1000 * frames) / cut.fps, -1);
  });
});

describe('everything in one folder', () => {
  it('is unpacked entry by entry, each as long as it says, and the same as by itself', async () => {
    const zip = await yauzl.fromBufferPromise(Buffer.from(await bytesOf('everything.zip')));
    const names: string[] = [];
    for await (const entry of zip.eachEntry()) {
      names.push(entry.fileName);
      const chunks: Buffer[] = [];
      for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
      const bytes = Buffer.concat(chunks);
      expect(bytes.length).toBe(entry.uncompressedSize);
      if (/\.(ics|otio|kml)$/.test(entry.fileName))
        expect(bytes.toString('utf8')).toBe(await textOf(entry.fileName));
    }
    expect(names.length).toBe(DOCUMENT_NAMES.length + 2);
  });
});
