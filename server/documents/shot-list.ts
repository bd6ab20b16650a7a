import { aboveDrawing, frameDrawing } from '@core/drawing';
import type { Vec3 } from '@core/geometry';
import { launchOf as launchPoint } from '@core/location';
import { inFlyingOrder, shotLines, type Handover, type ShotLine } from '@core/handover';
import { boardOf } from '@core/story';
import { clockText, dayText } from '@core/time';
import { writeShutter, writeText, type Quantity } from '@core/units';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, drawn, own } from './pdf';
import type { Paper } from './names';

/** Writes a quantity in the units of a film. */
export const writer =
  ({ input }: Handover) =>
  (value: number, quantity: Quantity): string =>
    Number.isFinite(value) ? writeText(value, quantity, input.film.units) : '–';

/** Settings as one line. */
export const settingsOf = (l: ShotLine): string =>
  l.exposure
    ? `f/${l.exposure.aperture}, ${writeShutter(l.exposure.shutterS)}, ISO ${l.exposure.iso}, ${l.filter}`
    : '';

const BOX =
  '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0.5 0.5h8v8h-8z" fill="none" stroke="#000"/></svg>';

/** Boxes to tick, one a take that is wanted. */
const boxes = (count: number): Content => ({
  columns: Array.from({ length: Math.min(count, 12) }, (): Content => ({ svg: BOX, width: 13 })),
});

/** Launch point of the flight a shot is in; its own, or the location's, where it is in none. */
export const launchOf = ({ input, derived }: Handover, { shot }: ShotLine): Vec3 => {
  const { location } = shot.facts;
  const flight = derived.places.get(location.id)?.flights[shot.flightIndex ?? -1];
  return (
    flight?.launch.at ??
    launchPoint(input.features, input.terrain?.get(location.id), location, shot.facts.shot).at
  );
};

const pictures = (whole: Handover, l: ShotLine): Content => {
  const first = frameDrawing(l.shot.facts, 0, 120);
  const last = frameDrawing(l.shot.facts, 1, 120);
  const above = aboveDrawing(l.shot.facts, launchOf(whole, l), 150, 78);
  const picture = (drawing: typeof first, label: string): Column =>
    drawing
      ? {
          width: drawing.width + 8,
          stack: [{ svg: drawn(drawing) }, { text: label, style: 'label', margin: [0, 2, 0, 0] }],
        }
      : { width: 128, text: 'no path', style: 'quiet' };
  return {
    columns: [picture(first, 'first frame'), picture(last, 'last frame'), picture(above, 'from above')],
  };
};

const figures = (whole: Handover, l: ShotLine): string => {
  const write = writer(whole);
  return [
    l.move,
    `${write(l.timelineS, 'seconds')} in the cut`,
    `${write(l.takeS, 'seconds')} a take`,
    `${write(l.energyWh, 'wattHours')}`,
    `${write(l.bytes / 1e9, 'gigabytes')}`,
    l.lensMm ? `${l.lensMm} mm` : '',
    l.captureFps ? `${l.captureFps} fps` : '',
  ]
    .filter((x) => x !== '')
    .join(' · ');
};

const flownAs = (l: ShotLine): string =>
  l.flight === null
    ? 'in no flight'
    : `flight ${l.flight}, ${l.startMs === null ? '' : clockText(l.startMs, l.zone)}, pack ${l.pack || '–'}, card ${l.card || '–'}`;

const entry = (whole: Handover, l: ShotLine): Content => ({
  unbreakable: true,
  margin: [0, 0, 0, 10],
  columns: [
    { width: 34, stack: [{ text: String(l.number), style: 'number' }] },
    {
      stack: [
        own(l.title || 'untitled', 'shot'),
        { text: `${l.shot.facts.shot.priority} · ${l.shot.facts.shot.role} · ${flownAs(l)}`, style: 'quiet' },
        { text: figures(whole, l) },
        { text: settingsOf(l) },
        ...(l.shot.facts.shot.notes ? [own(l.shot.facts.shot.notes, 'quiet')] : []),
        { ...(pictures(whole, l) as object), margin: [0, 4, 0, 0] } as Content,
        {
          columns: [{ width: 62, text: `takes wanted ${l.takes}`, style: 'label' }, boxes(l.takes)],
          margin: [0, 3, 0, 0],
        },
      ],
    },
  ],
});

