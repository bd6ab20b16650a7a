import type { FilmFile } from '@contract';
import {
  edlOf,
  editTimeline,
  geoJsonOf,
  gpxOf,
  HANDOVER_TABLES,
  kmlOf,
  otioOf,
  subtitlesOf,
} from '@core/handover';
import { strToU8, zipSync } from 'fflate';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { callSheet } from './call-sheet';
import { checkSheets } from './check-sheets';
import { debriefSheet } from './debrief-sheet';
import { inOneFolder } from './everything';
import { exposureSheet } from './exposure-sheet';
import { flightSheet } from './flight-sheet';
import { footageReport } from './footage-report';
import type { Paper } from './names';
import type { Printed } from './printed';
import type { Language } from './voice';
import { pdfOf } from './pdf';
import { calendarOf, csvOf, workbookOf } from './plain-files';
import { shotList, storyboard } from './shot-list';
import { takeAlong } from './take-along';

export interface DocumentOptions {
  readonly language: Language;
  readonly paper: Paper;
  /** When it is made, UTC ms. */
  readonly atMs: number;
}

/** Makes the bytes of a document. @param file the film as stored, its files in it */
type Maker = (whole: Printed, options: DocumentOptions, file: FilmFile) => Promise<Uint8Array> | Uint8Array;

const pdf =
  (define: (whole: Printed, paper: Paper, atMs: number) => TDocumentDefinitions): Maker =>
  (whole, { paper, atMs }) =>
    pdfOf(define(whole, paper, atMs));
const text =
  (write: (whole: Printed, atMs: number) => string): Maker =>
  (whole, { atMs }) =>
    Buffer.from(write(whole, atMs));

/** How each single file is made, by its name. */
const FILES: Readonly<Record<string, Maker>> = {
  'call-sheet.pdf': pdf(callSheet),
  'shot-list.pdf': pdf(shotList),
  'storyboard.pdf': pdf(storyboard),
  'exposure.pdf': pdf(exposureSheet),
  'checks.pdf': pdf(checkSheets),
  'flights.pdf': pdf(flightSheet),
  'footage.pdf': pdf(footageReport),
  'debrief.pdf': pdf(debriefSheet),
  ...Object.fromEntries(
    HANDOVER_TABLES.map((table) => [`${table.id}.csv`, text((whole) => csvOf(table, whole))]),
  ),
  'tables.xlsx': (whole) => workbookOf(whole),
  'calendar.ics': text(calendarOf),
  'timeline.otio': text((whole) => otioOf(editTimeline(whole))),
  'timeline.edl': text((whole) => edlOf(editTimeline(whole))),
  'paths.geojson': text((whole) => geoJsonOf(whole)),
  'paths.kml': text((whole) => kmlOf(whole)),
  // Readers take the first document in it.
  'paths.kmz': (whole, { atMs }) => zipSync({ 'doc.kml': strToU8(kmlOf(whole)) }, { mtime: atMs }),
  'paths.gpx': text((whole) => gpxOf(whole)),
  'take-along.html': text(takeAlong),
  'shot-numbers.srt': text((whole) => subtitlesOf(editTimeline(whole))),
};

/** How every document is made, by its name. */
export const MAKERS: Readonly<Record<string, Maker>> = {
  ...FILES,
  'everything.zip': async (whole, options, file) => {
    const made: Record<string, Uint8Array> = {};
    for (const [name, make] of Object.entries(FILES)) made[name] = await make(whole, options, file);
    return inOneFolder(made, whole, options.atMs, file);
  },
};
