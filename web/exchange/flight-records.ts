import type { FlightRecord, RecordPoint } from '@core/flight-record';
import { localToUtc } from '@core/time';
import { found, none, type Result } from '@core/units';
import GPX from 'ol/format/GPX.js';
import { LineString, MultiLineString } from 'ol/geom.js';
import Papa from 'papaparse';
import { numberIn } from './cell-number';
import { tr } from './messages';

/** What a column of a flight record can be. */
export const RECORD_FIELDS = ['time', 'latitude', 'longitude', 'height', 'share'] as const;
export type RecordField = (typeof RECORD_FIELDS)[number];
/** Heading of the column each figure stands in; null where the table has none. */
export type RecordColumns = Readonly<Record<RecordField, string | null>>;

/** A table of a flight as it was read, before anybody knows what its columns are. */
export interface RecordTable {
  readonly headings: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
}

/** Largest file read, characters. */
const MOST_TEXT = 60_000_000;
const FOOT_M = 0.3048;
const USUAL: Readonly<Record<RecordField, RegExp>> = {
  time: /^(utc|date.?time|datetime|timestamp|time)/i,
  latitude: /^"?\s*lat/i,
  longitude: /^"?\s*(lon|lng)/i,
  height: /height|altitude|^alt|elevation/i,
  share: /batt|charge|percent/i,
};

/** Which columns a table most likely has, by their headings. */
export const guessColumns = (headings: readonly string[]): RecordColumns => {
  const of = (field: RecordField): string | null => headings.find((h) => USUAL[field].test(h.trim())) ?? null;
  return {
    time: of('time'),
    latitude: of('latitude'),
    longitude: of('longitude'),
    height: of('height'),
    share: of('share'),
  };
};

const figureIn = (text: string | undefined): number => numberIn(text ?? '', true);

const STAMP = /^(\d{4})-(\d\d)-(\d\d)[ T](\d\d):(\d\d)(?::(\d\d(?:\.\d+)?))?\s*(Z|[+-]\d\d:?\d\d)?$/i;

/** An instant as tables write it: ISO, or seconds or milliseconds since 1970; without a zone it is the clock of the location. */
const instantIn = (text: string, zone: string): number => {
  const value = figureIn(text);
  if (Number.isFinite(value)) return value > 1e11 ? value : value > 1e8 ? value * 1000 : NaN;
  const parts = STAMP.exec(text.trim());
  if (!parts) return NaN;
  const [, y, m, d, hour = '0', minute = '0', second = '0', offset] = parts;
  if (offset) return Date.parse(`${y}-${m}-${d}T${hour}:${minute}:${second.padStart(2, '0')}${offset}`);
  return localToUtc(`${y}-${m}-${d}`, Number(hour) * 60 + Number(minute), zone) + Number(second) * 1000;
};

/** Heights over the first one: some tell them above the sea, some above the place of take-off. */
const overFirst = (points: readonly RecordPoint[]): RecordPoint[] => {
  const first = points.find((p) => p.heightM !== null)?.heightM ?? 0;
  return points.map((p) => (p.heightM === null ? p : { ...p, heightM: p.heightM - first }));
};

const ordered = (points: readonly RecordPoint[]): Result<FlightRecord> =>
  points.length < 2
    ? none(tr('noPointsWithPlaceAnd'))
    : found({ points: overFirst([...points].sort((a, b) => a.utcMs - b.utcMs)) });

/** Reads a table, whatever its separator; its first line are its headings. */
export const readTable = (text: string): Result<RecordTable> => {
  if (text.length > MOST_TEXT) return none(tr('theFileIsTooLarge'));
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff?(sep=.\r?\n)?/i, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const headings = meta.fields?.filter((h) => h.trim() !== '') ?? [];
  return headings.length > 1 && data.length > 0
    ? found({ headings, rows: data })
    : none(tr('itIsNoTableWith'));
};

/** A flight from a table. @param zone of the location, for times that name none */
export const recordFromTable = (
  { rows }: RecordTable,
  columns: RecordColumns,
  zone: string,
): Result<FlightRecord> => {
  const { time, latitude, longitude, height, share } = columns;
  if (time === null || latitude === null || longitude === null) return none(tr('sayWhichColumnsHoldTime'));
  const feet = height !== null && /\b(ft|feet)\b|\[ft\]/i.test(height);
  const points = rows.flatMap((row): RecordPoint[] => {
    const utcMs = instantIn(row[time] ?? '', zone);
    const [lat, lon] = [figureIn(row[latitude]), figureIn(row[longitude])];
    // 0, 0 is what is written while no satellite is found.
    if (
      !Number.isFinite(utcMs) ||
      !(Math.abs(lat) <= 90) ||
      !(Math.abs(lon) <= 180) ||
      (lat === 0 && lon === 0)
    )
      return [];
    const up = height === null ? NaN : figureIn(row[height]);
    const charge = share === null ? NaN : figureIn(row[share]);
    return [
      {
        utcMs,
        latitude: lat,
        longitude: lon,
        heightM: Number.isFinite(up) ? up * (feet ? FOOT_M : 1) : null,
        share: Number.isFinite(charge) ? charge : null,
      },
    ];
  });
  const most = points.reduce((m, p) => Math.max(m, p.share ?? 0), 0);
  return ordered(
    points.map((p) =>
      p.share === null ? p : { ...p, share: Math.min(1, most > 1 ? p.share / 100 : p.share) },
    ),
  );
};

/** A flight from a GPX track; its heights are those above the sea. */
export const recordFromGpx = (text: string): Result<FlightRecord> => {
  if (text.length > MOST_TEXT) return none(tr('theFileIsTooLarge'));
  const points = new GPX().readFeatures(text).flatMap((f): RecordPoint[] => {
    const g = f.getGeometry();
    const lines = g instanceof MultiLineString ? g.getLineStrings() : g instanceof LineString ? [g] : [];
    return lines.flatMap((line) => {
      const layout = line.getLayout();
      const timeAt = layout === 'XYZM' ? 3 : layout === 'XYM' ? 2 : -1;
      return line.getCoordinates().flatMap((c): RecordPoint[] => {
        const [longitude, latitude, up] = c;
        const seconds = c[timeAt];
        return longitude !== undefined && latitude !== undefined && seconds !== undefined && seconds > 0
          ? [
              {
                utcMs: seconds * 1000,
                latitude,
                longitude,
                heightM: layout === 'XYZM' ? (up ?? null) : null,
                share: null,
              },
            ]
          : [];
      });
    });
  });
  return ordered(points);
};

/** A GPX file by its content. */
export const isGpx = (text: string): boolean => /<gpx[\s>]/i.test(text.slice(0, 4000));
