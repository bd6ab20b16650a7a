import { bagOf, type BagItem } from '@core/checks';
import { kitOnLocation } from '@core/day';
import { siteDrawing } from '@core/drawing';
import { shotLines, type Handover, type ShotLine } from '@core/handover';
import { sunAt } from '@core/light';
import { yesNo } from '@core/messages';
import { hoursOf } from '@core/weather';
import { featureWords } from '@core/site';
import type { Feature } from '@core/model';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, drawn, fact, heads, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';

type Place = NonNullable<ReturnType<Handover['derived']['places']['get']>>;

/** Things of a site map named on paper; further ones are looked up in the application. */
const NAMED = 40;

const sunLine = ({ voice }: Printed, place: Place): string => {
  if (!place.light) return voice.say('unknown');
  const at = (ms: number | null): string => (ms === null ? '–' : voice.clock(ms, place.location.zone));
  return voice.say('sunTimes', { rise: at(place.light.sunriseMs), set: at(place.light.sunsetMs) });
};

const bearing = ({ voice }: Printed, degrees: number): string => voice.write(degrees, 'degrees');

const hours = (whole: Printed, place: Place): Content[] => {
  const { say, write, clock } = whole.voice;
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
          heads(say('hour'), say('wind'), say('gusts'), say('from'), say('temperature')),
          ...inWindow.map((h): Content[] => [
            clock(h.utcMs, location.zone),
            write(h.windMs, 'speed'),
            write(h.gustMs, 'speed'),
            bearing(whole, h.windFromDeg),
            write(h.temperatureC, 'celsius'),
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
      margin: [0, 4, 0, 6],
    },
  ];
};

const flights = ({ voice }: Printed, place: Place, lines: readonly ShotLine[]): Content => {
  const { say, clock, fixed } = voice;
  const on = (n: number): ShotLine[] => lines.filter((l) => l.flight === n + 1);
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['auto', 44, 44, 44, 'auto', '*'],
      body: [
        heads(
          say('flightHeading'),
          say('takeOff'),
          say('landing'),
          say('minutes'),
          say('pack'),
          say('shots'),
        ),
        ...place.flights.map((f, i): Content[] => [
          String(i + 1),
          clock(f.startMs, place.location.zone),
          clock(f.endMs, place.location.zone),
          fixed(f.seconds / 60, 1),
          own(on(i)[0]?.pack || '–'),
          own(
            on(i)
              .map((l) => `${l.number} ${l.title}`.trim())
              .join(', '),
          ),
        ]),
      ],
    },
    layout: 'lightHorizontalLines',
  };
};

const permissionOf = ({ voice: { say, date } }: Printed, f: Feature): string[] => [
  ...(f.kind === 'permission' ? [say('permission', { isGiven: f.granted ? 'yes' : 'no' })] : []),
  ...(f.until ? [say('permissionUntil', { date: date(f.until) })] : []),
  ...(f.source ? [f.source] : []),
];

/** A thing on the map in a line, under the number it has in the drawing. */
const thing = (whole: Printed, f: Feature): Content => {
  const kind = whole.voice.phrase(featureWords(f.kind).name);
  const about = [
    f.name && f.name !== kind ? kind : '',
    f.heightM > 0 ? whole.voice.write(f.heightM, 'metres', 0) : '',
    ...permissionOf(whole, f),
    f.notes,
  ].filter((part) => part !== '');
  return own([f.name || kind, ...about].join(', '));
};

/** The map of a location with what is marked on it, numbered alike in drawing and list. */
const siteMap = (whole: Printed, place: Place, lines: readonly ShotLine[]): Content[] => {
  const { say, drawing } = whole.voice;
  const features = whole.input.features.filter((f) => f.locationId === place.location.id);
  const paths = lines.map((l) => (l.shot.facts.trajectory?.samples ?? []).map((s) => s.pose.at));
  const picture = siteDrawing(features, paths, 300, 210, drawing);
  if (!picture) return [];
  const named = features.slice(0, NAMED);
  const more = features.length - named.length;
  return [
    {
      unbreakable: true,
      margin: [0, 8, 0, 0],
      columns: [
        {
          width: 308,
          stack: [{ svg: drawn(picture) }, { text: say('map'), style: 'label', margin: [0, 2, 8, 0] }],
        },
        [
          { text: say('onTheMap'), style: 'label', margin: [0, 0, 0, 1] },
          { ol: named.map((f) => thing(whole, f)), fontSize: 8 },
          ...(more > 0 ? [{ text: say('moreThings', { n: more }), style: 'label' } satisfies Content] : []),
        ],
      ],
    },
  ];
};

