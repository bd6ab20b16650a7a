import { plannedShares, type LocationPlan, type TimedFlight } from '@core/day';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, heads, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';

const named = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((x) => x.id === id)?.name ?? '–';

/** Charge after some energy, by the one reckoning of what a landing leaves. */
const shareAfter = ({ supply }: TimedFlight, usedWh: number): number =>
  plannedShares({ supply, usedWh }).endShare;

const stopsOf = (flight: TimedFlight, place: LocationPlan, { derived, voice }: Printed): Content[][] =>
  flight.stops.map((stop): Content[] => {
    const shot = derived.shots.get(stop.shotId);
    const startMs = flight.shotMs[stop.shotId];
    return [
      startMs === undefined ? '–' : voice.clock(startMs, place.location.zone),
      own(`${shot?.number ?? ''} ${shot?.facts.shot.title || voice.say('untitled')}`),
      voice.fixed(stop.airS / 60, 1),
      voice.fixed(stop.wattHours, 2),
      voice.percent(shareAfter(flight, stop.usedWh)),
      voice.percent(shareAfter(flight, stop.usedWh + stop.homeWh)),
      '',
    ];
  });

const flightOf = (flight: TimedFlight, n: number, place: LocationPlan, whole: Printed): Content => {
  const { input, derived, voice } = whole;
  const { say, clock, write, percent, fixed } = voice;
  const { zone } = place.location;
  const card = derived.budget.cards.byFlight.find((l) => l.flight === flight)?.cardId ?? null;
  const { startShare, endShare } = plannedShares(flight);
  return {
    unbreakable: true,
    margin: [0, 8, 0, 0],
    stack: [
      {
        text: [
          { text: say('flight', { n: n + 1 }), style: 'shot' },
          '   ',
          own(
            say('flightMade', {
              from: clock(flight.startMs, zone),
              to: clock(flight.endMs, zone),
              aircraft: named(input.kit.aircraft, flight.aircraftId),
              pack: named(input.kit.packs, flight.packId),
              card: named(input.kit.cards, card),
            }),
          ) as never,
        ],
      },
      {
        text: say('flightPlanned', {
          minutes: fixed(flight.seconds / 60, 1),
          energy: write(flight.usedWh, 'wattHours', 1),
          before: percent(startShare),
          after: percent(endShare),
          isOver: flight.overWh > 0 ? 'yes' : 'no',
          over: write(flight.overWh, 'wattHours', 1),
        }),
        style: 'quiet',
        margin: [0, 1, 0, 3],
      },
      {
        table: {
          headerRows: 1,
          widths: [30, '*', 38, 34, 48, 60, 50],
          body: [
            heads(
              say('time'),
              say('shot'),
              say('minutes'),
              'Wh',
              say('packAfter'),
              say('landingFromHere'),
              say('flownAt'),
            ),
            ...stopsOf(flight, place, whole),
          ],
        },
        layout: 'lightHorizontalLines',
      },
      {
        columns: (['takeOff', 'atTakeOff', 'landing', 'atLanding', 'outcome'] as const).map((key) => ({
          text: `${say(key)} _________`,
          style: 'label',
        })),
        margin: [0, 6, 0, 0],
      },
    ],
  };
};

/** The flights of each location with what every shot leaves in the pack, and room to write down what happened. */
export const flightSheet = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const { say, date } = whole.voice;
  const places = [...whole.derived.places.values()];
  return document(whole, say('flights'), paper, [
    {
      text: say('byPlan'),
      style: 'quiet',
    },
    ...places.flatMap((place): Content[] => [
      own(place.location.name, 'heading'),
      { text: date(place.location.date), style: 'quiet' },
      ...(place.flights.length > 0
        ? place.flights.map((flight, n) => flightOf(flight, n, place, whole))
        : [{ text: say('noFlightHere'), style: 'quiet' } satisfies Content]),
    ]),
  ]);
};
