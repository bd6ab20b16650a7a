import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type Charger, type Pack } from '../model';
import { Reached, numberIn } from '../testing';
import { ChargeDay } from './day';

/** 40 Wh, an hour from empty to full: 36 minutes to 80 %, 24 for the rest. */
const pack = (id: string, more: Partial<Pack> = {}): Pack =>
  newRow('pack', { id, name: id, aircraftIds: ['A'], ratedWh: 40, health: 1, chargeMinutes: 60, ...more });
const charger = (id: string, more: Partial<Charger> = {}): Charger =>
  newRow('charger', {
    id,
    name: id,
    source: 'wall',
    sourceWh: 0,
    slots: 1,
    manner: 'in-turn',
    slotW: 500,
    totalW: 0,
    efficiency: 1,
    aircraftIds: [],
    ...more,
  });
const day = (...chargers: Charger[]): ChargeDay => new ChargeDay(chargers, 0);
const MIN = 60;

describe('what a source holds', () => {
  it('goes into batteries less what the charger loses, the second gets what the first left', () => {
    // Half of what is drawn arrives; a battery of 40 Wh at half its health takes 20 from empty to full.
    const d = day(charger('c', { source: 'bank', sourceWh: 40, efficiency: 0.5 }));
    d.put(pack('p', { health: 0.5 }), 0.25, 0);
    d.put(pack('q', { health: 0.5 }), 0.1, 0);
    // 15 Wh for the first draw 30; of 10 left 5 arrive, a quarter of 20.
    expect(d.runs.map((r) => [r.packId, r.toShare, r.dry])).toEqual([
      ['p', 1, false],
      ['q', 0.35, true],
    ]);
    d.put(pack('r'), 0, 0);
    expect(d.runs).toHaveLength(2);
    expect(d.readyAt('r', 0.1)).toBe(Infinity);
  });
  it('of a wall never ends; of a bank without a figure nothing comes; a vehicle’s figure holds', () => {
    const runs = (more: Partial<Charger>) => {
      const d = day(charger('c', more));
      for (let i = 0; i < 9; i += 1) d.put(pack(`p${i}`), 0, 0);
      return d.runs.map((r) => r.toShare);
    };
    expect(runs({ source: 'wall' })).toEqual(Array<number>(9).fill(1));
    expect(runs({ source: 'bank' })).toEqual([]);
    expect(runs({ source: 'vehicle', sourceWh: 60 })).toEqual([1, 0.5]);
  });
  it('is one for the slots of a charger and another for the next charger', () => {
    const bank = { source: 'bank' as const, sourceWh: 40, slots: 2, manner: 'side-by-side' as const };
    const d = day(charger('a', bank), charger('b', bank));
    for (const id of ['p', 'q', 'r', 's']) d.put(pack(id), 0.5, 0);
    expect(d.runs.map((r) => [r.chargerId, r.toShare])).toEqual([
      ['a', 1],
      ['a', 1],
      ['b', 1],
      ['b', 1],
    ]);
  });
});

describe('where a battery is put', () => {
  it('is the slot that has it full first, counted with what waits there', () => {
    // Slow: 9.9 W, so that 40 Wh take a little over four hours.
    const d = day(charger('slow', { slotW: 9.9 }), charger('fast'));
    for (const id of ['p', 'q', 'r', 's', 't']) d.put(pack(id), 0, 0);
    // Each hour on the fast one beats four on the slow one, until four wait.
    const where = d.runs.map((r) => [r.packId, r.chargerId, Math.round(r.toS / MIN)]);
    expect(where.sort()).toEqual([
      ['p', 'fast', 60],
      ['q', 'fast', 120],
      ['r', 'fast', 180],
      ['s', 'fast', 240],
      ['t', 'slow', 242],
    ]);
  });
  it('is the one that fills it further, though later', () => {
    const d = day(charger('bank', { source: 'bank', sourceWh: 10 }), charger('wall', { slotW: 10 }));
    d.put(pack('p'), 0, 0);
    expect(d.runs.map((r) => [r.chargerId, r.toShare])).toEqual([['wall', 1]]);
  });
  it('is one that is within reach and takes a battery of one of its aircraft', () => {
    const d = day(
      charger('other', { aircraftIds: ['B'] }),
      charger('both', { aircraftIds: ['B', 'A'], slotW: 10 }),
    );
    d.put(pack('p'), 0, 0);
    d.put(pack('two', { aircraftIds: ['C', 'B'] }), 0, 0);
    expect(d.runs.map((r) => [r.chargerId, r.packId])).toEqual([
      ['other', 'two'],
      ['both', 'p'],
    ]);
    d.reach(new Set(['other']), 0);
    d.put(pack('q'), 0, 0);
    d.put(pack('r', { aircraftIds: ['B'] }), 0, 0);
    expect(d.runs.map((r) => [r.chargerId, r.packId])).toEqual([
      ['other', 'two'],
      ['other', 'r'],
    ]);
  });
});

