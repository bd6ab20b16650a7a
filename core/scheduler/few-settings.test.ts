import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fewSettings, MOST_SETTINGS } from './few-settings';
import { Reached } from '../testing';

describe('more filters than the planner holds', () => {
  it('keeps what leaves no shot without one, then what most shots can be flown with', () => {
    const shots = [['a', 'b'], ['a', 'c'], ['a', 'c', 'b'], ['d']];
    // a covers three, d the last; b and c stand in two each, b is named first.
    expect(fewSettings(shots, 2)).toEqual([['a'], ['a'], ['a'], ['d']]);
    expect(fewSettings(shots, 3)).toEqual([['a', 'b'], ['a'], ['a', 'b'], ['d']]);
    expect(fewSettings(shots, 1)).toEqual([['a'], ['a'], ['a'], []]);
    expect(fewSettings(shots, 4)).toBe(shots);
  });
  it('of 31 the one that is least of use goes, of 30 none', () => {
    const keys = Array.from({ length: 31 }, (_, i) => `${i}`);
    const shots = [keys, keys.filter((k) => k !== '7')];
    expect(MOST_SETTINGS).toBe(30);
    expect(fewSettings(shots)).toEqual([shots[1], shots[1]]);
    expect(fewSettings([keys.slice(1)])).toEqual([keys.slice(1)]);
  });
  it('no shot loses its last one as long as there are no more shots than may be kept', () => {
    const reached = new Reached();
    const lists = fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 11 }).map(String), { maxLength: 5 }), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(lists, fc.integer({ min: 3, max: 7 }), (settings, most) => {
        const kept = fewSettings(settings, most);
        const all = new Set(settings.flat());
        expect(new Set(kept.flat()).size).toBe(Math.min(most, all.size));
        kept.forEach((list, i) => {
          expect(list).toEqual(settings[i]?.filter((key) => kept.flat().includes(key)));
          if (settings.length <= most && settings[i]?.length) expect(list).not.toEqual([]);
        });
        reached.when('some go, none is left without', all.size > most && settings.length <= most);
      }),
    );
    reached.atLeast('some go, none is left without', 15);
  });
});
