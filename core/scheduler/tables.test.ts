import { describe, expect, it } from 'vitest';
import { shot, turning, line } from './line-fixtures';
import { pastBreaks, settingOf, spanOf, stopsOf, tablesOf } from './tables';

describe('a problem made into tables', () => {
  it('a launch moves behind every break it would meet, and touches one without meeting it', () => {
    const breaks = [
      { earliestS: 100, latestS: 200 },
      { earliestS: 230, latestS: 300 },
    ];
    expect([0, 60, 61, 150, 170, 260, 300].map((s) => pastBreaks(s, 40, breaks))).toEqual([
      0, 60, 300, 300, 300, 300, 300,
    ]);
    expect(pastBreaks(150, 30, breaks)).toBe(200);
    expect(pastBreaks(150, 30, undefined)).toBe(150);
  });
  it('a filter narrows the window of a shot at both ends, and only its own', () => {
    const s = shot('a', 0, 0, {
      earliestS: 50,
      latestS: 400,
      windows: { 4: { earliestS: 80, latestS: 300 }, 8: { earliestS: 0, latestS: 900 } },
    });
    const told = (key: string | null) => {
      const { earliestS, latestS } = spanOf(s, key);
      return [earliestS, latestS];
    };
    expect([told('4'), told('8'), told('16'), told(null)]).toEqual([
      [80, 300],
      [50, 400],
      [50, 400],
      [50, 400],
    ]);
  });
  it('numbers ways through all shots, holds settings, orders and pins as bits', () => {
    const t = tablesOf(
      line(
        [
          turning('a', 10, 30, { settings: ['x', 'y'] }),
          shot('b', 50, 60, { settings: ['y'], packId: 'P1' }),
          shot('c', 70, 70, { settings: ['z'], packId: 'gone' }),
        ],
        [9, 12],
        {
          before: [
            ['a', 'c'],
            ['a', 'b'],
            ['c', 'nobody'],
          ],
        },
      ),
    );
    expect([t.waysOf, t.shotOf]).toEqual([
      [[0, 1], [2], [3]],
      [0, 0, 1, 2],
    ]);
    expect([t.settings, t.settingBits]).toEqual([
      ['x', 'y', 'z'],
      [0b011, 0b010, 0b100],
    ]);
    expect([t.afterBits, t.packOf, t.biggestPackWh]).toEqual([[0b110, 0, 0], [-1, 1, -1], 12]);
    expect([t.out[1]?.seconds, t.home[1]?.seconds, t.between[0]?.[2]?.seconds]).toEqual([30, 10, 20]);
    expect([settingOf(t, 0b110), settingOf(t, 0b100)]).toEqual(['y', 'z']);
    // Take-off 10, then 30 m to its far end, 30 s, from 10 to 50 m, begun at 110.
    expect(stopsOf(t, [1, 2], 1000)).toEqual([
      { shotId: 'a', reversed: true, startS: 1040 },
      { shotId: 'b', reversed: false, startS: 1110 },
    ]);
    expect(() =>
      tablesOf(line([shot('a', 0, 0, { settings: Array.from({ length: 31 }, (_, i) => `${i}`) })], [])),
    ).toThrow('31');
    expect(
      tablesOf(line([shot('a', 0, 0, { settings: Array.from({ length: 30 }, (_, i) => `${i}`) })], []))
        .settings,
    ).toHaveLength(30);
  });
});
