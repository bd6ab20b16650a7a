import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHECK_MOMENTS, type OwnCheck } from '../model';
import { CHECKS } from './registry';
import { checksOf } from './sheet';
import { checksOff, moveCheck, switchCheck } from './order';

let n = 0;
const newId = (): string => {
  n += 1;
  return `o${n}`;
};
const own = (id: string, moment: OwnCheck['moment']): OwnCheck => ({
  id,
  builtIn: '',
  name: id,
  moment,
  protects: '',
  position: '',
  off: false,
  notes: '',
  retired: false,
});
const put = (list: readonly OwnCheck[], rows: readonly OwnCheck[]): OwnCheck[] => [
  ...list.filter((o) => !rows.some((r) => r.id === o.id)),
  ...rows,
];
const codes = (moment: OwnCheck['moment'], list: readonly OwnCheck[]): string[] =>
  checksOf(moment, list).map((k) => k.check.code);

describe('the order of checks', () => {
  it('follows every move, among one’s own and those that come along; none is lost or doubled', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CHECK_MOMENTS),
        fc.integer({ min: 0, max: 3 }),
        fc.array(fc.tuple(fc.nat(), fc.constantFrom<-1 | 1>(-1, 1)), { maxLength: 12 }),
        (moment, mine, moves) => {
          let list: OwnCheck[] = Array.from({ length: mine }, (_, i) => own(`mine${i}`, moment));
          let wanted = codes(moment, list);
          for (const [pick, by] of moves) {
            const at = pick % wanted.length;
            const rows = moveCheck(moment, list, wanted[at]!, by, newId);
            const to = at + by;
            if (to >= 0 && to < wanted.length)
              wanted = wanted.map((c, i) => (i === at ? wanted[to]! : i === to ? wanted[at]! : c));
            else expect(rows).toEqual([]);
            list = put(list, rows);
            expect(codes(moment, list)).toEqual(wanted);
            expect(new Set(list.map((o) => o.builtIn || o.id)).size).toBe(list.length);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('off and on again leaves everything where it was, and says what is off', () => {
    for (const check of CHECKS) {
      const before = codes(check.moment, []);
      const off = switchCheck([], check.code, true, newId)!;
      expect(codes(check.moment, [off])).toEqual(before.filter((c) => c !== check.code));
      expect(checksOff(check.moment, [off]).map((o) => o.builtIn)).toEqual([check.code]);
      const on = switchCheck([off], check.code, false, newId)!;
      expect(on.id).toBe(off.id);
      expect(codes(check.moment, [on])).toEqual(before);
    }
    expect(switchCheck([], 'nothing', true, newId)).toBeNull();
    expect(moveCheck('at-home', [], 'nothing', 1, newId)).toEqual([]);
  });
});