describe('a battery on a charger', () => {
  it('has its share at every minute: as it came, along its curve, as it was left', () => {
    const d = new ChargeDay([charger('c')], 10 * MIN);
    d.put(pack('p'), 0.4, 0);
    const at = (min: number): number => Number(d.shareAt('p', min * MIN).toFixed(6));
    // Cools for ten minutes; 40 of 80 % take 18 minutes, half of the rest 12.
    expect([0, 10, 19, 28, 40, 52, 99].map(at)).toEqual([0.4, 0.4, 0.6, 0.8, 0.9, 1, 1]);
    expect(d.readyAt('p', 0.4)).toBe(-Infinity);
    expect(d.readyAt('p', 0.8)).toBeCloseTo(28 * MIN, 6);
    expect(d.readyAt('p', 1)).toBeCloseTo(52 * MIN, 6);
    expect([0, 20, 51, 52, 60].map((m) => d.charging('p', m * MIN))).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
    expect(d.runs).toEqual([
      {
        chargerId: 'c',
        slot: 0,
        packId: 'p',
        fromS: 600,
        toS: 52 * MIN,
        fromShare: 0.4,
        toShare: 1,
        dry: false,
      },
    ]);
  });
  it('that is taken while it waits has gained nothing, and what waited behind it moves up', () => {
    const d = day(charger('c'));
    for (const id of ['p', 'q', 'r']) d.put(pack(id), 0, 0);
    expect(d.take('q', 30 * MIN)).toBe(0);
    expect(d.runs.map((r) => [r.packId, r.fromS / MIN, r.toS / MIN])).toEqual([
      ['p', 0, 60],
      ['r', 60, 120],
    ]);
    expect(d.charging('q', 70 * MIN)).toBe(false);
  });
  it('that is taken in the middle frees its slot at that minute; taken when full it changes nothing', () => {
    const d = day(charger('c'));
    for (const id of ['p', 'q']) d.put(pack(id), 0, 0);
    expect(d.take('p', 18 * MIN)).toBeCloseTo(0.4, 9);
    expect(d.runs.map((r) => [r.packId, r.fromS / MIN, r.toS / MIN, r.dry])).toEqual([
      ['p', 0, 18, false],
      ['q', 18, 78, false],
    ]);
    const before = d.runs;
    expect(d.take('q', 78 * MIN)).toBe(1);
    expect(d.runs).toEqual(before);
    expect(d.take('nobody', 0)).toBe(0);
  });
  it('comes off what is left behind, and stays where one still is', () => {
    const d = day(charger('here'), charger('there'));
    d.put(pack('p'), 0, 0);
    d.put(pack('q'), 0, 0);
    d.put(pack('r'), 0, 0);
    d.reach(new Set(['here']), 70 * MIN);
    // q was full by then; r waited on the first charger, which is still here.
    expect(['p', 'q', 'r'].map((id) => d.shareAt(id, 200 * MIN))).toEqual([1, 1, 1]);
    d.reach(new Set(['there']), 96 * MIN);
    expect(d.shareAt('r', 200 * MIN)).toBeCloseTo(0.8, 9);
  });
});

describe('a day of charging, held against the same day told second by second', () => {
  /** Energy goes into the first that waits in each slot, at the smaller of what it takes and what the slot gives. */
  const told = (
    slotW: number,
    puts: readonly (readonly [share: number, atS: number])[],
    untilS: number,
  ): number[] => {
    const shares = puts.map(([s]) => s);
    const STEP = 0.5;
    for (let t = 0; t < untilS; t += STEP) {
      const i = shares.findIndex((s, n) => s < 1 && puts[n]![1] <= t);
      if (i === -1) continue;
      const cellW = (shares[i]! < 0.8 ? 0.8 / 36 : 0.2 / 24) * MIN * 40;
      shares[i] = Math.min(1, shares[i]! + (Math.min(cellW, slotW) * STEP) / 3600 / 40);
    }
    return shares;
  };
  it('has every battery at the same share', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.array(fc.tuple(numberIn(0, 0.9), numberIn(0, 3000)), { minLength: 1, maxLength: 4 }),
        numberIn(15, 90),
        numberIn(0, 12_000),
        (drawn, slotW, untilS) => {
          const puts = drawn.sort((a, b) => a[1] - b[1]);
          const d = day(charger('c', { slotW }));
          puts.forEach(([share, atS], i) => d.put(pack(`p${i}`), share, atS));
          const plain = told(slotW, puts, untilS);
          plain.forEach((share, i) => expect(d.shareAt(`p${i}`, untilS)).toBeCloseTo(share, 2));
          reached.when('some full, some not', plain.some((s) => s === 1) && plain.some((s) => s < 1));
          reached.when('the slot limits', slotW < 53);
        },
      ),
      { numRuns: 60 },
    );
    reached.atLeast('some full, some not', 10);
    reached.atLeast('the slot limits', 10);
  });
});
