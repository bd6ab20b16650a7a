import { describe, expect, it } from 'vitest';
import { faultsOfPlan } from './check';
import { planExactly } from './exact';
import { shot, line } from './line-fixtures';

describe('the best plan', () => {
  it('is worth most, then has fewest flights, then is shortest', () => {
    // 20 m out and back on the left, 30 m on the right: both in one flight 10 + 20 + 30 + 50 + 30 + 30 + 20 s and 19 Wh.
    const both = [shot('left', -20, -20), shot('right', 30, 30)];
    const one = planExactly(line(both, [19, 19])).plan;
    expect([one.flights.map((f) => f.stops.map((s) => s.shotId).sort()), one.airborneS]).toEqual([
      [['left', 'right']],
      190,
    ]);
    const small = planExactly(line(both, [18.9, 18.9])).plan;
    expect(small.flights.map((f) => [f.airborneS, f.stops.length])).toHaveLength(2);
    const worth = planExactly(line([both[0]!, { ...both[1]!, weight: 2 }], [12])).plan;
    expect([worth.flights[0]?.stops[0]?.shotId, worth.left, worth.weight]).toEqual(['right', ['left'], 2]);
    expect(faultsOfPlan(line(both, [19, 19]), one)).toEqual([]);
  });
  it('flies a shot whose light ends as it ends, on the second, and not one a second shorter', () => {
    // Launched at 40 s it is begun at 60 and ended at 90 s.
    const until = (latestS: number) => {
      const p = line([shot('a', 10, 10, { latestS })], [8]);
      return planExactly({ ...p, packs: p.packs.map((x) => ({ ...x, readyS: 40 })) }).plan;
    };
    expect(until(90).flights.map((f) => f.launchS)).toEqual([40]);
    expect(until(89).left).toEqual(['a']);
  });
  it('uses a pack to its last watt-hour and no more', () => {
    expect(planExactly(line([shot('a', 10, 10)], [8])).plan.left).toEqual([]);
    expect(planExactly(line([shot('a', 10, 10)], [7.99])).plan.left).toEqual(['a']);
  });
});
