import { plannedShares, type LocationPlan, type TimedFlight } from '@core/day';
import type { Handover } from '@core/handover';
import { clockText, dayText } from '@core/time';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const named = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((x) => x.id === id)?.name ?? '–';

/** Charge after some energy, by the one reckoning of what a landing leaves. */
const shareAfter = ({ supply }: TimedFlight, usedWh: number): number =>
  plannedShares({ supply, usedWh }).endShare;

const stopsOf = (flight: TimedFlight, place: LocationPlan, { derived }: Handover): Content[][] =>
  flight.stops.map((stop): Content[] => {
    const shot = derived.shots.get(stop.shotId);
    const startMs = flight.shotMs[stop.shotId];
    return [
      startMs === undefined ? '–' : clockText(startMs, place.location.zone),
      own(`${shot?.number ?? ''} ${shot?.facts.shot.title || 'untitled'}`),
      (stop.airS / 60).toFixed(1),
      stop.wattHours.toFixed(2),
      percent(shareAfter(flight, stop.usedWh)),
      percent(shareAfter(flight, stop.usedWh + stop.homeWh)),
      '',
    ];
  });

const flightOf = (flight: TimedFlight, n: number, place: LocationPlan, whole: Handover): Content => {
  const { input, derived } = whole;
  const card = derived.budget.cards.byFlight.find((l) => l.flight === flight)?.cardId ?? null;
  const { startShare, endShare } = plannedShares(flight);
  return {
    unbreakable: true,
    margin: [0, 8, 0, 0],
    stack: [
      {
        text: [
          { text: `Flight ${n + 1}`, style: 'shot' },
          `   ${clockText(flight.startMs, place.location.zone)} to ${clockText(flight.endMs, place.location.zone)}, `,
          own(named(input.kit.aircraft, flight.aircraftId)),
          ', pack ',
          own(named(input.kit.packs, flight.packId)),
          ', card ',
          own(named(input.kit.cards, card)),
        ],
      },
      {
        text: `${(flight.seconds / 60).toFixed(1)} min, ${flight.usedWh.toFixed(1)} Wh: ${percent(startShare)} at take-off, ${percent(endShare)} at landing planned${flight.overWh > 0 ? `; ${flight.overWh.toFixed(1)} Wh MORE than the pack may give` : ''}.`,
        style: 'quiet',
        margin: [0, 1, 0, 3],
      },
      {
        table: {
          headerRows: 1,
          widths: [30, '*', 34, 34, 44, 60, 46],
          body: [
            ['Time', 'Shot', 'Minutes', 'Wh', 'Pack after', 'Landing from here', 'Flown at'].map((text) => ({
              text,
              style: 'head',
            })),
            ...stopsOf(flight, place, whole),
          ],
        },
        layout: 'lightHorizontalLines',
      },
      {
        columns: ['Take-off', 'Charge at take-off', 'Landing', 'Charge at landing', 'Outcome'].map(
          (text) => ({
            text: `${text} _________`,
            style: 'label',
          }),
        ),
        margin: [0, 6, 0, 0],
      },
    ],
  };
};

/** The flights of each location with what every shot leaves in the pack, and room to write down what happened. */
export const flightSheet = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const places = [...whole.derived.places.values()];
  return document(whole.input.film.name, 'Flights', paper, [
    {
      text: 'Minutes and charge by the plan. The aircraft’s own display counts: land when it says so.',
      style: 'quiet',
    },
    ...places.flatMap((place): Content[] => [
      own(place.location.name, 'heading'),
      { text: dayText(place.location.date), style: 'quiet' },
      ...(place.flights.length > 0
        ? place.flights.map((flight, n) => flightOf(flight, n, place, whole))
        : [{ text: 'No flight is planned here.', style: 'quiet' } satisfies Content]),
    ]),
  ]);
};
