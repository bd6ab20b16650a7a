import { describe, expect, it } from 'vitest';
import { shot, turning, line } from './line-fixtures';
import { routeOf } from './route';
import { tablesOf } from './tables';

describe('a flight in a given order', () => {
  it('takes the quickest ways, and costs what adds up', () => {
    const t = tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [25.9]));
    // 10 + 10 m + 30 s + 10 m (30 → 40) + 30 s + 80 m home + 20 = 190 s; 1 + 1 + 3 + 1 + 3 + 8 + 2 = 19 Wh.
    const route = routeOf(t, [0, 1]);
    expect(route).toMatchObject({ shots: [0, 1], seconds: 190, wattHours: 19 });
    expect(t.waysOf[0]!.indexOf(route!.ways[0]!)).toBe(0);
    expect(routeOf(t, [0, 1], false, [1, 2])).toMatchObject({
      ways: [1, 2],
      seconds: 10 + 30 + 30 + 70 + 30 + 40 + 20,
    });
    expect(routeOf(t, [])).toBeNull();
    expect(routeOf(tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [18.9])), [0, 1])).toBeNull();
    expect(
      routeOf(tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [19])), [0, 1]),
    ).not.toBeNull();
  });
  it('launches so that no shot begins too early or ends too late, filter by filter', () => {
    const narrow = {
      x: { earliestS: 500, latestS: 560 },
      y: { earliestS: 0, latestS: 90 },
      z: { earliestS: 300, latestS: 5000 },
    };
    const shots = [
      shot('a', 10, 10, { settings: ['x', 'y', 'z'], windows: narrow }),
      shot('b', 20, 20, { settings: ['x', 'y', 'z'], latestS: 700 }),
    ];
    // a is begun 20 s after launch and done after 50; b is begun after 60 and done after 90.
    expect(routeOf(tablesOf(line(shots, [50])), [0, 1])?.spans).toEqual([
      { setting: 0, from: 480, to: 510 },
      { setting: 1, from: 0, to: 40 },
      { setting: 2, from: 280, to: 610 },
    ]);
    const early = [shots[0]!, { ...shots[1]!, earliestS: 640 }];
    expect(routeOf(tablesOf(line(early, [50])), [0, 1])?.spans).toEqual([{ setting: 2, from: 580, to: 610 }]);
    expect(routeOf(tablesOf(line([shots[0]!, { ...shots[1]!, latestS: 80 }], [50])), [0, 1])).toBeNull();
  });
  it('what a person fixed is flown whether it fits or not', () => {
    const t = tablesOf(
      line([shot('a', 10, 10, { settings: ['x'], latestS: 5 }), shot('b', 20, 20, { settings: ['y'] })], [3]),
    );
    expect(routeOf(t, [0, 1])).toBeNull();
    expect(routeOf(t, [0, 1], true)).toMatchObject({
      seconds: 130,
      wattHours: 13,
      spans: [{ setting: -1, from: 0, to: Infinity }],
    });
  });
});
