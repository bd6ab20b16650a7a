import { ApiProblem, Unreachable } from '../../sync/api';
import type { Problem } from '@contract';

interface Listed {
  readonly file: string;
  readonly name: string;
  readonly tells: string;
}

/** What can be handed over, by who wants it. */
export const DOCUMENT_GROUPS: readonly { readonly name: string; readonly documents: readonly Listed[] }[] = [
  {
    name: 'On paper',
    documents: [
      { file: 'call-sheet.pdf', name: 'Call sheet', tells: 'where, when, sun, wind, flights (PDF)' },
      { file: 'shot-list.pdf', name: 'Shot list', tells: 'first and last frame, path, boxes to tick (PDF)' },
      { file: 'exposure.pdf', name: 'Exposure', tells: 'settings and filters by shot (PDF)' },
      { file: 'storyboard.pdf', name: 'Storyboard', tells: 'pictures in cut order with seconds (PDF)' },
      { file: 'debrief.pdf', name: 'Debrief', tells: 'plan against what was flown (PDF)' },
    ],
  },
  {
    name: 'For a phone without the application',
    documents: [
      {
        file: 'take-along.html',
        name: 'Take along',
        tells: 'the day in one page, with a log of takes (HTML)',
      },
    ],
  },
  {
    name: 'For the calendar',
    documents: [
      {
        file: 'calendar.ics',
        name: 'Flights and locations',
        tells: 'with reminders; importing again updates',
      },
    ],
  },
  {
    name: 'For the edit',
    documents: [
      { file: 'timeline.otio', name: 'Timeline', tells: 'OpenTimelineIO, with clips, speed and notes' },
      { file: 'timeline.edl', name: 'Edit decision list', tells: 'CMX 3600' },
      { file: 'shot-numbers.srt', name: 'Shot numbers', tells: 'as subtitles, for an animatic' },
    ],
  },
  {
    name: 'For a map',
    documents: [
      { file: 'paths.kml', name: 'Paths and site maps', tells: 'heights above sea level (KML)' },
      { file: 'paths.geojson', name: 'Paths and site maps', tells: 'GeoJSON' },
      { file: 'paths.gpx', name: 'Routes', tells: 'paths as routes, launch points (GPX)' },
    ],
  },
  {
    name: 'Tables',
    documents: [
      { file: 'tables.xlsx', name: 'All tables', tells: 'one workbook (XLSX)' },
      { file: 'shots-flying.csv', name: 'Shots in flying order', tells: 'CSV' },
      { file: 'shots-cut.csv', name: 'Shots in cut order', tells: 'CSV' },
      { file: 'takes.csv', name: 'Takes', tells: 'CSV' },
      { file: 'flights.csv', name: 'Flights', tells: 'CSV' },
      { file: 'packs.csv', name: 'Battery packs', tells: 'CSV' },
      { file: 'cards.csv', name: 'Cards', tells: 'CSV' },
    ],
  },
  {
    name: 'Everything',
    documents: [{ file: 'everything.zip', name: 'One folder', tells: 'all of it, with checksums (ZIP)' }],
  },
];

/** Name a server gives an attachment; a name in other letters stands behind its encoding. */
const nameIn = (header: string | null): string | null => {
  const long = header?.match(/filename\*=UTF-8''([^;]+)/i)?.[1];
  return long ? decodeURIComponent(long) : (header?.match(/filename="?([^";]+)"?/i)?.[1] ?? null);
};

/**
 * Has a document made and fetches it.
 * @throws ApiProblem or Unreachable when it cannot be made
 */
export const fetchDocument = async (
  film: string,
  file: string,
  paper: string,
  signal: AbortSignal,
): Promise<{ readonly name: string; readonly blob: Blob }> => {
  const answer = await fetch(`/api/films/${film}/documents/${file}?paper=${paper}`, { signal }).catch(
    (error: unknown) => {
      if (signal.aborted) throw error;
      throw new Unreachable('No answer from the application.');
    },
  );
  if (!answer.ok) {
    const problem = (await answer.json().catch(() => null)) as Problem | null;
    throw problem ? new ApiProblem(problem) : new Unreachable(`The application answered ${answer.status}.`);
  }
  return { name: nameIn(answer.headers.get('content-disposition')) ?? file, blob: await answer.blob() };
};
