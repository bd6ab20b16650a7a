import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { language } from '../language';
import {
  signedPercent,
  choices,
  dateText,
  fieldText,
  fromShown,
  readNumber,
  toShown,
  whenText,
  roundText,
  writeText,
  type Quantity,
  type UnitSystem,
} from '.';
import { filterNameOf } from './names';
import { roundBounds, roundTimes } from './ticks';
import { demoFilm } from '../../demo';
import type { Filter } from '@core/model';

const QUANTITIES: readonly Quantity[] = [
  'metres',
  'speed',
  'seconds',
  'minutes',
  'degrees',
  'percent',
  'wattHours',
  'gigabytes',
  'celsius',
  'grams',
  'kilograms',
  'millimetres',
  'ev',
  'count',
];
const SYSTEMS: readonly UnitSystem[] = ['metric', 'imperial'];

describe('numbers in fields', () => {
  it('come back as they were typed, in any units, without drift', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.constantFrom(...SYSTEMS),
        fc.integer({ min: -10_000_000, max: 100_000_000 }).map((n) => n / 1000),
        (quantity, system, typed) => {
          const written = fieldText(typed);
          const again = fieldText(
            toShown(fromShown(readNumber(written), quantity, system), quantity, system),
          );
          expect(again).toBe(written);
        },
      ),
    );
  });
  it('are read with comma or point, and nothing is not nought', () => {
    expect([readNumber(' 3,5 '), readNumber('3.5'), readNumber('-2'), readNumber('1e2')]).toEqual([
      3.5, 3.5, -2, 100,
    ]);
    for (const none of ['', '  ', 'x', '1,2,3', '3 m']) expect(readNumber(none)).toBeNaN();
    expect([fieldText(NaN), fieldText(Infinity), fieldText(0.1 + 0.2)]).toEqual(['', '', '0.3']);
  });
  it('of a scale are written without a nought after the point, in both languages', () => {
    for (const [code, half] of [
      ['de', '0,5 m'],
      ['en', '0.5 m'],
    ] as const) {
      language.value = code;
      expect([roundText(40, 'metres'), roundText(0.5, 'metres')]).toEqual(['40 m', half]);
    }
  });
  it('are never written as words of the machine', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.constantFrom(...SYSTEMS),
        fc.oneof(
          fc.double({ min: -1e12, max: 1e12 }),
          fc.constantFrom(NaN, Infinity, -Infinity, -0, -0.0001),
        ),
        (quantity, system, value) => {
          expect(writeText(value, quantity, system)).not.toMatch(/NaN|Infinity|undefined|^-0(\.0*)?\D*$/);
        },
      ),
    );
  });
});

describe('differences', () => {
  it('carry their sign, none where there is nothing, and a dash where nothing is known', () => {
    expect([0.064, -0.064, 0.004, -0.004, null, NaN].map(signedPercent)).toEqual([
      '+6 %',
      '−6 %',
      '0 %',
      '0 %',
      '–',
      '–',
    ]);
  });
});

describe('days and instants', () => {
  it('are the day that was meant, wherever the machine stands; what is none stays as it is', () => {
    expect(dateText('2027-05-14')).toBe('Fri 14 May 2027');
    expect(dateText('2028-02-29')).toContain('29 Feb 2028');
    expect(dateText('soon')).toBe('soon');
    expect(whenText(NaN)).toBe('');
  });
});

describe('axes', () => {
  it('of time hold what they are about, in even round steps, and not too many', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.integer({ min: 60_000, max: 3 * 86_400_000 }),
        fc.integer({ min: 3, max: 14 }),
        (from, span, most) => {
          const axis = roundTimes(from, from + span, most);
          expect(axis.fromMs).toBeLessThanOrEqual(from);
          expect(axis.toMs).toBeGreaterThanOrEqual(from + span);
          expect(axis.fromMs + axis.ticks * axis.stepMs).toBe(axis.toMs);
          expect(axis.fromMs % axis.stepMs).toBe(0);
          if (axis.stepMs < 720 * 60_000) expect(axis.ticks).toBeLessThanOrEqual(most);
        },
      ),
    );
  });
  it('of values hold all of them between bounds that steps divide, also when they are all one', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: -40_000, max: 40_000 }).map((n) => n / 100),
          { minLength: 1, maxLength: 9 },
        ),
        (values) => {
          const { min, max, tickAmount } = roundBounds(values);
          expect(min).toBeLessThanOrEqual(Math.min(...values));
          expect(max).toBeGreaterThanOrEqual(Math.max(...values));
          expect(max).toBeGreaterThan(min);
          const step = (max - min) / tickAmount;
          expect(Math.abs(min / step - Math.round(min / step))).toBeLessThan(1e-9);
        },
      ),
    );
  });
});

describe('names', () => {
  it('of a filter say its mark where it has several, and that it is gone where it is', () => {
    const filters = demoFilm().kit.filters as unknown as Filter[];
    const variable = filters.find((f) => f.kind === 'variable');
    expect(filterNameOf(filters, null)).toBe('no filter');
    expect(filterNameOf(filters, 'nowhere')).toBe('a filter that is gone');
    expect(filterNameOf(filters, filters[0]!.id, 4)).toBe(
      filters[0]!.kind === 'variable' ? `${filters[0]!.name} at 4 stops` : filters[0]!.name,
    );
    if (variable) expect(filterNameOf(filters, variable.id, 5)).toBe(`${variable.name} at 5 stops`);
  });
  it('make lists of choices in the order of their table', () => {
    expect(choices({ a: 'One', b: 'Two' })).toEqual([
      { value: 'a', label: 'One' },
      { value: 'b', label: 'Two' },
    ]);
  });
});
