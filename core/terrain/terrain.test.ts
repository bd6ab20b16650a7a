import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { vec } from '../geometry';
import { contoursOf } from './contours';
import { extentOf, heightIn, rangeOf, type HeightGrid } from './grid';
import { groundHides, profileOf, sunkM } from './line';
import { groundOf } from './ground';
import { hillshade, slopeAt } from './shade';
import { readAsciiGrid } from './ascii';
import { SEEN, seenBySteps, seenFrom } from './seen';
import { toLocalGrid } from './resample';
import { isPointList, readPointList } from './xyz';
import { numberIn } from '../testing';

/** A raster from a formula. */
const gridOf = (
  columns: number,
  rows: number,
  cellM: number,
  height: (x: number, y: number) => number,
): HeightGrid => {
  const [westM, southM] = [-((columns - 1) * cellM) / 2, -((rows - 1) * cellM) / 2];
  const heights = Float32Array.from({ length: columns * rows }, (_, i) =>
    height(westM + (i % columns) * cellM, southM + Math.floor(i / columns) * cellM),
  );
  return { columns, rows, cellM, westM, southM, heights };
};
const hills =
  (seed: number) =>
  (x: number, y: number): number =>
    700 + 18 * Math.sin(x / 40 + seed) * Math.cos(y / 55 - seed) + 9 * Math.sin((x + y) / 17 + 2 * seed);

describe('height grid', () => {
  it('gives back its own heights, and a plane exactly between them', () => {
    const plane = gridOf(9, 7, 10, (x, y) => 100 + 0.3 * x - 0.2 * y);
    fc.assert(
      fc.property(numberIn(-40, 40), numberIn(-30, 30), (x, y) => {
        expect(heightIn(plane, x, y)).toBeCloseTo(100 + 0.3 * x - 0.2 * y, 3);
      }),
    );
  });
  it('knows nothing off its edge and beside a hole', () => {
    const holed = gridOf(5, 5, 10, (x, y) => (x === 0 && y === 0 ? NaN : 50));
    expect([heightIn(holed, 25, 0), heightIn(holed, 3, 3), heightIn(holed, -15, -15)]).toEqual([
      NaN,
      NaN,
      50,
    ]);
    expect(rangeOf(holed)).toEqual({ lowM: 50, highM: 50, holes: 1 / 25 });
  });
  it('counts heights from its own ground at the origin, else from the elevation given', () => {
    expect(
      groundOf(
        gridOf(5, 5, 10, (x) => 700 + x),
        640,
      ).at(10, 0),
    ).toBeCloseTo(10, 4);
    const away = { ...gridOf(5, 5, 10, () => 700), westM: 100 };
    expect(groundOf(away, 640).at(120, 0)).toBeCloseTo(60, 4);
  });
});

describe('slope and shade', () => {
  it('finds the slope of a plane and lights the side that faces the light', () => {
    const west = gridOf(5, 5, 10, (x) => -x);
    expect(slopeAt((x, y) => heightIn(west, x, y), 0, 0, 10)).toBeCloseTo(45, 3);
    // Falls to the east: light from the east meets it, from the west passes over.
    expect(hillshade(west, 90, 45)[12]).toBeGreaterThan(hillshade(west, 270, 45)[12] ?? 1);
    expect(
      hillshade(
        gridOf(5, 5, 10, () => 3),
        315,
        45,
      )[12],
    ).toBeCloseTo(Math.SQRT1_2, 6);
  });
  it('draws contours where the ground has that height, and none along the edge', () => {
    const cone = gridOf(41, 41, 5, (x, y) => 200 - Math.hypot(x, y));
    const lines = contoursOf(cone, 20);
    const at160 = lines.find((c) => c.heightM === 160);
    expect(at160?.lines).toHaveLength(1);
    for (const [x, y] of at160?.lines[0] ?? []) expect(Math.hypot(x, y)).toBeCloseTo(40, 0);
    const { east } = extentOf(cone);
    const slope = contoursOf(
      gridOf(11, 11, 10, (x) => x),
      10,
    );
    for (const line of slope.flatMap((c) => c.lines))
      expect(line.every(([x]) => x > -east && x < east)).toBe(true);
  });
});

