import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type Practice } from '../model';
import { rehearsedOf } from './rehearsed';
import {
  EXPECTED_RATE,
  keeperRate,
  levelOf,
  recordOf,
  SIMULATOR_WEIGHT,
  takesFor,
  TRIES_COUNTED,
  WANTED_CHANCE,
} from './level';
import { numberIn } from '../testing';

const pilot = { id: 'a', name: 'A', levels: { orbit: 2 }, notes: '', retired: false };
const drill = (utcMs: number, tries: number, keepers: number, moveKind = 'orbit', pilotId = 'a'): Practice =>
  newRow('practice', { id: `${utcMs}`, pilotId, moveKind, utcMs, handling: 'slow', tries, keepers });

describe('record', () => {
  it('counts the newest twenty tries, a practice cut by that in proportion', () => {
    expect(recordOf([drill(1, 30, 30), drill(2, 15, 3)], 'a', 'orbit')).toEqual({ tries: 20, keepers: 8 });
    expect(recordOf([drill(1, 9, 9, 'slide'), drill(2, 9, 9, 'orbit', 'b')], 'a', 'orbit')).toEqual({
      tries: 0,
      keepers: 0,
    });
  });
  it('is never more kept than tried', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 90 }))),
        (list) => {
          const r = recordOf(
            list.map(([tries, keepers], i) => drill(i, tries, keepers)),
            'a',
            'orbit',
          );
          expect(r.keepers).toBeLessThanOrEqual(r.tries + 1e-9);
          expect(r.tries).toBeLessThanOrEqual(TRIES_COUNTED);
        },
      ),
    );
  });
});

describe('rehearsals', () => {
  it('of a shot in a simulator are added up, its best mark kept', () => {
    const row = (
      utcMs: number,
      mark: number | null,
      shotId: string | null,
      handling: Practice['handling'],
    ) => ({
      ...drill(utcMs, 2, 1),
      mark,
      shotId,
      handling,
    });
    const rows = [
      row(1, 60, 's', 'simulator'),
      row(2, 86, 's', 'simulator'),
      row(3, null, 's', 'simulator'),
      row(4, 99, 't', 'simulator'),
      row(5, null, 's', 'slow'),
    ];
    expect(rehearsedOf(rows, 's')).toEqual({ tries: 6, best: 86 });
    expect(rehearsedOf(rows, 'u')).toEqual({ tries: 0, best: null });
  });
  it('is worth three times what a simulator teaches', () => {
    const real = recordOf([drill(1, 6, 3)], 'a', 'orbit');
    const rehearsed = recordOf([{ ...drill(1, 6, 3), handling: 'simulator' }], 'a', 'orbit');
    expect([real.tries, real.keepers]).toEqual([6, 3]);
    expect(rehearsed.tries).toBeCloseTo(6 * SIMULATOR_WEIGHT, 9);
    expect(rehearsed.keepers).toBeCloseTo(3 * SIMULATOR_WEIGHT, 9);
  });
});

describe('level', () => {
  it('is what is stated, raised by practice, never lowered by it', () => {
    expect(levelOf(pilot, [], 'orbit')).toBe(2);
    expect(levelOf(pilot, [drill(1, 20, 2)], 'orbit')).toBe(2);
    expect(levelOf(pilot, [drill(1, 20, 16)], 'orbit')).toBe(4);
    expect(levelOf(pilot, [drill(1, 3, 0, 'pan')], 'pan')).toBe(1);
    expect(levelOf(pilot, [], 'pan')).toBe(0);
    expect(levelOf(null, [], 'orbit')).toBe(0);
  });
});

describe('takes', () => {
  it('give the chance wanted, and one fewer does not', () => {
    fc.assert(
      fc.property(numberIn(0.18, 0.99), (rate) => {
        const n = takesFor(rate);
        expect(1 - (1 - rate) ** n).toBeGreaterThanOrEqual(WANTED_CHANCE - 1e-6);
        if (n > 1) expect(1 - (1 - rate) ** (n - 1)).toBeLessThan(WANTED_CHANCE);
      }),
    );
    expect([takesFor(0), takesFor(1), takesFor(0.5)]).toEqual([12, 1, 4]);
  });
  it('a better hand needs no more, more inputs never fewer', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 0, max: 20 }),
        (level, inputs, kept) => {
          const record = { tries: 20, keepers: kept };
          expect(keeperRate(level + 1, record, inputs)).toBeGreaterThan(keeperRate(level, record, inputs));
          expect(keeperRate(level, record, inputs + 1)).toBeLessThanOrEqual(
            keeperRate(level, record, inputs),
          );
          expect(takesFor(keeperRate(level + 1, record, inputs))).toBeLessThanOrEqual(
            takesFor(keeperRate(level, record, inputs)),
          );
        },
      ),
    );
    expect(keeperRate(4, { tries: 0, keepers: 0 }, 2)).toBeCloseTo(EXPECTED_RATE[4], 9);
  });
});
