import { describe, expect, it } from 'vitest';
import { normal } from '../units';
import { withPackMore, withTakeLess } from './chances';
import { CERTAIN } from './fixtures';
import { simulate } from './simulate';
import type { RiskDay, RiskFlight, RiskShot } from './types';

/** Quarters and halves, so that sums are exact. */
const shot = (id: string, more: Partial<RiskShot> = {}): RiskShot => ({
  id,
  must: false,
  takes: 1,
  keeperRate: 1,
  legS: 10,
  legWh: 0.25,
  setupS: 30,
  setupWh: 0.5,
  setUpShare: 1,
  takeS: 20,
  takeWh: 0.5,
  betweenS: 10,
  betweenWh: 0.25,
  homeS: 30,
  homeWh: 0.75,
  latestS: 9999,
  ...more,
});
const flight = (stops: RiskShot[], more: Partial<RiskFlight> = {}): RiskFlight => ({
  crew: '',
  kind: 'A',
  usableWh: 30,
  heldWh: 40,
  launchS: 0,
  takeoffS: 30,
  takeoffWh: 0.5,
  stops,
  ...more,
});
const day = (flights: RiskFlight[], more: Partial<RiskDay> = {}): RiskDay => ({
  flights,
  spares: [],
  unplanned: [],
  ...CERTAIN,
  meanW: 60,
  ...more,
});
const spare = { kind: 'A', usableWh: 10, heldWh: 20, takeoffS: 30, takeoffWh: 0.5 };
/** Dice that always fall the same way. */
const always = (value: number) => () => value;
const thrown = (d: RiskDay, random = always(0.5), runs = 1) => simulate(d, runs, random);
const missed = (d: RiskDay, random = always(0.5)): string[] => thrown(d, random).missing.map((m) => m.id);

describe('a day of chances, by hand', () => {
  it('takes the energy of take-off, way, set-up, take and way home, and what is to spare counts', () => {
    // 0.5 + 0.25 + 0.5 + 0.5 + 0.75 of 30 Wh; at 60 W a minute is a Wh.
    expect(thrown(day([flight([shot('a')])])).minutesLeft.p50).toBeCloseTo(27.5, 9);
    expect(thrown(day([flight([shot('a')])], { spares: [spare, spare] })).minutesLeft.p50).toBeCloseTo(
      47.5,
      9,
    );
    expect(thrown(day([flight([shot('a')])], { meanW: 0 })).minutesLeft.p50).toBe(0);
  });
  it('spreads pack, air and set-up each by its own throw', () => {
    const z = normal(always(0.5));
    const left = (more: Partial<RiskDay>) => thrown(day([flight([shot('a')])], more));
    expect(left({ airSpread: 0.1 }).minutesLeft.p50).toBeCloseTo(30 - 2.5 * Math.exp(0.1 * z), 9);
    expect(left({ packSpread: 0.1 }).minutesLeft.p50).toBeCloseTo(30 + 40 * (Math.exp(0.1 * z) - 1) - 2.5, 9);
    const set = Math.exp(0.3 * z);
    expect(left({ setupSpread: 0.3 }).minutesLeft.p50).toBeCloseTo(30 - 2 - 0.5 * set, 9);
    expect(left({ setupSpread: 0.3 }).minutes.p50).toBeCloseTo((30 + 10 + 30 * set + 20 + 30) / 60, 9);
  });
  it('tries a shot as often as it has takes, a must twice as often, each way between counted', () => {
    const tried = (more: Partial<RiskShot>) => {
      const { minutes, minutesLeft } = thrown(day([flight([shot('a', { keeperRate: 0, ...more })])]));
      return [minutes.p50 * 60, 30 - minutesLeft.p50].map((x) => Number(x.toFixed(6)));
    };
    expect(tried({ takes: 3 })).toEqual([
      30 + 10 + 30 + 3 * 20 + 2 * 10 + 30,
      0.5 + 0.75 + 3 * 0.5 + 2 * 0.25 + 0.75,
    ]);
    expect(tried({ takes: 3, must: true })).toEqual([100 + 6 * 20 + 5 * 10, 2 + 6 * 0.5 + 5 * 0.25]);
    expect(tried({ takes: 0 })).toEqual([100 + 20, 2.5]);
  });
  it('keeps a take whose throw is under the rate, not one that is on it', () => {
    expect(missed(day([flight([shot('a', { keeperRate: 0.5 })])]), always(0.5))).toEqual(['a']);
    expect(missed(day([flight([shot('a', { keeperRate: 0.5 })])]), always(0.49))).toEqual([]);
  });
  it('flies down to the reserve and not below, at the first take as at the next', () => {
    const first = (usableWh: number) => missed(day([flight([shot('a')], { usableWh })]));
    expect([first(2.5), first(2.25)]).toEqual([[], ['a']]);
    // With the second take 0.25 between and 0.5 more.
    const next = (usableWh: number) =>
      thrown(day([flight([shot('a', { takes: 2, keeperRate: 0 })], { usableWh })])).minutes.p50 * 60;
    expect([next(3.25), next(3)]).toEqual([150, 130]);
  });
  it('flies on while light lasts, at the first take as at the next', () => {
    const first = (latestS: number) => missed(day([flight([shot('a', { latestS })])]));
    expect([first(90), first(89)]).toEqual([[], ['a']]);
    const next = (latestS: number) =>
      thrown(day([flight([shot('a', { takes: 2, keeperRate: 0, latestS })])])).minutes.p50 * 60;
    expect([next(120), next(119)]).toEqual([150, 130]);
  });
  it('comes home from the last shot it flew', () => {
    const far = shot('far', { homeS: 60, homeWh: 1.5, latestS: 0 });
    const home = (stops: RiskShot[]) => thrown(day([flight(stops)])).minutes.p50 * 60;
    expect(home([shot('a'), far])).toBe(30 + 60 + 30);
    expect(home([shot('a'), { ...far, latestS: 9999 }])).toBe(30 + 120 + 60);
    expect(home([far])).toBe(30);
  });
  it('begins a flight when it was to begin, or when its crew has landed and changed the pack', () => {
    // The first lands after 120 s; with 180 s to change the second can take at 300 + 90.
    const second = (latestS: number, more: Partial<RiskFlight> = {}) =>
      missed(day([flight([shot('a')]), flight([shot('b', { latestS })], more)]));
    expect([second(390), second(389)]).toEqual([[], ['b']]);
    expect([second(1090, { launchS: 1000 }), second(1089, { launchS: 1000 })]).toEqual([[], ['b']]);
    expect(second(90, { crew: 'other' })).toEqual([]);
  });
});

