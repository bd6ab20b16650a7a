import { describe, expect, it } from 'vitest';
import { newRow } from '../model';
import { packsToFly } from './location-flights';

const pack = (id: string, aircraftIds: string[], more = {}) =>
  newRow('pack', { id, name: id, aircraftIds, ...more });
const film = (holdBackSpare: boolean) => {
  const whole = newRow('film', { id: 'f', name: 'F' });
  return { ...whole, preferences: { ...whole.preferences, holdBackSpare } };
};
const ids = (packs: ReturnType<typeof pack>[], hold: boolean) =>
  packsToFly({ packs }, film(hold)).map((p) => p.id);

describe('packs that are flown', () => {
  it('leave one of two for luck where the film wants that, and never the only one', () => {
    const two = [pack('a', ['X']), pack('b', ['X'])];
    expect(ids(two, true)).toEqual(['a']);
    expect(ids(two, false)).toEqual(['a', 'b']);
    expect(ids([pack('a', ['X'])], true)).toEqual(['a']);
    expect(ids([...two, pack('c', ['Y']), pack('d', ['Y']), pack('e', ['Y'])], true)).toEqual([
      'a',
      'c',
      'd',
    ]);
  });
  it('are none that is swollen or damaged, and such a one is no spare', () => {
    const hurt = [pack('a', ['X']), pack('b', ['X'], { condition: 'swollen' })];
    expect(ids(hurt, true)).toEqual(['a']);
    expect(
      ids([pack('a', ['X'], { condition: 'damaged' }), pack('b', ['X'], { condition: 'hot' })], false),
    ).toEqual(['b']);
  });
});