/** Where a location is, what it is set to, when its light is there. */
const facts = (whole: Printed, place: Place): Content => {
  const { say, write, clock, choice } = whole.voice;
  const { location } = place;
  const middle = (place.windowFromMs + place.windowToMs) / 2;
  const sun = location.placed ? sunAt(middle, location.latitude, location.longitude) : null;
  const at = (ms: number): string => clock(ms, location.zone);
  return {
    columns: [
      [
        fact(
          say('window'),
          say('windowIs', {
            from: at(place.windowFromMs),
            to: at(place.windowToMs),
            zone: location.zone,
          }),
        ),
        fact(say('light'), sunLine(whole, place)),
        fact(
          say('sunMidway'),
          sun
            ? say('sunMidwayIs', {
                bearing: bearing(whole, sun.azimuthDeg),
                height: bearing(whole, Math.abs(sun.altitudeDeg)),
                up: yesNo(sun.altitudeDeg >= 0),
              })
            : say('unknown'),
        ),
      ],
      [
        fact(
          say('where'),
          location.placed
            ? `${location.latitude.toFixed(5)}, ${location.longitude.toFixed(5)}`
            : say('notEntered'),
        ),
        fact(
          say('windPlanned'),
          say('windIs', {
            wind: write(location.windMs, 'speed'),
            gust: write(location.gustMs, 'speed'),
            from: bearing(whole, location.windFromDeg),
          }),
        ),
        fact(say('temperature'), write(location.temperatureC, 'celsius')),
      ],
      [
        fact(say('returnHeight'), write(location.returnHeightM, 'metres', 0)),
        fact(say('lostLinkAction'), choice('loss', location.lossAction)),
        fact(say('ceiling'), say('ceilingIs', { height: write(location.ceilingM, 'metres', 0) })),
      ],
    ],
    columnGap: 10,
  } satisfies Content & { columnGap: number };
};

const locationSheet = (whole: Printed, place: Place, lines: readonly ShotLine[]): Content[] => {
  const { say } = whole.voice;
  const { location } = place;
  return [
    own(location.name, 'heading'),
    facts(whole, place),
    ...(location.wayIn ? [fact(say('wayIn'), location.wayIn)] : []),
    ...(location.notes ? [fact(say('notes'), location.notes)] : []),
    ...hours(whole, place),
    flights(whole, place, lines),
    ...siteMap(whole, place, lines),
  ];
};

/** What belongs into the bag for some places, and what of it is not there. */
const bag = (whole: Printed, places: readonly Place[]): Content[] => {
  const { input, derived, voice } = whole;
  const along = { ...input, kit: kitOnLocation(input.kit, input.film) };
  const { items } = bagOf(along, input.kit, derived, places);
  if (items.length === 0) return [];
  const named = (list: readonly BagItem[]): string =>
    list.map((i) => `${i.count > 1 ? `${i.count} × ` : ''}${voice.text(i.name)}`).join(', ');
  const missing = items.filter((i) => i.missing !== null);
  return [
    fact(voice.say('bag'), named(items.filter((i) => i.missing === null))),
    ...(missing.length > 0 ? [fact(voice.say('bagMissing'), named(missing))] : []),
  ];
};

const contacts = ({ input, voice }: Printed): Content[] => {
  const known = input.film.contacts.filter((c) => c.name || c.phone);
  if (known.length === 0) return [];
  return [
    fact(
      voice.say('contacts'),
      known.map((c) => [c.name, c.role, c.phone].filter((x) => x !== '').join(', ')).join('\n'),
    ),
  ];
};

const head = (whole: Printed): Content => {
  const { input, derived, voice } = whole;
  const { say, write, date } = voice;
  const { film } = input;
  const pilot = input.kit.pilots.find((p) => p.id === film.pilotId)?.name ?? '';
  return {
    columnGap: 12,
    columns: [
      [fact(say('audience'), film.audience || '–'), fact(say('purpose'), film.purpose || '–')],
      [
        fact(say('pilot'), pilot || '–'),
        fact(say('deadline'), film.deadline ? date(film.deadline) : '–'),
        ...(film.signedOffBy ? [fact(say('signedOffBy'), film.signedOffBy)] : []),
      ],
      [
        fact(say('inTheAir'), say('inAll', { minutes: write(derived.budget.airborneS / 60, 'minutes') })),
        fact(say('recorded'), write(derived.budget.bytes / 1e9, 'gigabytes')),
        ...contacts(whole),
      ],
    ],
  };
};

/** The call sheet of a film: by day and location who, where, when, light, wind, flights, what to bring and what to mind. */
export const callSheet = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const { input, derived, voice } = whole;
  const lines = shotLines(whole);
  const dates = [...new Set(input.locations.map((l) => l.date))].sort();
  return document(whole, voice.say('callSheet'), paper, [
    head(whole),
    { text: voice.say('ask'), style: 'quiet', margin: [0, 4, 0, 0] },
    ...dates.flatMap((date): Content[] => {
      const places = [...derived.places.values()]
        .filter((p) => p.location.date === date)
        .sort((a, b) => a.windowFromMs - b.windowFromMs);
      const packs = new Set(places.flatMap((p) => p.flights.map((f) => f.packId))).size;
      return [
        {
          unbreakable: true,
          stack: [
            {
              text: voice.say('dayHeading', { date: voice.date(date), locations: places.length, packs }),
              style: 'heading',
              fontSize: 14,
            },
            ...bag(whole, places),
          ],
        },
        ...places.flatMap((p) =>
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
