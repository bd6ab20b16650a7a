import { aboveDrawing, frameDrawing } from '@core/drawing';
import { inFlyingOrder, shotLines, type ShotLine } from '@core/handover';
import { boardOf } from '@core/story';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, drawn, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';
import type { Voice } from './voice';

/** Settings as one line. */
export const settingsOf = (l: ShotLine, { aperture, shutter, phrase }: Voice): string =>
  l.exposure
    ? `${aperture(l.exposure.aperture)}, ${shutter(l.exposure.shutterS)}, ISO ${l.exposure.iso}, ${phrase(l.filter)}`
    : '';

const BOX =
  '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0.5 0.5h8v8h-8z" fill="none" stroke="#000"/></svg>';

/** Boxes to tick, one a take that is wanted. */
const boxes = (count: number): Content => ({
  columns: Array.from({ length: Math.min(count, 12) }, (): Content => ({ svg: BOX, width: 13 })),
});

const pictures = (whole: Printed, l: ShotLine): Content => {
  const { say, drawing } = whole.voice;
  const first = frameDrawing(l.shot.facts, 0, 120);
  const last = frameDrawing(l.shot.facts, 1, 120);
  const above = aboveDrawing(l.shot.facts, l.launch, 150, 78, drawing);
  const picture = (lines: typeof first, label: string): Column =>
    lines
      ? {
          width: lines.width + 8,
          stack: [{ svg: drawn(lines) }, { text: label, style: 'label', margin: [0, 2, 0, 0] }],
        }
      : { width: 128, text: say('noPath'), style: 'quiet' };
  return {
    columns: [
      picture(first, say('firstFrame')),
      picture(last, say('lastFrame')),
      picture(above, say('fromAbove')),
    ],
  };
};

const figures = ({ voice: { say, write, phrase, fixed } }: Printed, l: ShotLine): string =>
  [
    phrase(l.move),
    say('inTheCut', { seconds: write(l.timelineS, 'seconds') }),
    say('perTake', { seconds: write(l.takeS, 'seconds') }),
    write(l.energyWh, 'wattHours'),
    write(l.bytes / 1e9, 'gigabytes'),
    l.lensMm ? write(l.lensMm, 'millimetres') : '',
    l.captureFps ? say('fps', { fps: fixed(l.captureFps, Number.isInteger(l.captureFps) ? 0 : 2) }) : '',
  ]
    .filter((x) => x !== '')
    .join(' · ');

/** In which flight, when, on what. */
export const flownAs = ({ voice: { say, clock } }: Printed, l: ShotLine): string =>
  l.flight === null
    ? say('inNoFlight')
    : say('flownAs', {
        flight: l.flight,
        time: l.startMs === null ? '' : clock(l.startMs, l.zone),
        pack: l.pack || '–',
        card: l.card || '–',
      });

const entry = (whole: Printed, l: ShotLine): Content => {
  const { say, choice } = whole.voice;
  const { shot } = l.shot.facts;
  const about = [choice('priority', shot.priority), choice('role', shot.role), flownAs(whole, l)];
  return {
    unbreakable: true,
    margin: [0, 0, 0, 10],
    columns: [
      { width: 34, stack: [{ text: String(l.number), style: 'number' }] },
      {
        stack: [
          own(l.title || say('untitled'), 'shot'),
          own(about.join(' · '), 'quiet'),
          { text: figures(whole, l) },
          own(settingsOf(l, whole.voice)),
          ...(shot.notes ? [own(shot.notes, 'quiet')] : []),
          { ...(pictures(whole, l) as object), margin: [0, 4, 0, 0] } as Content,
          {
            columnGap: 6,
            columns: [
              { width: 'auto', text: say('takesWanted', { n: l.takes }), style: 'label' },
              boxes(l.takes),
            ],
            margin: [0, 3, 0, 0],
          },
        ],
      },
    ],
  };
};

