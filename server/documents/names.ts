import { HANDOVER_TABLES } from '@core/handover';

export const PAPERS = ['A4', 'LETTER'] as const;
export type Paper = (typeof PAPERS)[number];

/** A file that leaves the application: its name in the address and after the film's, and its media type. */
export interface DocumentName {
  readonly file: string;
  readonly mime: string;
}

const PDF = 'application/pdf';

/** Every document there is; how each is made stands in the registry. */
export const DOCUMENT_NAMES: readonly DocumentName[] = [
  { file: 'call-sheet.pdf', mime: PDF },
  { file: 'shot-list.pdf', mime: PDF },
  { file: 'storyboard.pdf', mime: PDF },
  { file: 'exposure.pdf', mime: PDF },
  { file: 'checks.pdf', mime: PDF },
  { file: 'flights.pdf', mime: PDF },
  { file: 'footage.pdf', mime: PDF },
  { file: 'debrief.pdf', mime: PDF },
  ...HANDOVER_TABLES.map((t) => ({ file: `${t.id}.csv`, mime: 'text/csv; charset=utf-8' })),
  {
    file: 'tables.xlsx',
    mime: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  },
  { file: 'calendar.ics', mime: 'text/calendar; charset=utf-8' },
  { file: 'timeline.otio', mime: 'application/json; charset=utf-8' },
  { file: 'timeline.edl', mime: 'text/plain; charset=utf-8' },
  { file: 'shot-numbers.srt', mime: 'application/x-subrip; charset=utf-8' },
  { file: 'paths.geojson', mime: 'application/geo+json; charset=utf-8' },
  { file: 'paths.kml', mime: 'application/xml; charset=utf-8' },
  { file: 'paths.kmz', mime: 'application/vnd.google-earth.kmz' },
  { file: 'paths.gpx', mime: 'application/gpx+xml; charset=utf-8' },
  { file: 'take-along.html', mime: 'text/html; charset=utf-8' },
  { file: 'everything.zip', mime: 'application/zip' },
];
