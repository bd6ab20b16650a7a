import { SKIES, type HourWeather, type Sky } from '@core/model';
import { found, none, type Result } from '@core/units';
import Papa from 'papaparse';
import { tr } from './messages';

/** Headings a column of weather may have, in lower case. */
const HEADINGS: Readonly<Record<keyof HourWeather, readonly string[]>> = {
  at: ['at', 'time', 'hour'],
  windMs: ['windms', 'wind', 'wind m/s'],
  gustMs: ['gustms', 'gust', 'gusts', 'gusts m/s'],
  windFromDeg: ['windfromdeg', 'from', 'direction', 'wind from'],
  temperatureC: ['temperaturec', 'temperature', 'temp'],
  sky: ['sky', 'cloud'],
  visibilityM: ['visibilitym', 'visibility'],
  sure: ['sure', 'certainty'],
};
/** What holds where a column is missing; a file says at least when, and how the wind is. */
const USUAL = { windFromDeg: 270, temperatureC: 15, sky: 'clear', visibilityM: 10_000, sure: 0.8 } as const;

type Row = Readonly<Record<string, unknown>>;

const cellOf = (row: Row, field: keyof HourWeather): unknown => {
  const key = Object.keys(row).find((k) => HEADINGS[field].includes(k.trim().toLowerCase()));
  const value = key === undefined ? undefined : row[key];
  return typeof value === 'string' ? value.trim() : value;
};

const numberOf = (value: unknown): number => {
  if (typeof value === 'number') return value;
  return typeof value === 'string' && value !== ''
    ? Number(value.replace(',', '.').replace(/\s*%$/, ''))
    : NaN;
};

const clockOf = (value: unknown): string | null => {
  const match = /^(?:\d{4}-\d\d-\d\dT)?(\d{1,2})(?::([0-5]\d))?/.exec(String(value ?? ''));
  const hour = Number(match?.[1] ?? NaN);
  return hour >= 0 && hour < 24 ? `${String(hour).padStart(2, '0')}:${match?.[2] ?? '00'}` : null;
};

const isSky = (value: unknown): value is Sky => (SKIES as readonly unknown[]).includes(value);

const hourOf = (row: Row, line: number): Result<HourWeather> => {
  const at = clockOf(cellOf(row, 'at'));
  if (at === null) return none(tr('rowLineHasNoTime', { line }));
  const numbers = { windMs: 0, gustMs: 0, windFromDeg: 0, temperatureC: 0, visibilityM: 0, sure: 0 };
  for (const field of Object.keys(numbers) as (keyof typeof numbers)[]) {
    const cell = cellOf(row, field);
    const missing = cell === undefined || cell === '';
    const usual = field in USUAL ? USUAL[field as keyof typeof USUAL & typeof field] : undefined;
    const value = missing && usual !== undefined ? Number(usual) : numberOf(cell);
    if (Number.isNaN(value)) return none(tr('rowLineAtFieldIs', { line, at, field }));
    numbers[field] = value;
  }
  // A share written in percent.
  if (numbers.sure > 1) numbers.sure /= 100;
  const sky = cellOf(row, 'sky') || USUAL.sky;
  if (!isSky(sky)) return none(tr('rowLineAtTheSky', { line, at, SKIES: SKIES.join(', ') }));
  return found({ at, sky, ...numbers });
};

/** Rows of a JSON list or of a table with headings. */
const rowsOf = (text: string): readonly Row[] => {
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  if (trimmed.startsWith('[') || trimmed.startsWith('{')) {
    const value: unknown = JSON.parse(trimmed);
    const list = Array.isArray(value) ? value : (value as Row)['hours'];
    return Array.isArray(list) ? list.filter((r): r is Row => typeof r === 'object' && r !== null) : [];
  }
  return Papa.parse<Row>(trimmed, { header: true, skipEmptyLines: 'greedy' }).data;
};

/** Weather by the hour out of a file: JSON or a table, metric. @returns the first thing wrong with it, with its row */
export const readHours = (text: string): Result<HourWeather[]> => {
  let rows: readonly Row[];
  try {
    rows = rowsOf(text);
  } catch {
    return none(tr('thisIsNeitherReadableJSON'));
  }
  if (rows.length === 0) return none(tr('thereIsNoRowIn'));
  const hours: HourWeather[] = [];
  for (const [i, row] of rows.entries()) {
    const hour = hourOf(row, i + 1);
    if (!hour.ok) return hour;
    hours.push(hour.value);
  }
  return found(hours);
};
