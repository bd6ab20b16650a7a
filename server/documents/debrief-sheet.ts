import { flownFlights, forecastError, movesToPractise, secondDay, shotsFlown, triesBy } from '@core/debrief';
import type { Handover } from '@core/handover';
import { MOVES } from '@core/moves';
import { clockText, dateIn, dayText } from '@core/time';
import { counted } from '@core/units';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';

const signed = (share: number | null): string =>
  share === null ? '–' : `${share < 0 ? '−' : '+'}${Math.round(Math.abs(share) * 100)} %`;
const head = (...names: string[]): Content[] => names.map((text) => ({ text, style: 'head' }));
const table = (widths: (string | number)[], body: Content[][]): Content => ({
  table: { headerRows: 1, dontBreakRows: true, widths, body },
  layout: 'lightHorizontalLines',
  margin: [0, 4, 0, 8],
});
const WORDS = { kept: 'kept', tried: 'no good take', missing: 'not flown' } as const;

const flightsOf = ({ input }: Handover): Content[] => {
  const flown = flownFlights(input);
  if (flown.length === 0) return [{ text: 'No flight of this film is in the log.', style: 'quiet' }];
  const zone = input.locations[0]?.zone ?? 'UTC';
  const errors = [
    ['Minutes', forecastError(flown.map((f) => f.minutesError))],
    ['Energy', forecastError(flown.map((f) => f.energyError))],
  ] as const;
  return [
    table(
      ['auto', 'auto', '*', 'auto', 'auto', 'auto', 'auto'],
      [
        head('Date', 'Take-off', 'Pack', 'Minutes', 'Planned', 'Energy against plan', 'Landed'),
        ...flown.map(({ entry, energyError }): Content[] => [
          dayText(dateIn(entry.utcMs, zone)),
          clockText(entry.utcMs, zone),
          own(input.kit.packs.find((p) => p.id === entry.packId)?.name ?? '–'),
          entry.minutes.toFixed(1),
          entry.plannedMinutes?.toFixed(1) ?? '–',
          signed(energyError),
          `${Math.round(100 * entry.endShare)} %`,
        ]),
      ],
    ),
    ...errors.flatMap(([name, e]): Content[] =>
      e
        ? [
            {
              text: `${name}: ${signed(e.bias)} against plan, off by ${Math.round(100 * e.off)} % on average over ${counted(e.flights, 'flight')}.`,
            },
          ]
        : [],
    ),
  ];
};

/** Plan against what happened, on paper: shots and takes, flights, forecasts, what is missing, what to practise. */
export const debriefSheet = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const { input, derived } = whole;
  const shots = shotsFlown(input, derived);
  const missing = secondDay(input, shots);
  const practise = movesToPractise(triesBy(input, shots, 'move'));
  return document(input.film.name, 'Debrief', paper, [
    {
      text: `${shots.filter((s) => s.status === 'kept').length} of ${counted(shots.length, 'shot')} kept.`,
      margin: [0, 0, 0, 4],
    },
    { text: 'Shots', style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto', 'auto'],
      [
        head('Shot', 'Priority', 'Planned', 'Takes', 'Good', 'Result'),
        ...shots.map((s): Content[] => [
          own(`${s.shot.number} ${s.shot.facts.shot.title || 'untitled'}`),
          s.shot.facts.shot.priority,
          String(s.plannedTakes),
          String(s.takes.length),
          String(s.good),
          [
            WORDS[s.status],
            ...s.reasons.map((r) => `${r.reason.replaceAll('-', ' ')}${r.takes > 1 ? ` ×${r.takes}` : ''}`),
          ].join(', '),
        ]),
      ],
    ),
    { text: 'Flights', style: 'heading' },
    ...flightsOf(whole),
    ...(missing.length > 0
      ? [
          { text: 'Still missing', style: 'heading' } satisfies Content,
          ...missing.map((m): Content =>
            own(
              `${input.locations.find((l) => l.id === m.locationId)?.name ?? ''}: ${counted(m.shotIds.length, 'shot')}, ${Math.ceil(m.minutes)} min in the air`,
            ),
          ),
        ]
      : []),
    ...(practise.length > 0
      ? [
          {
            text: `Practise before the next day: ${practise.map((g) => `${MOVES.find((m) => m.kind === g.key)?.name ?? g.key} (${g.good} of ${g.tries})`).join(', ')}.`,
            margin: [0, 8, 0, 0],
          } satisfies Content,
        ]
      : []),
  ]);
};
