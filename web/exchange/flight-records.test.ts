// @vitest-environment jsdom
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordGpx, recordRows, type FlightRecord } from '@core/flight-record';
import { RecordRowSchema } from '@core/model';
import { newValidator } from '../../contract/validator';
import { recordCsv } from './record-csv';
import { guessColumns, isGpx, readTable, recordFromGpx, recordFromTable } from './flight-records';

const ZONE = 'Europe/Madrid';
const read = (text: string) => {
  const table = readTable(text);
  if (!table.ok) return table;
  return recordFromTable(table.value, guessColumns(table.value.headings), ZONE);
};
const points = (text: string) => {
  const record = read(text);
  if (!record.ok) throw new Error(record.reason);
  return record.value.points;
};

describe('a flight record as a table', () => {
  it('is read whatever its separator, its decimal mark, its way of writing time, height and charge', () => {
    const utcMs = Date.UTC(2027, 4, 14, 5, 7, 30);
    for (const [head, a, b] of [
      [
        'time,lat,lon,height_m,battery',
        '2027-05-14T05:07:30Z,43.18,-4.83,0,95',
        '2027-05-14T05:08:30Z,43.181,-4.83,20,90',
      ],
      [
        'Timestamp;Latitude;Longitude;Altitude (m);Charge %',
        '2027-05-14 07:07:30;43,18;-4,83;640,0;95 %',
        '2027-05-14 07:08:30;43,181;-4,83;660,0;90 %',
      ],
      [
        'utc_ms\tlat\tlng\talt [ft]\tbatt',
        `${utcMs}\t43.18\t-4.83\t100\t0.95`,
        `${utcMs + 60_000}\t43.181\t-4.83\t165.6168\t0.90`,
      ],
      [
        'datetime,latitude,longitude,elevation,percent',
        '2027-05-14T07:07:30+02:00,43.18,-4.83,5,95',
        '2027-05-14T07:08:30+0200,43.181,-4.83,25,90',
      ],
      [
        'timestamp,lat,lon,height,charge',
        `${utcMs / 1000},43.18,-4.83,0,95`,
        `${utcMs / 1000 + 60},43.181,-4.83,20,90`,
      ],
    ] as const) {
      const [first, last] = points(`\ufeff${head}\r\n${a}\r\n${b}\r\n\r\n`);
      expect([first!.utcMs, last!.utcMs], head).toEqual([utcMs, utcMs + 60_000]);
      expect([first!.latitude, first!.longitude, last!.latitude]).toEqual([43.18, -4.83, 43.181]);
      expect(first!.heightM).toBe(0);
      expect(last!.heightM).toBeCloseTo(20, 3);
      expect([first!.share, last!.share]).toEqual([0.95, 0.9]);
    }
  });
  it('leaves out lines without a place or a time, and says what is missing', () => {
    const text = [
      'time,lat,lon',
      '2027-05-14T05:07:30Z,0,0',
      'soon,43.18,-4.83',
      '2027-05-14T05:07:31Z,91,-4.83',
      '2027-05-14T05:07:33Z,43.18,-4.83',
      '2027-05-14T05:07:32Z,43.18,-4.83',
    ].join('\n');
    const left = points(text);
    expect(left.map((p) => p.utcMs / 1000 - Date.UTC(2027, 4, 14, 5, 7) / 1000)).toEqual([32, 33]);
    expect(left.map((p) => [p.heightM, p.share])).toEqual([
      [null, null],
      [null, null],
    ]);
    for (const [bad, why] of [
      ['', 'not a table'],
      ['one heading\n1', 'not a table'],
      ['a,b,c\n1,2,3', 'columns hold time'],
      ['time,lat,lon\n12,43,-4\n13,43,-4', 'No points'],
    ] as const) {
      const record = read(bad);
      expect(record.ok).toBe(false);
      if (!record.ok) expect(record.reason).toContain(why);
    }
  });
  it('never throws, whatever is in it', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        const record = read(`time,lat,lon,height\n${text}`);
        if (record.ok) for (const p of record.value.points) expect(Number.isFinite(p.utcMs)).toBe(true);
      }),
    );
  });
});

describe('a flight record as a track', () => {
  const gpx = (points0: string): string =>
    `<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points0}</trkseg></trk></gpx>`;
  it('has places, times and heights over its first', () => {
    const text = gpx(
      '<trkpt lat="43.18" lon="-4.83"><ele>640</ele><time>2027-05-14T05:07:30Z</time></trkpt>' +
        '<trkpt lat="43.181" lon="-4.83"><ele>662.5</ele><time>2027-05-14T05:08:30Z</time></trkpt>',
    );
    expect(isGpx(text)).toBe(true);
    const record = recordFromGpx(text);
    expect(record.ok && record.value.points.map((p) => [p.utcMs, p.latitude, p.heightM])).toEqual([
      [Date.UTC(2027, 4, 14, 5, 7, 30), 43.18, 0],
      [Date.UTC(2027, 4, 14, 5, 8, 30), 43.181, 22.5],
    ]);
  });
  it('without times is none', () => {
    const record = recordFromGpx(gpx('<trkpt lat="43" lon="-4"/><trkpt lat="43.1" lon="-4"/>'));
    expect(record.ok).toBe(false);
    expect(isGpx('time,lat,lon')).toBe(false);
  });
});

describe('a flight record that is written', () => {
  const record: FlightRecord = {
    points: Array.from({ length: 90 }, (_, i) => ({
      utcMs: Date.UTC(2027, 4, 14, 5, 7, i),
      latitude: 43.18 + i * 1.37e-6,
      longitude: -4.83 - i * 2.11e-6,
      heightM: i === 0 ? 0 : 12.3 + (i % 7),
      share: i % 11 === 0 ? null : Math.floor(95 - i / 4) / 100,
    })),
  };
  const near = (a: FlightRecord, what: readonly ('heightM' | 'share')[]) => {
    expect(a.points.length).toBe(90);
    for (const [i, p] of a.points.entries()) {
      const own = record.points[i]!;
      expect(p.utcMs).toBe(own.utcMs);
      expect(Math.abs(p.latitude - own.latitude)).toBeLessThan(1e-7);
      expect(Math.abs(p.longitude - own.longitude)).toBeLessThan(1e-7);
      for (const key of what)
        if (own[key] === null) expect(p[key]).toBeNull();
        else expect(p[key]).toBeCloseTo(own[key], 3);
    }
  };

  it('as a table comes back with its places, heights and charge, and holds to its published schema', () => {
    const validate = newValidator().compile(RecordRowSchema);
    for (const row of recordRows(record)) expect(validate(row), JSON.stringify(validate.errors)).toBe(true);
    const back = read(recordCsv(record));
    if (!back.ok) throw new Error(back.reason);
    near(back.value, ['heightM', 'share']);
    expect(recordCsv(record).split('\r\n')[0]).toBe('time,latitude,longitude,height_m,charge_percent');
  });

  it('as a track comes back with its places and heights, and no charge, read by a reader of maps', () => {
    const text = recordGpx(record, 'Flight 1 & "2" <late>', 640);
    expect(isGpx(text)).toBe(true);
    const back = recordFromGpx(text);
    if (!back.ok) throw new Error(back.reason);
    near(back.value, ['heightM']);
    expect(back.value.points.every((p) => p.share === null)).toBe(true);
    expect(text).toContain('<ele>640</ele>');
  });
});