/** What is filmed from the ground at a location, with a box to tick. */
const groundEntries = ({ input, derived, voice }: Printed, locationId: string): Content[] => {
  const { say, write } = voice;
  const here = boardOf(derived, input.groundShots).places.flatMap((p) =>
    p.ground?.locationId === locationId ? [p] : [],
  );
  if (here.length === 0) return [];
  const row = (p: (typeof here)[number]): Content => ({
    columns: [
      { width: 22, ...(boxes(1) as object) } as Content,
      { width: '*', stack: [own(p.title || say('groundShot'))] },
      { width: 150, stack: [own(p.ground?.filmedBy ?? '', 'label')] },
      {
        width: 120,
        text: say('groundSeconds', { seconds: write(p.timelineS, 'seconds', 1), cut: p.cut }),
        style: 'label',
      },
    ],
    margin: [0, 2, 0, 2],
  });
  return [
    {
      unbreakable: true,
      stack: [{ text: say('fromTheGround'), style: 'label', margin: [0, 6, 0, 2] }, ...here.map(row)],
    },
  ];
};

/** The shot list on paper, by location in flying order, with boxes to tick; no shot is split over pages. */
export const shotList = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const lines = inFlyingOrder(shotLines(whole));
  const places = [...new Set(lines.map((l) => l.shot.facts.location.id))];
  return document(
    whole,
    whole.voice.say('shotList'),
    paper,
    places.flatMap((id): Content[] => {
      const here = lines.filter((l) => l.shot.facts.location.id === id);
      return [
        own(`${here[0]?.location ?? ''}, ${whole.voice.date(here[0]?.date ?? '')}`, 'heading'),
        ...here.map((l) => entry(whole, l)),
        ...groundEntries(whole, id),
      ];
    }),
  );
};

type Panel = ReturnType<typeof boardOf>['places'][number];

const whenInCut = (
  { say, write }: Voice,
  at: { readonly timelineS: number; readonly fromS: number },
): string => say('fromSecond', { seconds: write(at.timelineS, 'seconds'), from: write(at.fromS, 'seconds') });

const groundPanel = ({ voice }: Printed, place: Panel): Content => ({
  stack: [
    { margin: [0, 40, 0, 44], text: voice.say('fromTheGroundSmall'), style: 'quiet', alignment: 'center' },
    { text: [`${place.cut}  `, own(place.title) as never] },
    own(`${whenInCut(voice, place)} · ${place.ground?.filmedBy ?? ''}`, 'label'),
  ],
  margin: [0, 0, 0, 8],
});

const flownPanel = ({ voice }: Printed, l: ShotLine): Content => {
  const { say, phrase } = voice;
  const picture = frameDrawing(l.shot.facts, 0, 168);
  return {
    stack: [
      picture ? { svg: drawn(picture) } : { text: say('noPath'), style: 'quiet' },
      {
        margin: [0, 3, 0, 0],
        text: [
          `${l.cut}  `,
          { text: `${say('shotNumber', { n: l.number })}  `, bold: true },
          own(l.title) as never,
        ],
      },
      {
        text: `${whenInCut(voice, { timelineS: l.timelineS, fromS: l.cutFromS })} · ${phrase(l.move)}`,
        style: 'label',
      },
    ],
    margin: [0, 0, 0, 8],
  };
};

/** Pictures in the order of the cut with their seconds, four to a row. */
export const storyboard = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const lines = new Map(shotLines(whole).map((l) => [l.id, l]));
  const panels = boardOf(whole.derived, whole.input.groundShots).places.map((place): Content => {
    const l = lines.get(place.id);
    return l ? flownPanel(whole, l) : groundPanel(whole, place);
  });
  const rows: Content[][] = [];
  for (let i = 0; i < panels.length; i += 4)
    rows.push(Array.from({ length: 4 }, (_, k) => panels[i + k] ?? { text: '' }));
  return document(
    whole,
    whole.voice.say('storyboard'),
    paper,
    rows.length > 0
      ? [{ layout: 'noBorders', table: { widths: ['*', '*', '*', '*'], dontBreakRows: true, body: rows } }]
      : [],
    true,
  );
};