/** Straight and slow: every cell by itself, the line looked at in fine steps. */
const slowly = (
  grid: HeightGrid,
  eye: { x: number; y: number; z: number },
  targetM: number,
  column: number,
  row: number,
): boolean => {
  const [tx, ty] = [grid.westM + column * grid.cellM, grid.southM + row * grid.cellM];
  const run = Math.hypot(tx - eye.x, ty - eye.y);
  const parts = Math.ceil(run / (grid.cellM / 8));
  for (let i = 1; i < parts; i += 1) {
    const u = i / parts;
    if (run * u < grid.cellM * 0.55) continue;
    const ground = heightIn(grid, eye.x + (tx - eye.x) * u, eye.y + (ty - eye.y) * u) - sunkM(run * u);
    if (ground > eye.z + (targetM - sunkM(run) - eye.z) * u + 0.02) return false;
  }
  return true;
};

describe('seen area', () => {
  it.each([1, 2, 3, 4])('agrees with the slow direct way (hills %i)', (seed) => {
    const grid = gridOf(71, 61, 8, hills(seed));
    const eye = vec(11, -23, heightIn(grid, 11, -23) + 1.6);
    const targetM = 708 + seed * 3;
    const area = seenFrom(grid, 0, eye, targetM, 1e6);
    let [asked, other] = [0, 0];
    for (let row = 0; row < grid.rows; row += 1)
      for (let column = 0; column < grid.columns; column += 1) {
        const cell = area?.cells[row * grid.columns + column];
        const h = grid.heights[row * grid.columns + column] ?? NaN;
        if (h >= targetM) {
          expect(cell).toBe(SEEN.ground);
          continue;
        }
        asked += 1;
        if ((cell === SEEN.seen) !== slowly(grid, eye, targetM, column, row)) other += 1;
      }
    expect(asked).toBeGreaterThan(1000);
    expect(other / asked).toBeLessThan(0.01);
  });
  it('sees everything over level ground, as far as it reaches, and nothing from off the grid', () => {
    const flat = gridOf(41, 41, 10, () => 5);
    const area = seenFrom(flat, 5, vec(0, 0, 1.6), 40, 150);
    expect(area?.seenShare).toBe(1);
    expect(area?.cells[0]).toBe(SEEN.beyond);
    expect(seenFrom(flat, 5, vec(900, 0, 1.6), 40, 150)).toBeNull();
  });
  it('tells how far it is, never less than before, and comes to the same by steps', () => {
    const grid = gridOf(71, 61, 8, hills(3));
    const asked = [grid, 0, vec(11, -23, heightIn(grid, 11, -23) + 1.6), 717, 1e6] as const;
    const told: number[] = [];
    const steps = seenBySteps(...asked);
    let step = steps.next();
    for (; !step.done; step = steps.next()) told.push(step.value);
    expect(step.value).toEqual(seenFrom(...asked));
    expect(told.length).toBeGreaterThan(10);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(Math.min(...told)).toBe(0);
    expect(Math.max(...told)).toBeGreaterThan(0.9);
    expect(Math.max(...told)).toBeLessThan(1);
  });
  it('seen higher is never seen less', () => {
    const grid = gridOf(41, 41, 10, hills(5));
    const eye = vec(0, 0, heightIn(grid, 0, 0) + 1.6);
    const [low, high] = [seenFrom(grid, 0, eye, 730, 1e6), seenFrom(grid, 0, eye, 760, 1e6)];
    low?.cells.forEach((cell, i) => {
      if (cell === SEEN.seen) expect(high?.cells[i]).toBe(SEEN.seen);
    });
  });
});

describe('lines over the ground', () => {
  const ridge = groundOf(
    gridOf(81, 21, 5, (x) => (Math.abs(x + 40) < 6 ? 30 : 0)),
    0,
  );
  it('a ridge hides what is low behind it and not what is high', () => {
    expect(groundHides(ridge, vec(-100, 0, 1.6), vec(100, 0, 10))?.x).toBeLessThan(-30);
    expect(groundHides(ridge, vec(-100, 0, 1.6), vec(100, 0, 140))).toBeNull();
  });
  it('a profile runs from end to end with the places themselves in it', () => {
    const points = profileOf(ridge, [vec(-100, 0, 0), vec(0, 0, 0), vec(0, 40, 0)]);
    expect(points.at(-1)?.distanceM).toBeCloseTo(140, 6);
    expect(points.filter((p) => p.xM === 0 && p.yM === 0)).toHaveLength(1);
    expect(Math.max(...points.map((p) => p.groundM))).toBeCloseTo(30, 3);
  });
});

