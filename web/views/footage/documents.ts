import { ApiProblem, Unreachable } from '../../sync/api';
import type { Problem } from '@contract';
import { tr } from './messages';

interface Listed {
  readonly file: string;
  readonly name: string;
  readonly tells: string;
}

/** What can be handed over, by who wants it. */
export const DOCUMENT_GROUPS: readonly { readonly name: string; readonly documents: readonly Listed[] }[] = [
  {
    get name() {
      return tr('onPaper');
    },
    documents: [
      {
        file: 'call-sheet.pdf',
        get name() {
          return tr('callSheet');
        },
        get tells() {
          return tr('whereWhenSunWindFlights');
        },
      },
      {
        file: 'shot-list.pdf',
        get name() {
          return tr('shotList');
        },
        get tells() {
          return tr('firstAndLastFramePath');
        },
      },
      {
        file: 'exposure.pdf',
        get name() {
          return tr('exposure');
        },
        get tells() {
          return tr('settingsAndFiltersByShot');
        },
      },
      {
        file: 'storyboard.pdf',
        get name() {
          return tr('storyboard');
        },
        get tells() {
          return tr('picturesInCutOrderWith');
        },
      },
      {
        file: 'debrief.pdf',
        get name() {
          return tr('debrief');
        },
        get tells() {
          return tr('planAgainstWhatWasFlown');
        },
      },
    ],
  },
  {
    get name() {
      return tr('forAPhoneWithoutThe');
    },
    documents: [
      {
        file: 'take-along.html',
        get name() {
          return tr('takeAlong');
        },
        get tells() {
          return tr('theDayInOnePage');
        },
      },
    ],
  },
  {
    get name() {
      return tr('forTheCalendar');
    },
    documents: [
      {
        file: 'calendar.ics',
        get name() {
          return tr('flightsAndLocations');
        },
        get tells() {
          return tr('withRemindersImportingAgainUpdates');
        },
      },
    ],
  },
  {
    get name() {
      return tr('forTheEdit');
    },
    documents: [
      {
        file: 'timeline.otio',
        get name() {
          return tr('timeline');
        },
        get tells() {
          return tr('openTimelineIOWithClipsSpeedAnd');
        },
      },
      {
        file: 'timeline.edl',
        get name() {
          return tr('editDecisionList');
        },
        tells: 'CMX 3600',
      },
      {
        file: 'shot-numbers.srt',
        get name() {
          return tr('shotNumbers');
        },
        get tells() {
          return tr('asSubtitlesForAnAnimatic');
        },
      },
    ],
  },
  {
    get name() {
      return tr('forAMap');
    },
    documents: [
      {
        file: 'paths.kml',
        get name() {
          return tr('pathsAndSiteMaps');
        },
        get tells() {
          return tr('heightsAboveSeaLevelKML');
        },
      },
      {
        file: 'paths.geojson',
        get name() {
          return tr('pathsAndSiteMaps');
        },
        tells: 'GeoJSON',
      },
      {
        file: 'paths.gpx',
        get name() {
          return tr('routes');
        },
        get tells() {
          return tr('pathsAsRoutesLaunchPoints');
        },
      },
    ],
  },
  {
    get name() {
      return tr('tables');
    },
    documents: [
      {
        file: 'tables.xlsx',
        get name() {
          return tr('allTables');
        },
        get tells() {
          return tr('oneWorkbookXLSX');
        },
      },
      {
        file: 'shots-flying.csv',
        get name() {
          return tr('shotsInFlyingOrder');
        },
        tells: 'CSV',
      },
      {
        file: 'shots-cut.csv',
        get name() {
          return tr('shotsInCutOrder');
        },
        tells: 'CSV',
      },
      {
        file: 'takes.csv',
        get name() {
          return tr('takes');
        },
        tells: 'CSV',
      },
      {
        file: 'flights.csv',
        get name() {
          return tr('flights');
        },
        tells: 'CSV',
      },
      {
        file: 'packs.csv',
        get name() {
          return tr('batteryPacks');
        },
        tells: 'CSV',
      },
      {
        file: 'cards.csv',
        get name() {
          return tr('cards');
        },
        tells: 'CSV',
      },
    ],
  },
  {
    get name() {
      return tr('everything');
    },
    documents: [
      {
        file: 'everything.zip',
        get name() {
          return tr('oneFolder');
        },
        get tells() {
          return tr('allOfItWithChecksums');
        },
      },
    ],
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
