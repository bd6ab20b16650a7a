import { shotLines, type Handover, type ShotLine } from '@core/handover';
import { sunAt } from '@core/light';
import { clockText, dayText } from '@core/time';
import { hoursOf } from '@core/weather';
import { counted } from '@core/units';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, fact, own } from './pdf';
import type { Paper } from './names';
import { writer } from './shot-list';

type Place = NonNullable<ReturnType<Handover['derived']['places']['get']>>;

const RULE =
  'Rules differ by country and change: check the local rule, airspace notices and the permissions before every flight. The pilot decides on location. The figures here are a plan, not a clearance.';

const sunLine = (place: Place): string => {
  if (!place.light) return 'unknown';
  const at = (ms: number | null): string => (ms === null ? '–' : clockText(ms, place.location.zone));
  const { sunriseMs, sunsetMs } = place.light;
  return `sunrise ${at(sunriseMs)}, sunset ${at(sunsetMs)}`;
};

const hours = (whole: Handover, place: Place): Content[] => {
  const write = writer(whole);
  const { location } = place;
  const inWindow = hoursOf(location).filter(
    (h) => h.utcMs >= place.windowFromMs - 3_600_000 && h.utcMs <= place.windowToMs + 3_600_000,
  );
  if (inWindow.length === 0) return [];
  return [
    {
      table: {
        headerRows: 1,
        widths: ['auto', 'auto', 'auto', 'auto', 'auto'],
        body: [
          ['Hour', 'Wind', 'Gusts', 'From', 'Temperature'].map((text) => ({ text, style: 'head' })),
          ...inWindow.map((h) => [
            clockText(h.utcMs, location.zone),
            write(h.windMs, 'speed'),
            write(h.gustMs, 'speed'),
            `${Math.round(h.windFromDeg)}°`,
            write(h.temperatureC, 'celsius'),
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
      margin: [0, 4, 0, 6],
    },
  ];
};

const flights = (place: Place, lines: readonly ShotLine[]): Content => {
  const own0 = (n: number): ShotLine[] => lines.filter((l) => l.flight === n + 1);
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['auto', 44, 44, 44, 'auto', '*'],
      body: [
        ['Flight', 'Take-off', 'Landing', 'Minutes', 'Pack', 'Shots'].map((text) => ({
          text,
          style: 'head',
        })),
        ...place.flights.map((f, i): Content[] => [
          String(i + 1),
          clockText(f.startMs, place.location.zone),
          clockText(f.endMs, place.location.zone),
          (f.seconds / 60).toFixed(1),
          own(own0(i)[0]?.pack ?? '–'),
          { text: own0(i).flatMap((l, k) => [`${k > 0 ? ', ' : ''}${l.number} `, own(l.title)]) as never },
        ]),
      ],
    },
    layout: 'lightHorizontalLines',
  };
};

const locationSheet = (whole: Handover, place: Place, lines: readonly ShotLine[]): Content[] => {
  const write = writer(whole);
  const { location } = place;
  const noon = (place.windowFromMs + place.windowToMs) / 2;
  const sun = location.placed ? sunAt(noon, location.latitude, location.longitude) : null;
  const clock = (ms: number): string => clockText(ms, location.zone);
  return [
    { text: [own(location.name)], style: 'heading' },
    {
      columns: [
        [
          fact('Window', `${clock(place.windowFromMs)} to ${clock(place.windowToMs)} (${location.zone})`),
          fact('Sun', sunLine(place)),
          fact(
            'Sun in the middle of the window',
            sun ? `${Math.round(sun.azimuthDeg)}° bearing, ${Math.round(sun.altitudeDeg)}° high` : 'unknown',
          ),
        ],
        [
          fact(
            'Where',
            location.placed
              ? `${location.latitude.toFixed(5)}, ${location.longitude.toFixed(5)}`
              : 'not entered',
          ),
          fact(
            'Wind planned',
            `${write(location.windMs, 'speed')}, gusts ${write(location.gustMs, 'speed')}, from ${Math.round(location.windFromDeg)}°`,
          ),
          fact('Temperature', write(location.temperatureC, 'celsius')),
        ],
        [
          fact('Return-to-home height', write(location.returnHeightM, 'metres')),
          fact('Lost-link action', location.lossAction),
          fact('Ceiling planned with', `${write(location.ceilingM, 'metres')}, check the local rule`),
        ],
      ],
    },
    ...(location.notes ? [fact('Notes', location.notes)] : []),
    ...hours(whole, place),
    flights(place, lines),
    ...thingsToMind(whole, location.id),
  ];
};

/** Obstacles, zones and launch points drawn on the map of a location. */
const thingsToMind = (whole: Handover, locationId: string): Content[] => {
  const things = whole.input.features.filter((f) => f.locationId === locationId);
  if (things.length === 0) return [];
  return [
    { text: 'On the site map', style: 'label', margin: [0, 6, 0, 1] },
    { ul: things.slice(0, 30).map((f) => own(`${f.name || f.kind} (${f.kind})`)) },
  ];
};

/** The call sheet of a film: by day and location who, where, when, light, wind, flights and what to mind. */
export const callSheet = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const { input, derived } = whole;
  const lines = shotLines(whole);
  const write = writer(whole);
  const pilot = input.kit.pilots.find((p) => p.id === input.film.pilotId)?.name ?? '';
  const dates = [...new Set(input.locations.map((l) => l.date))].sort();
  const { budget } = derived;
  return document(input.film.name, 'Call sheet', paper, [
    {
      columns: [
        [fact('Client', input.film.audience || '–'), fact('Purpose', input.film.purpose || '–')],
        [
          fact('Pilot', pilot || '–'),
          fact('Deadline', input.film.deadline ? dayText(input.film.deadline) : '–'),
        ],
        [
          fact('In the air', `${write(budget.airborneS / 60, 'minutes')} in all`),
          fact('Recorded', write(budget.bytes / 1e9, 'gigabytes')),
        ],
      ],
    },
    { text: RULE, style: 'quiet', margin: [0, 4, 0, 0] },
    ...dates.flatMap((date): Content[] => {
      const places = [...derived.places.values()].filter((p) => p.location.date === date);
      const packs = new Set(places.flatMap((p) => p.flights.map((f) => f.packId))).size;
      return [
        {
          text: `${dayText(date)}: ${counted(places.length, 'location')}, ${counted(packs, 'pack')}`,
          style: 'heading',
          fontSize: 14,
        },
        ...places
          .sort((a, b) => a.windowFromMs - b.windowFromMs)
          .flatMap((p) =>
            locationSheet(
              whole,
              p,
              lines.filter((l) => l.shot.facts.location.id === p.location.id),
            ),
          ),
      ];
    }),
  ]);
};