describe('rasters brought in', () => {
  const text = [
    'ncols 4',
    'nrows 3',
    'xllcorner 100',
    'yllcorner 200',
    'cellsize 10',
    'NODATA_value -9999',
    '1 2 3 4',
    '5 6 -9999 8',
    '9 10 11 12',
  ].join('\n');
  it('reads an ASCII grid from the north down', () => {
    const read = readAsciiGrid(text);
    if (!read.ok) throw new Error(read.reason.code);
    expect([...read.value.heights]).toEqual([9, 10, 11, 12, 5, 6, NaN, 8, 1, 2, 3, 4]);
    expect([read.value.west, read.value.south]).toEqual([105, 205]);
    expect(readAsciiGrid(text.replaceAll('\n', '\r\n'))).toEqual(read);
  });
  it.each([
    ['nonsense', 'hello', 'no-grid'],
    ['short', text.slice(0, -6), 'ends-early'],
    ['long', `${text} 13`, 'goes-on'],
    ['of words', text.replace('-9999 8', 'sea 8'), 'not-a-number'],
    ['placeless', text.replace(/xllcorner.*\n/, ''), 'no-corner'],
    ['huge', text.replace('ncols 4', 'ncols 9000000'), 'too-many'],
    ['cellless', text.replace('cellsize 10', 'cellsize 0'), 'no-cell'],
  ])('says what is wrong with a file that is %s', (_, bad, why) =>
    expect(readAsciiGrid(bad)).toMatchObject({ ok: false, reason: { code: `heights.${why}` } }),
  );
  it('takes a comma for a decimal comma between blanks, and for a separator without them', () => {
    const plain = readAsciiGrid(text.replace('5 6', '5.5 6.25'));
    expect(readAsciiGrid(text.replace('5 6', '5,5 6,25').replace('cellsize 10', 'cellsize 10,0'))).toEqual(
      plain,
    );
    const [head, body] = [text.slice(0, text.indexOf('1 2 3')), text.slice(text.indexOf('1 2 3'))];
    expect(readAsciiGrid(head + body.replaceAll(' ', ','))).toEqual(readAsciiGrid(text));
  });
  it('lays a list of points in any order on its raster, and leaves what is missing open', () => {
    const points = [
      [100, 200, 1],
      [110, 200, 2],
      [120, 200, 3],
      [100, 220, 7],
      [110, 220, 8],
      [120, 220, -9999],
      [100, 210, 4],
      [120, 210, 6],
    ];
    const list = `X;Y;Z\n${points.map((p) => p.join(';')).join('\r\n')}\n`;
    expect(isPointList(list)).toBe(true);
    expect(isPointList(text)).toBe(false);
    const read = readPointList(list);
    if (!read.ok) throw new Error(read.reason.code);
    expect(read.value).toMatchObject({ columns: 3, rows: 3, cellX: 10, cellY: 10, west: 100, south: 200 });
    expect([...read.value.heights]).toEqual([1, 2, 3, 4, NaN, 6, 7, 8, NaN]);
    const odd = readPointList(list.replace('110;220', '113;221'));
    expect(odd).toMatchObject({ ok: false, reason: { code: 'heights.not-regular' } });
    expect(readPointList(list.replace('110;220;8', 'a;b'))).toMatchObject({
      reason: { code: 'heights.not-a-point' },
    });
  });
  it('brings a raster to local metres, and refuses one of somewhere else', () => {
    const heights = Float32Array.from({ length: 2500 }, (_, i) => i % 50);
    const raw = { columns: 50, rows: 50, cellX: 10, cellY: 10, west: 1000, south: 2000, heights };
    const [to, from] = [
      (x: number, y: number) => [x - 1250, y - 2250] as const,
      (x: number, y: number) => [x + 1250, y + 2250] as const,
    ];
    const local = toLocalGrid(raw, to, from);
    if (!local.ok) throw new Error(local.reason.code);
    expect(heightIn(local.value, 0, 0)).toBeCloseTo(25, 3);
    expect(
      toLocalGrid(
        raw,
        (x, y) => [x, y],
        (x, y) => [x, y],
      ),
    ).toMatchObject({ ok: false, reason: { code: 'heights.elsewhere' } });
  });
});
