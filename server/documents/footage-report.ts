import { inCutOrder, shotLines, type Handover, type ShotLine } from '@core/handover';
import type { Take } from '@core/model';
import { clockText, dateIn, dayText } from '@core/time';
import { counted } from '@core/units';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';

const takeRow = (take: Take, line: ShotLine, { input }: Handover): Content[] => [
  take.clip ? own(take.clip) : { text: 'no clip name', style: 'quiet' },
  `${dayText(dateIn(take.utcMs, line.zone))} ${clockText(take.utcMs, line.zone)}`,
  [
    take.rating,
    ...(take.reason ? [take.reason.replaceAll('-', ' ')] : []),
    ...(take.reversed ? ['reversed'] : []),
  ].join(', '),
  own(input.kit.cards.find((c) => c.id === take.cardId)?.name ?? '–'),
  own(take.notes),
];

const shotOf = (line: ShotLine, whole: Handover): Content => ({
  margin: [0, 8, 0, 0],
  stack: [
    { text: [{ text: `${line.cut}  `, style: 'number' }, own(line.title || 'untitled', 'shot')] },
    {
      text: [
        `Shot ${line.number}, ${line.timelineS.toFixed(1)} s in the cut, ${line.usage}. `,
        own(`${line.location}, ${line.camera} ${line.resolution} ${line.captureFps ?? '–'} fps`),
      ],
      style: 'quiet',
    },
    line.flown.length === 0
      ? { text: 'No take is noted.', bold: true }
      : {
          table: {
            dontBreakRows: true,
            widths: [110, 105, 90, 60, '*'],
            body: line.flown.map((take) => takeRow(take, line, whole)),
          },
          layout: 'lightHorizontalLines',
        },
  ],
});

/** What an editor gets with the footage: every shot in the order of the cut with its takes, clips and notes. */
export const footageReport = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const lines = inCutOrder(shotLines(whole));
  const covered = lines.filter((l) => l.flown.some((t) => t.rating === 'good')).length;
  return document(whole.input.film.name, 'Footage report', paper, [
    { text: `${covered} of ${counted(lines.length, 'shot')} have a good take.`, margin: [0, 0, 0, 4] },
    ...lines.map((line) => shotOf(line, whole)),
  ]);
};
