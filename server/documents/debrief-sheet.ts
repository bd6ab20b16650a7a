import { flownFlights, forecastError, movesToPractise, secondDay, shotsFlown, triesBy } from '@core/debrief';
import { MOVES } from '@core/moves';
import { dateIn } from '@core/time';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, heads, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';
import type { Voice } from './voice';

const signed = ({ percent }: Voice, share: number | null): string =>
  share === null ? '–' : `${share < 0 ? '−' : '+'}${percent(Math.abs(share))}`;
const table = (widths: (string | number)[], body: Content[][]): Content => ({
  table: { headerRows: 1, dontBreakRows: true, widths, body },
  layout: 'lightHorizontalLines',
  margin: [0, 4, 0, 8],
});
const WORDS = { kept: 'keptWord', tried: 'noGoodTake', missing: 'notFlown' } as const;

const flightsOf = ({ input, voice }: Printed): Content[] => {
  const { say, date, clock, fixed, percent } = voice;
  const flown = flownFlights(input);
  if (flown.length === 0) return [{ text: say('noFlightLogged'), style: 'quiet' }];
  const zone = input.locations[0]?.zone ?? 'UTC';
  const errors = [
    [say('minutes'), forecastError(flown.map((f) => f.minutesError))],
    [say('energy'), forecastError(flown.map((f) => f.energyError))],
  ] as const;
  return [
    table(
      ['auto', 'auto', '*', 'auto', 'auto', 'auto', 'auto'],
      [
        heads(
          say('date'),
          say('takeOff'),
          say('pack'),
          say('minutes'),
          say('planned'),
          say('energyAgainstPlan'),
          say('landed'),
        ),
        ...flown.map(({ entry, energyError }): Content[] => [
          date(dateIn(entry.utcMs, zone)),
          clock(entry.utcMs, zone),
          own(input.kit.packs.find((p) => p.id === entry.packId)?.name ?? '–'),
          fixed(entry.minutes, 1),
          fixed(entry.plannedMinutes ?? NaN, 1),
          signed(voice, energyError),
          percent(entry.endShare),
        ]),
      ],
    ),
    ...errors.flatMap(([name, e]): Content[] =>
      e
        ? [
            {
              text: say('forecastError', {
                what: name,
                bias: signed(voice, e.bias),
                off: percent(e.off),
                n: e.flights,
              }),
            },
          ]
        : [],
    ),
  ];
};

/** Plan against what happened, on paper: shots and takes, flights, forecasts, what is missing, what to practise. */
export const debriefSheet = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const { input, derived, voice } = whole;
  const { say, choice, phrase, write } = voice;
  const shots = shotsFlown(input, derived);
  const missing = secondDay(input, shots);
  const practise = movesToPractise(triesBy(input, shots, 'move'));
  return document(whole, say('debrief'), paper, [
    {
      text: say('kept', { kept: shots.filter((s) => s.status === 'kept').length, n: shots.length }),
      margin: [0, 0, 0, 4],
    },
    { text: say('shots'), style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto', 'auto'],
      [
        heads(say('shot'), say('priority'), say('planned'), say('takes'), say('good'), say('result')),
        ...shots.map((s): Content[] => [
          own(`${s.shot.number} ${s.shot.facts.shot.title || say('untitled')}`),
          choice('priority', s.shot.facts.shot.priority),
          String(s.plannedTakes),
          String(s.takes.length),
          String(s.good),
          [
            say(WORDS[s.status]),
            ...s.reasons.map((r) => `${choice('reason', r.reason)}${r.takes > 1 ? ` ×${r.takes}` : ''}`),
          ].join(', '),
        ]),
      ],
    ),
    { text: say('flights'), style: 'heading' },
    ...flightsOf(whole),
    ...(missing.length > 0
      ? [
          { text: say('stillMissing'), style: 'heading' } satisfies Content,
          ...missing.map((m): Content =>
            own(
              say('missingOf', {
                name: input.locations.find((l) => l.id === m.locationId)?.name ?? '',
                n: m.shotIds.length,
                minutes: write(Math.ceil(m.minutes), 'minutes', 0),
              }),
            ),
          ),
        ]
      : []),
    ...(practise.length > 0
      ? [
          {
            text: say('practise', {
              moves: practise
                .map((g) =>
                  say('goodOf', {
                    name: phrase(MOVES.find((m) => m.kind === g.key)?.name ?? g.key),
                    good: g.good,
                    tries: g.tries,
                  }),
                )
                .join(', '),
            }),
            margin: [0, 8, 0, 0],
          } satisfies Content,
        ]
      : []),
  ]);
};
