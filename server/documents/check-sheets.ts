import { contextOf, sheetsOf, type SheetLine } from '@core/checks';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';
import type { PaperText, Voice } from './voice';

/** What stands in the box: told apart by its mark, not by a colour. */
const MARKS: Readonly<Record<SheetLine['status'], PaperText | null>> = {
  passed: 'statusPassed',
  care: 'statusNote',
  failed: 'statusFailed',
  waived: 'statusWaived',
  open: null,
};

const markOf = ({ say }: Voice, line: SheetLine): string => {
  const key = MARKS[line.status];
  return key === null ? '' : say(key);
};

const box = (voice: Voice, line: SheetLine): Content => ({
  table: {
    widths: [40],
    heights: 12,
    body: [
      [{ text: markOf(voice, line), bold: line.status === 'failed', alignment: 'center', fontSize: 7.5 }],
    ],
  },
  // Worked out is drawn thin, what a person is asked with a heavy frame.
  layout: { hLineWidth: () => (line.result ? 0.4 : 1.2), vLineWidth: () => (line.result ? 0.4 : 1.2) },
});

const rowOf = (line: SheetLine, voice: Voice): Content[] => [
  box(voice, line),
  {
    stack: [
      { text: [own(voice.text(line.prompt))], bold: true },
      ...(line.result ? [own(voice.text(line.result.say))] : []),
      ...(line.answer?.reason ? [own(voice.say('waivedBecause', { reason: line.answer.reason }))] : []),
    ],
  },
  own(voice.text(line.protects), 'quiet'),
];

/** The sheets of each location, a page a location: what works itself out as it stood when printed, what is asked with an empty box. */
export const checkSheets = (whole: Printed, paper: Paper, atMs: number): TDocumentDefinitions => {
  const { input, derived, voice } = whole;
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
      { text: voice.date(location.date), style: 'quiet' },
      ...sheetsOf(context)
        .filter(({ lines }) => lines.length > 0)
        .map(({ moment, lines }): Content => ({
          table: {
            dontBreakRows: true,
            // The moment stands over its lines, again on each page they go on to, and never alone.
            headerRows: 1,
            keepWithHeaderRows: 1,
            widths: [50, '*', 150],
            body: [
              [{ text: voice.choice('moment', moment), style: 'heading', colSpan: 3 }, '', ''],
              ...lines.map((line) => rowOf(line, voice)),
            ],
          },
          layout: 'lightHorizontalLines',
        })),
    ];
  });
  return document(whole, voice.say('checkSheets'), paper, [
    {
      text: voice.say('checksIntro'),
      style: 'quiet',
      margin: [0, 0, 0, 6],
    },
    ...content,
  ]);
};