describe('what was missed', () => {
  const lost = (id: string, more: Partial<RiskShot> = {}) => shot(id, { keeperRate: 0, ...more });
  it('flies on a spare of its aircraft, musts first, as far as that carries', () => {
    // Everything is missed at first for want of energy; a spare carries one shot.
    const d = day([flight([shot('could'), shot('must', { must: true })], { usableWh: 1 })], {
      spares: [{ ...spare, usableWh: 2.5 }],
    });
    expect(missed(d)).toEqual(['could']);
    expect(thrown(d).flights.p50).toBe(2);
    expect(missed({ ...d, spares: [{ ...spare, kind: 'B' }] })).toEqual(['must', 'could']);
    expect(thrown({ ...d, spares: [{ ...spare, kind: 'B', usableWh: 7 }] }).minutesLeft.p50).toBeCloseTo(
      7.5,
      9,
    );
    // What is left waits for the next one.
    const two = {
      ...d,
      spares: [
        { ...spare, usableWh: 2.5 },
        { ...spare, usableWh: 2.5 },
      ],
    };
    expect(missed(two)).toEqual([]);
    expect(thrown(two).flights.p50).toBe(3);
  });
  it('is given up where a spare brought none of it, or its light is gone', () => {
    const d = day([flight([lost('a'), lost('b')])], { spares: [spare, spare, spare] });
    expect(thrown(d).flights.p50).toBe(2);
    expect(missed(d)).toEqual(['a', 'b']);
    // The flight lands after 30 + 2 x 60 + 30 s, the pack is changed after 360.
    const light = (latestS: number) =>
      thrown(day([flight([lost('a', { latestS }), shot('b')])], { spares: [spare] })).flights.p50;
    expect([light(360), light(361)]).toEqual([1, 2]);
  });
  it('of two aircraft flies on the spares of each', () => {
    const d = day(
      [flight([shot('a')], { usableWh: 1 }), flight([shot('b')], { usableWh: 1, kind: 'B', crew: 'B' })],
      {
        spares: [spare, { ...spare, kind: 'B' }],
      },
    );
    expect(missed(d)).toEqual([]);
    expect(thrown(d).flights.p50).toBe(4);
    expect(missed({ ...d, spares: [spare, spare] })).toEqual(['b']);
  });
  it('nobody planned is missing in every run: a must takes the day, another only all of it', () => {
    const unplanned = (must: boolean) =>
      thrown(day([flight([shot('a', { keeperRate: 0, must: true })])], { unplanned: [{ id: 'z', must }] }));
    expect(unplanned(true).missing).toEqual([
      { id: 'a', must: true, chance: 1 },
      { id: 'z', must: true, chance: 1 },
    ]);
    expect(unplanned(false).missing.map((m) => [m.id, m.must])).toEqual([
      ['a', true],
      ['z', false],
    ]);
    const planned = day([flight([shot('a')])]);
    expect(thrown({ ...planned, unplanned: [{ id: 'z', must: false }] })).toMatchObject({
      allMusts: 1,
      all: 0,
    });
    expect(thrown({ ...planned, unplanned: [{ id: 'z', must: true }] })).toMatchObject({
      allMusts: 0,
      all: 0,
    });
  });
});

