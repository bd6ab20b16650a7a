import { describe, expect, it } from 'vitest';
import { move } from './fixtures';
import type { CardMove } from '../model';
import { said } from '../testing';
import { assignCards, maxUncopiedFootage } from './assign';
import { writeNeeded, writesFastEnough } from './bytes';
import { after, atRiskGB, cardsNow, lifeOf, moveFault, stateOf, wantsReason, type CardLife } from './life';
import { clipName, wordsOf } from './naming';
import { offload } from './offload';

const card = { id: 'c', name: 'Card C', nominalGB: 64, usedGB: 0 };
const life = (usedGB: number, copies = 0): CardLife => ({ ...lifeOf({ ...card, usedGB }, []), copies });

describe('footage that goes', () => {
  it('takes a reason while it has fewer copies than wanted, and only where something goes', () => {
    const asks = (copies: number, act: CardMove['act'], gb = 0, waiver = '') =>
      wantsReason(life(10, copies), { act, gb, copiesWanted: 2, waiver });
    expect([0, 1, 2].map((copies) => asks(copies, 'format'))).toEqual([true, true, false]);
    expect([9, 10, 11].map((gb) => asks(0, 'correct', gb))).toEqual([true, false, false]);
    expect([asks(0, 'format', 0, ' '), asks(0, 'format', 0, 'test shots')]).toEqual([true, false]);
    expect([asks(0, 'record', 5), asks(0, 'put')]).toEqual([false, false]);
    expect(wantsReason(life(0.0005), move('format'))).toBe(false);
  });
  it('is remembered with its reason, how much it was, and when; with its copies nothing was waived', () => {
    const gone = after(life(10), move('format', { waiver: 'test shots', utcMs: 7 }), card);
    expect(gone).toMatchObject({ usedGB: 0, waived: { utcMs: 7, reason: 'test shots', gb: 10 } });
    const less = after(life(10, 1), move('correct', { gb: 4, waiver: 'miscounted', utcMs: 8 }), card);
    expect(less).toMatchObject({ usedGB: 4, copies: 1, waived: { utcMs: 8, reason: 'miscounted', gb: 6 } });
    expect(after(life(10, 2), move('format', { waiver: 'not needed' }), card).waived).toBeNull();
    // An earlier one stays where nothing more goes.
    expect(after({ ...gone, usedGB: 3 }, move('correct', { gb: 3 }), card).waived).toEqual(gone.waived);
    expect(after({ ...gone, usedGB: 3 }, move('record', { gb: 3 }), card).waived).toEqual(gone.waived);
  });
  it('set right: more than was known has no copy, as much or less keeps them', () => {
    const right = (gb: number) => after(life(10, 2), move('correct', { gb, waiver: 'looked' }), card);
    expect([9, 10, 10.0005, 10.01].map((gb) => right(gb).copies)).toEqual([2, 2, 2, 0]);
    expect(right(12)).toMatchObject({ usedGB: 12, formatted: false });
  });
});

describe('what a card can take', () => {
  it('is as much as it has in all, and not a bit more', () => {
    expect(moveFault(life(60), move('record', { gb: 4 }), card)).toBeNull();
    expect(said(moveFault(life(60), move('record', { gb: 4.1 }), card))).toMatch(/4\.0 GB left/);
    expect(said(moveFault(life(70), move('record', { gb: 1 }), card))).toMatch(/0\.0 GB left/);
    expect(moveFault(life(60), move('correct', { gb: 64 }), card)).toBeNull();
    expect(moveFault(life(60), move('correct', { gb: 64.1 }), card)).not.toBeNull();
    // Only a correction is held against the size of the card.
    expect(moveFault(life(60), move('put', { gb: 99 }), card)).toBeNull();
  });
  it('a copy of next to nothing is a copy of nothing', () => {
    expect(moveFault(life(0.001), move('copy'), card)).not.toBeNull();
    expect(moveFault(life(0.0011), move('copy'), card)).toBeNull();
  });
});

