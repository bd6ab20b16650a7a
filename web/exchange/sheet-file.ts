import { found, none, type Result } from '@core/units';
import Papa from 'papaparse';
import { decodeText } from './text-file';
import { tr } from './messages';

/** A table as it was read: headings, and lines of as many cells. */
export interface Sheet {
  readonly heads: readonly string[];
  readonly lines: readonly { readonly number: number; readonly cells: readonly string[] }[];
  /** What is wrong with a line before anybody looks at its cells, by its number in the file. */
  readonly broken: ReadonlyMap<number, string>;
}

/** Largest file taken for a table, bytes. */
const LARGEST = 20_000_000;
/** First bytes of every zip file, which a workbook is. */
const isWorkbook = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

const cellText = (cell: unknown): string => {
  if (cell === null || cell === undefined) return '';
  // A day in a workbook stands for itself, whatever the zone of this machine.
  if (cell instanceof Date) return cell.toISOString().slice(0, 10);
  return String(cell as string | number | boolean).trim();
};

const sheetOf = (
  rows: readonly (readonly string[])[],
  faults: ReadonlyMap<number, string>,
): Result<Sheet> => {
  const first = rows.findIndex((row) => row.some((c) => c.trim() !== ''));
  const heads = (rows[first] ?? []).map((h) => h.trim());
  // Spreadsheets leave empty columns at the end.
  while (heads.length > 0 && heads.at(-1) === '') heads.pop();
  if (heads.length === 0) return none(tr('itIsNoTableWith'));
  const broken = new Map(faults);
  const lines = rows.slice(first + 1).flatMap((row, i) => {
    const number = first + i + 2;
    if (row.every((c) => c.trim() === '')) return [];
    if (row.slice(heads.length).some((c) => c.trim() !== ''))
      broken.set(number, tr('moreCellsThanHeadings', { cells: row.length, heads: heads.length }));
    return [{ number, cells: heads.map((_, k) => row[k] ?? '') }];
  });
  return found({ heads, lines, broken });
};

/** Reads the text of a table, whatever separates its columns. */
export const fromText = (text: string): Result<Sheet> => {
  const named = /^sep=(.)\r?\n/i.exec(text);
  const parsed = Papa.parse<string[]>(text.slice(named?.[0].length ?? 0), {
    delimiter: named?.[1] ?? '',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const faults = new Map(
    parsed.errors.flatMap((e) =>
      e.row === undefined || e.type === 'Delimiter' ? [] : [[e.row + 1, e.message] as const],
    ),
  );
  return sheetOf(parsed.data, faults);
};

/** Reads a table as programs write it: CSV with any usual separator and encoding, or the first sheet of a workbook (XLSX). */
export const readSheet = async (file: Blob): Promise<Result<Sheet>> => {
  if (file.size > LARGEST) return none(tr('tableIsTooLarge', { megabytes: Math.round(file.size / 1e6) }));
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (!isWorkbook(bytes)) return fromText(decodeText(bytes));
  try {
    const { default: readXlsxFile } = await import('read-excel-file/web-worker');
    const rows = await readXlsxFile(new Blob([bytes]));
    return sheetOf(
      rows.map((row) => row.map(cellText)),
      new Map(),
    );
  } catch (error) {
    return none(tr('workbookCannotBeRead', { why: error instanceof Error ? error.message : String(error) }));
  }
};