describe('what the runs come to', () => {
  it('is told in tenths of the runs, by bins of whole minutes, likeliest miss first', () => {
    // In run i of ten the take is kept at the i-th try, each with its way between a minute long.
    let [run, tries] = [0, 0];
    const falling = (): number => {
      tries += 1;
      if (tries <= run) return 1;
      [run, tries] = [run + 1, 0];
      return 0;
    };
    const slow = shot('a', { takes: 99, keeperRate: 0.5, takeS: 50, betweenS: 10, takeWh: 0, betweenWh: 0 });
    const answer = simulate(day([flight([slow])]), 10, falling);
    expect(answer.minutes).toEqual({ p10: 2.5 + 1, p50: 2.5 + 5, p90: 2.5 + 9 });
    expect(answer.histogram).toEqual(
      Array.from({ length: 10 }, (_, i) => ({ fromMin: 2 + i, toMin: 3 + i, runs: 1 })),
    );
    const long = simulate(day([flight([{ ...slow, takeS: 350 }])]), 10, falling);
    expect(long.histogram.length).toBeLessThanOrEqual(14);
    expect(new Set(long.histogram.map((b) => b.toMin - b.fromMin)).size).toBe(1);
    expect(long.histogram.reduce((sum, b) => sum + b.runs, 0)).toBe(10);
    expect(long.histogram[0]!.fromMin).toBe(Math.floor(long.minutes.p10 - 6));
    // Kept, lost, kept, lost: the rarer miss comes after the sure one, a must before both.
    let turn = 0;
    const turns = (): number => (turn += 1) % 2;
    const misses = simulate(
      day([flight([shot('never', { keeperRate: 0 })]), flight([shot('half', { keeperRate: 0.5 })])]),
      4,
      turns,
    ).missing;
    expect(misses[0]).toEqual({ id: 'never', must: false, chance: 1 });
  });
});

describe('what would help', () => {
  const d = day([
    flight([shot('a', { takes: 2, takeWh: 1 }), shot('b', { takes: 3, takeWh: 1, betweenWh: 1 })]),
    flight([shot('c', { takes: 1, takeWh: 9 })], {
      kind: 'B',
      usableWh: 12,
      heldWh: 20,
      takeoffS: 40,
      takeoffWh: 1,
    }),
    flight([shot('e')], { kind: 'B', usableWh: 14, heldWh: 22 }),
  ]);
  it('is a pack of the aircraft that misses most, as large as its largest', () => {
    const of = (id: string) => withPackMore(d, [{ id, must: true, chance: 1 }]).spares;
    expect(of('a')).toEqual([{ kind: 'A', usableWh: 30, heldWh: 40, takeoffS: 30, takeoffWh: 0.5 }]);
    expect(of('c')).toEqual([{ kind: 'B', usableWh: 14, heldWh: 22, takeoffS: 30, takeoffWh: 0.5 }]);
    expect(of('nobody')).toEqual(of('a'));
    expect(withPackMore({ ...d, spares: [spare] }, []).spares).toHaveLength(2);
    expect(withPackMore(day([]), [])).toEqual(day([]));
  });
  it('is a take less of what costs most a take, never of the only one', () => {
    const less = withTakeLess(d);
    expect(less?.id).toBe('b');
    expect(less?.day.flights[0]!.stops.map((s) => s.takes)).toEqual([2, 2]);
    expect(less?.day.flights.slice(1)).toEqual(d.flights.slice(1));
    expect(withTakeLess(day([flight([shot('a')])]))).toBeNull();
  });
});