describe('where a card is', () => {
  it('is where it was put, in an aircraft only while it is in one', () => {
    const put = (spot: CardMove['spot']) => after(life(0), move('put', { spot, aircraftId: 'a' }), card);
    expect([put('aircraft').aircraftId, put('case').aircraftId]).toEqual(['a', null]);
    expect(lifeOf(card, [])).toMatchObject({ spot: 'bag', aircraftId: null, sinceMs: null });
    expect(after(put('aircraft'), move('record', { gb: 1, utcMs: 9 }), card)).toMatchObject({
      spot: 'aircraft',
      aircraftId: 'a',
      sinceMs: 9,
    });
    expect([stateOf(put('aircraft'), 2), stateOf(put('case'), 2)]).toEqual(['in-aircraft', 'empty']);
    expect(stateOf({ ...put('aircraft'), usedGB: 5, copies: 1 }, 2)).toBe('copied');
    expect(stateOf({ ...put('aircraft'), usedGB: 0.001 }, 2)).toBe('in-aircraft');
    expect(stateOf({ ...put('case'), formatted: true }, 2)).toBe('formatted');
  });
  it('is told by its own entries, in the order of their instants, then of their ids', () => {
    const at = (id: string, utcMs: number, spot: CardMove['spot'], cardId = 'c'): CardMove =>
      move('put', { id, utcMs, spot, cardId });
    const two = [at('a', 5, 'case'), at('b', 5, 'computer')];
    expect(lifeOf(card, two).spot).toBe('computer');
    expect(lifeOf(card, [...two].reverse()).spot).toBe('computer');
    expect(lifeOf(card, [at('z', 4, 'case'), at('a', 5, 'aircraft')]).spot).toBe('aircraft');
    expect(lifeOf(card, [...two, at('c', 9, 'aircraft', 'other')]).spot).toBe('computer');
  });
  it('leaves the record of a card alone where nothing changed', () => {
    const record = { ...card, writeMBs: 30, notes: '', typical: [], retired: false };
    const full = { ...record, usedGB: 3 };
    expect(cardsNow([full], [])[0]).toBe(full);
    expect(cardsNow([full], [move('put', { spot: 'case' })])[0]).toBe(full);
    expect(cardsNow([full], [move('record', { gb: 1 })])[0]).toMatchObject({ usedGB: 4, recordedGB: 3 });
    expect(atRiskGB(life(7, 1), 2)).toBe(7);
  });
});

describe('cards of flights', () => {
  it('pass over a card that is used where a fresh one is wanted, and take it where none is left', () => {
    const on = (rules: Partial<Parameters<typeof assignCards>[2] & object>, n = 3) =>
      assignCards(Array<number>(n).fill(4), [10, 10], { fresh: true, ...rules });
    expect(on({})).toEqual([0, 1, null]);
    expect(on({ softly: true })).toEqual([0, 1, 1]);
    expect(on({ used: [true, false] })).toEqual([1, null, null]);
    // Passed over, not used up: it still serves.
    expect(on({ used: [true, false], softly: true })).toEqual([1, 1, 0]);
    expect(on({ fresh: [false, false, true] })).toEqual([0, 0, 1]);
    // Who wants none of its own stays on the card that is in, softly or not.
    expect(on({ fresh: [false], softly: true }, 2)).toEqual([0, 0]);
    expect(on({ fresh: false, softly: true }, 6)).toEqual([0, 0, 1, 1, null, null]);
  });
  it('of two in the air at once are two; one that lands as the other starts may hand over', () => {
    const on = (spans: [number, number][]) => assignCards([1, 1], [9, 9], { fresh: false, spans });
    expect(
      on([
        [0, 10],
        [10, 20],
      ]),
    ).toEqual([0, 0]);
    expect(
      on([
        [0, 10],
        [9, 20],
      ]),
    ).toEqual([0, 1]);
    expect(
      on([
        [9, 20],
        [0, 9],
      ]),
    ).toEqual([0, 0]);
    // Of one whose times are not known nothing is said.
    expect(assignCards([1, 1], [9, 9], { fresh: false, spans: [[0, 10]] })).toEqual([0, 0]);
    expect(
      assignCards([1, 1], [9, 9], {
        fresh: false,
        spans: [undefined, [0, 10]] as unknown as [number, number][],
      }),
    ).toEqual([0, 0]);
  });
  it('carry at most what was not copied since, told by the first flight that carries it', () => {
    expect(maxUncopiedFootage([0, 0, 1], [10, 5, 15])).toEqual({ seconds: 15, flight: 1 });
    expect(maxUncopiedFootage([0, 0, 0], [10, 5, 3])).toEqual({ seconds: 18, flight: 2 });
    expect(maxUncopiedFootage([null, null], [10, 12])).toEqual({ seconds: 12, flight: 1 });
    expect(maxUncopiedFootage([0, 0], [10, 12], ['a', 'b'])).toEqual({ seconds: 12, flight: 1 });
    expect(maxUncopiedFootage([], [])).toEqual({ seconds: 0, flight: -1 });
    expect(maxUncopiedFootage([0], [0])).toEqual({ seconds: 0, flight: -1 });
    // A second card of the first day does not weigh on the first.
    expect(maxUncopiedFootage([0, 1, 0], [10, 1, 5], ['a', 'a', 'a'])).toEqual({ seconds: 15, flight: 2 });
  });
  it('write as fast as they are rated, to the bit', () => {
    expect(writesFastEnough({ writeMBs: writeNeeded(100) }, 100)).toBe(true);
  });
});

