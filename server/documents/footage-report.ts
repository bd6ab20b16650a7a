import { inCutOrder, shotLines, type ShotLine } from '@core/handover';
import type { Take } from '@core/model';
import { dateIn } from '@core/time';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';
import type { Printed } from './printed';

const takeRow = (
  take: Take,
  line: ShotLine,
  { input, voice: { say, choice, date, clock } }: Printed,
): Content[] => [
  take.clip ? own(take.clip) : { text: say('noClip'), style: 'quiet' },
  `${date(dateIn(take.utcMs, line.zone))} ${clock(take.utcMs, line.zone)}`,
  [
    choice('rating', take.rating),
    ...(take.reason ? [choice('reason', take.reason)] : []),
    ...(take.reversed ? [say('reversed')] : []),
  ].join(', '),
  own(input.kit.cards.find((c) => c.id === take.cardId)?.name ?? '–'),
  own(take.notes),
];

const shotOf = (line: ShotLine, whole: Printed): Content => ({
  margin: [0, 8, 0, 0],
  stack: [
    {
      text: [
        { text: `${line.cut}  `, style: 'number' },
        own(line.title || whole.voice.say('untitled'), 'shot'),
      ],
    },
    {
      text: [
        `${whole.voice.say('footageOf', {
          number: line.number,
          seconds: whole.voice.write(line.timelineS, 'seconds', 1),
          usage: whole.voice.phrase(line.usage),
        })} `,
        own(
          `${line.location}, ${line.camera} ${line.resolution} ${whole.voice.say('fps', { fps: line.captureFps ?? '–' })}`,
        ) as never,
      ],
      style: 'quiet',
    },
    line.flown.length === 0
      ? { text: whole.voice.say('noTake'), bold: true }
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
export const footageReport = (whole: Printed, paper: Paper): TDocumentDefinitions => {
  const lines = inCutOrder(shotLines(whole));
  const covered = lines.filter((l) => l.flown.some((t) => t.rating === 'good')).length;
  return document(whole, whole.voice.say('footageReport'), paper, [
    { text: whole.voice.say('covered', { covered, n: lines.length }), margin: [0, 0, 0, 4] },
    ...lines.map((line) => shotOf(line, whole)),
  ]);
};
