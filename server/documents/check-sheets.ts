import { contextOf, sheetsOf, type SheetLine } from '@core/checks';
import type { Handover } from '@core/handover';
import { createFormatter, EN, type Formatter } from '@core/messages';
import type { CheckMoment } from '@core/model';
import { dayText } from '@core/time';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';

const MOMENTS: Readonly<Record<CheckMoment, string>> = {
  'days-before': 'Days before',
  'evening-before': 'The evening before',
  'leaving-home': 'Leaving home',
  'launch-point': 'At the launch point',
  'before-take': 'Before every take',
  'after-landing': 'After landing',
  'leaving-place': 'Leaving the location',
  'at-home': 'At home',
};
/** What stands in the box: told apart by its mark, not by a colour. */
const MARKS: Readonly<Record<SheetLine['status'], string>> = {
  passed: 'Pass',
  care: 'Note',
  failed: 'FAIL',
  waived: 'Waived',
  open: '',
};

const box = (line: SheetLine): Content => ({
  table: {
    widths: [30],
    heights: 12,
    body: [
      [{ text: MARKS[line.status], bold: line.status === 'failed', alignment: 'center', fontSize: 7.5 }],
    ],
  },
  // Worked out is drawn thin, what a person is asked with a heavy frame.
  layout: { hLineWidth: () => (line.result ? 0.4 : 1.2), vLineWidth: () => (line.result ? 0.4 : 1.2) },
});

const rowOf = (line: SheetLine, { text }: Formatter): Content[] => [
  box(line),
  {
    stack: [
      { text: [own(text(line.prompt))], bold: true },
      ...(line.result ? [own(text(line.result.say))] : []),
      ...(line.answer?.reason ? [own(`Waived: ${line.answer.reason}`)] : []),
    ],
  },
  own(text(line.protects), 'quiet'),
];

/** The sheets of each location, a page a location: what works itself out as it stood when printed, what is asked with an empty box. */
export const checkSheets = (whole: Handover, paper: Paper, atMs: number): TDocumentDefinitions => {
  const { input, derived } = whole;
  const formatter = createFormatter(EN, 'en', input.film.units);
  const content = [...derived.places.keys()].flatMap((locationId, n): Content[] => {
    const context = contextOf(input, derived, { locationId, site: null, nowMs: atMs });
    if (!context) return [];
    const { location } = context.place;
    return [
      {
        text: [own(location.name)],
        style: 'heading',
        ...(n > 0 ? { pageBreak: 'before' as const } : {}),
      },
      { text: dayText(location.date), style: 'quiet' },
      ...sheetsOf(context)
        .filter(({ lines }) => lines.length > 0)
        .flatMap(({ moment, lines }): Content[] => [
          { text: MOMENTS[moment], style: 'heading' },
          {
            table: {
              dontBreakRows: true,
              widths: [40, '*', 150],
              body: lines.map((line) => rowOf(line, formatter)),
            },
            layout: 'lightHorizontalLines',
          },
        ]),
    ];
  });
  return document(input.film.name, 'Check sheets', paper, [
    {
      text: 'Thin boxes were worked out when this was printed, heavy boxes are looked at on location. What was found on the site map is not on paper: look at it there. Check the local rules; nothing here says that a flight is legal or safe.',
      style: 'quiet',
      margin: [0, 0, 0, 6],
    },
    ...content,
  ]);
};
