import { calendarEvents, HANDOVER_TABLES, type HandoverTable } from '@core/handover';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import Papa from 'papaparse';
import type { Printed } from './printed';
import writeXlsxFile, { type SheetData } from 'write-excel-file/node';

/** A table as CSV in UTF-8 with its mark, so that a spreadsheet reads the letters; what begins like a formula is made text. */
export const csvOf = (table: HandoverTable, whole: Printed): string =>
  `\ufeff${Papa.unparse(
    {
      fields: table.heads.map(whole.voice.phrase),
      data: table.rows(whole).map((r) => r.map((c) => c ?? '')),
    },
    // Its own rule looks at the first line of a cell alone.
    { escapeFormulae: /^[=+\-@\t\r]/ },
  )}\r\n`;

/** Every table as a sheet of one workbook. */
export const workbookOf = async (whole: Printed): Promise<Buffer> => {
  const sheets = HANDOVER_TABLES.map((table) => ({
    sheet: whole.voice.phrase(table.name).slice(0, 31),
    data: [
      table.heads.map((head) => ({ value: whole.voice.phrase(head), fontWeight: 'bold' as const })),
      ...table
        .rows(whole)
        .map((row) =>
          row.map((value) =>
            value === null || value === ''
              ? null
              : typeof value === 'number'
                ? { value, type: Number as NumberConstructor }
                : { value, type: String as StringConstructor },
          ),
        ),
    ] as SheetData,
  }));
  return writeXlsxFile(sheets).toBuffer();
};

/** Flights and locations as a calendar; the ids stay, so that bringing it in again updates. */
export const calendarOf = (whole: Printed, stampMs: number): string => {
  const { text, language } = whole.voice;
  const calendar = ical({
    name: whole.input.film.name,
    prodId: { company: 'Dusk Slate', product: 'Dusk Slate', language: language.toUpperCase() },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const e of calendarEvents(whole)) {
    const event = calendar.createEvent({
      id: e.uid,
      stamp: new Date(stampMs),
      start: new Date(e.startMs),
      end: new Date(e.endMs),
      summary: text(e.title),
      description: `${e.text}\n\n${e.zone}`.trim(),
      location: e.at
        ? { title: e.place, geo: { lat: e.at.latitude, lon: e.at.longitude } }
        : { title: e.place },
    });
    for (const r of e.reminders)
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: r.minutes * 60,
        description: text(r.say),
      });
  }
  return calendar.toString();
};