describe('names of clips, by hand', () => {
  const parts = {
    film: '  Salt & wind!  ',
    place: 'Äußere Wände',
    shot: '07',
    title: '--',
    take: '2',
    date: '2027-05-14',
    card: 'A/B\\C',
    n: '0031',
  };
  const name = (template: string): string => {
    const made = clipName(template, parts);
    return made.ok ? made.value : `! ${said(made.reason)}`;
  };
  it('join words by one sign, drop what is empty, and begin and end in a letter or digit', () => {
    expect(name('{film}_{take}')).toBe('Salt-wind_2');
    expect(name('{place} {take}')).toBe('Außere-Wande-2');
    expect(name('__{title}--{take}..{title}__')).toBe('2');
    expect(name('{shot}___{take}')).toBe('07_2');
    expect(name('{card} :: {n}')).toBe('A-B-C-0031');
    expect(name('a\t\n{take}')).toBe('a-2');
    expect(name('{date}{take}')).toBe('2027-05-142');
  });
  it('are cut at 120 letters', () => {
    expect(name(`${'x'.repeat(200)}{take}`)).toHaveLength(120);
  });
  it('that cannot be made say why', () => {
    expect(name('{colour}')).toBe(
      '! {colour} is not known; there are {film} {place} {shot} {title} {take} {date} {card} {n}.',
    );
    expect(name('{take}{')).toBe('! A brace stands alone.');
    expect(name('}{n}')).toBe('! A brace stands alone.');
    expect(name('{shot}')).toBe('! Without {take} or {n} two clips would have the same name.');
    expect(clipName('{take}', { ...parts, take: '-' })).toEqual({
      ok: false,
      reason: { code: 'clip.name.empty', values: {} },
    });
    expect(wordsOf('{n}')).toEqual({ ok: true, value: ['n'] });
  });
});

describe('copying, by hand', () => {
  it('takes what has fewest copies first, the largest of those, and counts the bytes of every copy', () => {
    const cards = [
      { cardId: 'one', bytes: 9e9, copies: 1 },
      { cardId: 'small', bytes: 9e9, copies: 0 },
      { cardId: 'large', bytes: 18e9, copies: 0 },
    ];
    const told = offload(cards, 2, 90, false);
    expect(told.runs.map((r) => [r.cardId, r.copies])).toEqual([
      ['large', 2],
      ['small', 2],
      ['one', 1],
    ]);
    expect(told.bytes).toBe(36e9 + 18e9 + 9e9);
    expect(told.seconds).toBeCloseTo(63e9 / 90e6 + 3 * 60, 6);
  });
});
