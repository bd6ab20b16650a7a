import { generateNKeysBetween } from 'fractional-indexing';
import type { CheckMoment, OwnCheck } from '../model';
import { CHECKS } from './registry';
import { checksOf } from './sheet';

const builtInRow = (code: string, own: readonly OwnCheck[], newId: () => string): OwnCheck | null => {
  const known = own.find((o) => o.builtIn === code);
  const check = CHECKS.find((k) => k.code === code);
  return (
    known ??
    (check
      ? {
          id: newId(),
          builtIn: code,
          name: code,
          moment: check.moment,
          protects: '',
          position: '',
          off: false,
          notes: '',
          retired: false,
        }
      : null)
  );
};

const rowOf = (id: string, own: readonly OwnCheck[], newId: () => string): OwnCheck | null =>
  own.find((o) => o.id === id) ?? builtInRow(id, own, newId);

/**
 * Moves a check before or after its neighbour: every check of the moment gets a key, so that those that come along keep their
 * places among one's own.
 * @returns rows that change; none where there is no neighbour
 */
export const moveCheck = (
  moment: CheckMoment,
  own: readonly OwnCheck[],
  id: string,
  by: -1 | 1,
  newId: () => string,
): OwnCheck[] => {
  const codes = checksOf(moment, own).map((k) => k.check.code);
  const at = codes.indexOf(id);
  const other = codes[at + by];
  if (at === -1 || other === undefined) return [];
  const order = codes.map((code, i) => (i === at ? other : i === at + by ? id : code));
  const keys = generateNKeysBetween(null, null, order.length);
  return order.flatMap((code, i): OwnCheck[] => {
    const row = rowOf(code, own, newId);
    const position = keys[i] ?? 'a0';
    return row && (row.position !== position || !own.includes(row)) ? [{ ...row, position }] : [];
  });
};

/** Switches a check that comes along, or one's own, off or on. */
export const switchCheck = (
  own: readonly OwnCheck[],
  id: string,
  off: boolean,
  newId: () => string,
): OwnCheck | null => {
  const row = rowOf(id, own, newId);
  return row && { ...row, off };
};

/** Checks of a moment that are switched off, with what they ask. */
export const checksOff = (moment: CheckMoment, own: readonly OwnCheck[]): OwnCheck[] =>
  own.filter((o) => o.off && o.moment === moment && !o.retired);