/** What is filmed from the ground at a location, with a box to tick. */
const groundEntries = ({ input, derived }: Handover, locationId: string): Content[] => {
  const here = boardOf(derived, input.groundShots).places.flatMap((p) =>
    p.ground?.locationId === locationId ? [p] : [],
  );
  if (here.length === 0) return [];
  const row = (p: (typeof here)[number]): Content => ({
    columns: [
      { width: 22, ...(boxes(1) as object) } as Content,
      { width: '*', text: [own(p.title || 'Ground shot')] },
      { width: 150, text: [own(p.ground?.filmedBy ?? '')], style: 'label' },
      { width: 120, text: `${p.timelineS.toFixed(1)} s, ${p.cut} in the cut`, style: 'label' },
    ],
    margin: [0, 2, 0, 2],
  });
  return [
    {
      unbreakable: true,
      stack: [{ text: 'From the ground', style: 'label', margin: [0, 6, 0, 2] }, ...here.map(row)],
    },
  ];
};

/** The shot list on paper, by location in flying order, with boxes to tick; no shot is split over pages. */
export const shotList = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const lines = inFlyingOrder(shotLines(whole));
  const places = [...new Set(lines.map((l) => l.shot.facts.location.id))];
  return document(
    whole.input.film.name,
    'Shot list',
    paper,
    places.flatMap((id): Content[] => {
      const here = lines.filter((l) => l.shot.facts.location.id === id);
      return [
        { text: [own(`${here[0]?.location ?? ''}, ${dayText(here[0]?.date ?? '')}`)], style: 'heading' },
        ...here.map((l) => entry(whole, l)),
        ...groundEntries(whole, id),
      ];
    }),
  );
};

/** Pictures in the order of the cut with their seconds, four to a row. */
export const storyboard = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const write = writer(whole);
  const lines = new Map(shotLines(whole).map((l) => [l.id, l]));
  const places = boardOf(whole.derived, whole.input.groundShots).places;
  const panels = places.map((place): Content => {
    const l = lines.get(place.id);
    if (!l)
      return {
        stack: [
          { margin: [0, 40, 0, 44], text: 'from the ground', style: 'quiet', alignment: 'center' },
          { text: [`${place.cut}  `, own(place.title) as never] },
          {
            text: `${write(place.timelineS, 'seconds')} from ${write(place.fromS, 'seconds')} · ${place.ground?.filmedBy ?? ''}`,
            style: 'label',
          },
        ],
        margin: [0, 0, 0, 8],
      };
    const picture = frameDrawing(l.shot.facts, 0, 168);
    return {
      stack: [
        picture ? { svg: drawn(picture) } : { text: 'no path', style: 'quiet' },
        {
          margin: [0, 3, 0, 0],
          text: [`${l.cut}  `, { text: `shot ${l.number}  `, bold: true }, own(l.title) as never],
        },
        {
          text: `${write(l.timelineS, 'seconds')} from ${write(l.cutFromS, 'seconds')} · ${l.move}`,
          style: 'label',
        },
      ],
      margin: [0, 0, 0, 8],
    };
  });
  const rows: Content[][] = [];
  for (let i = 0; i < panels.length; i += 4)
    rows.push(Array.from({ length: 4 }, (_, k) => panels[i + k] ?? { text: '' }));
  return document(
    whole.input.film.name,
    'Storyboard',
    paper,
    rows.length > 0
      ? [{ layout: 'noBorders', table: { widths: ['*', '*', '*', '*'], dontBreakRows: true, body: rows } }]
      : [],
    true,
  );
};
