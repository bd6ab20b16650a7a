import { ApiProblem, Unreachable } from '../../sync/api';
import type { Problem } from '@contract';
import { tr } from './messages';

interface Listed {
  readonly file: string;
  readonly name: string;
  readonly tells: string;
}

const listed = (file: string, name: string, tells: string): Listed => ({ file, name, tells });

/** What can be handed over, by who wants it, in the language of the interface. */
export const documentGroups = (): readonly {
  readonly name: string;
  readonly documents: readonly Listed[];
}[] => [
  {
    name: tr('onPaper'),
    documents: [
      listed('call-sheet.pdf', tr('callSheet'), tr('whereWhenSunWindFlights')),
      listed('shot-list.pdf', tr('shotList'), tr('firstAndLastFramePath')),
      listed('exposure.pdf', tr('exposure'), tr('settingsAndFiltersByShot')),
      listed('flights.pdf', tr('flights'), tr('chargeAfterEveryShot')),
      listed('checks.pdf', tr('checkSheets'), tr('aPageALocationWithBoxes')),
      listed('storyboard.pdf', tr('storyboard'), tr('picturesInCutOrderWith')),
      listed('footage.pdf', tr('footageReport'), tr('takesClipsAndNotes')),
      listed('debrief.pdf', tr('debrief'), tr('planAgainstWhatWasFlown')),
    ],
  },
  {
    name: tr('forAPhoneWithoutThe'),
    documents: [listed('take-along.html', tr('takeAlong'), tr('theDayInOnePage'))],
  },
  {
    name: tr('forTheCalendar'),
    documents: [listed('calendar.ics', tr('flightsAndLocations'), tr('withRemindersImportingAgainUpdates'))],
  },
  {
    name: tr('forTheEdit'),
    documents: [
      listed('timeline.otio', tr('timeline'), tr('openTimelineIOWithClipsSpeedAnd')),
      listed('timeline.edl', tr('editDecisionList'), 'CMX 3600'),
      listed('shot-numbers.srt', tr('shotNumbers'), tr('asSubtitlesForAnAnimatic')),
    ],
  },
  {
    name: tr('forAMap'),
    documents: [
      listed('paths.kml', tr('pathsAndSiteMaps'), tr('heightsAboveSeaLevelKML')),
      listed('paths.kmz', tr('pathsAndSiteMaps'), tr('theSameKMLInOneFile')),
      listed('paths.geojson', tr('pathsAndSiteMaps'), 'GeoJSON'),
      listed('paths.gpx', tr('routes'), tr('pathsAsRoutesLaunchPoints')),
    ],
  },
  {
    name: tr('tables'),
    documents: [
      listed('tables.xlsx', tr('allTables'), tr('oneWorkbookXLSX')),
      listed('shots-flying.csv', tr('shotsInFlyingOrder'), 'CSV'),
      listed('shots-cut.csv', tr('shotsInCutOrder'), 'CSV'),
      listed('ground-shots.csv', tr('groundShots'), 'CSV'),
      listed('stock.csv', tr('stockSet'), 'CSV'),
      listed('exposure-minutes.csv', tr('exposureByMinute'), 'CSV'),
      listed('takes.csv', tr('takes'), 'CSV'),
      listed('flights.csv', tr('flights'), 'CSV'),
      listed('packs.csv', tr('batteryPacks'), 'CSV'),
      listed('cards.csv', tr('cards'), 'CSV'),
    ],
  },
  {
    name: tr('everything'),
    documents: [listed('everything.zip', tr('oneFolder'), tr('allOfItWithChecksums'))],
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
  options: { readonly paper: string; readonly language: string },
  signal: AbortSignal,
): Promise<{ readonly name: string; readonly blob: Blob }> => {
  const query = new URLSearchParams(options).toString();
  const answer = await fetch(`/api/films/${film}/documents/${file}?${query}`, { signal }).catch(
    (error: unknown) => {
      if (signal.aborted) throw error;
      throw new Unreachable(tr('noAnswerFromTheApplication'));
    },
  );
  if (!answer.ok) {
    const problem = (await answer.json().catch(() => null)) as Problem | null;
    throw problem
      ? new ApiProblem(problem)
      : new Unreachable(tr('theApplicationAnsweredStatus', { status: answer.status }));
  }
  return { name: nameIn(answer.headers.get('content-disposition')) ?? file, blob: await answer.blob() };
};
