import fc from 'fast-check';
import { said } from '../testing';
import { describe, expect, it } from 'vitest';
import { move } from './fixtures';
import { CARD_ACTS } from '../model/card';
import { CARD_SPOTS, type CardMove } from '../model';
import { after, atRiskGB, cardsNow, lifeOf, moveFault, stateOf } from './life';
import { CARD_CHANGE_S, offload } from './offload';
import { clipName, CLIP_WORDS, wordsOf, type ClipParts } from './naming';
import { numberIn } from '../testing';

const card = {
  id: 'c',
  name: 'Card C',
  nominalGB: 64,
  usedGB: 0,
  writeMBs: 30,
  notes: '',
  typical: [],
  retired: false,
};
const moves = fc
  .array(
    fc.record({
      act: fc.constantFrom(...CARD_ACTS),
      spot: fc.option(fc.constantFrom(...CARD_SPOTS)),
      gb: numberIn(0, 80),
      copiesWanted: fc.integer({ min: 1, max: 3 }),
      waiver: fc.constantFrom('', ' ', 'client said so'),
    }),
    { maxLength: 40 },
  )
  .map((list) =>
    list.map((m, i): CardMove => ({ ...m, id: `m${i}`, cardId: 'c', utcMs: i, aircraftId: null })),
  );

describe('the life of a card', () => {
  it('goes from the bag to the aircraft, the computer, two copies and a format', () => {
    const steps: [CardMove, string][] = [
      [move('put', { spot: 'aircraft', aircraftId: 'a' }), 'in-aircraft'],
      [move('record', { gb: 12 }), 'in-aircraft'],
      [move('put', { spot: 'case' }), 'holds'],
      [move('copy', { spot: 'computer' }), 'copied'],
      [move('copy'), 'safe'],
      [move('format', { spot: 'bag' }), 'formatted'],
    ];
    steps.reduce(
      (life, [m, state]) => {
        const next = after(life, m, card);
        expect(stateOf(next, 2)).toBe(state);
        return next;
      },
      lifeOf(card, []),
    );
    expect(stateOf(lifeOf(card, []), 2)).toBe('empty');
    expect(stateOf(lifeOf({ ...card, usedGB: 3 }, []), 2)).toBe('holds');
  });
  it('loses footage by no sequence of entries but a format that had its copies, or says why it had not', () => {
    fc.assert(
      fc.property(moves, (list) => {
        let life = lifeOf(card, []);
        for (const m of list) {
          const next = after(life, m, card);
          const lost = next.usedGB < life.usedGB - 1e-9;
          if (lost) {
            expect(['format', 'correct']).toContain(m.act);
            const gone = life.usedGB - next.usedGB;
            if (life.copies < m.copiesWanted && gone > 1e-3) {
              expect(m.waiver.trim()).not.toBe('');
              expect(next.waived).toEqual({ utcMs: m.utcMs, reason: m.waiver, gb: gone });
            }
          }
          // What is new has no copy, and a place is only where it was put.
          if (m.act === 'record' && next.usedGB > life.usedGB + 1e-3) expect(next.copies).toBe(0);
          expect(next.usedGB).toBeLessThanOrEqual(card.nominalGB);
          expect(next.usedGB).toBeGreaterThanOrEqual(0);
          if (moveFault(life, m, card) !== null) expect(next).toBe(life);
          life = next;
        }
        expect(lifeOf(card, list)).toEqual(life);
        expect(lifeOf(card, [...list].reverse())).toEqual(life);
        const now = cardsNow([card], list);
        expect(now[0]!.usedGB).toBe(life.usedGB);
        // Asked again of what it answered, it counts nothing twice.
        expect(cardsNow(now, list)[0]!.usedGB).toBe(life.usedGB);
        expect(lifeOf(now[0]!, list)).toEqual(life);
        expect(atRiskGB(life, 2)).toBe(life.copies >= 2 ? 0 : life.usedGB);
      }),
    );
  });
  it('says what cannot be', () => {
    const full = lifeOf({ ...card, usedGB: 60 }, []);
    expect(said(moveFault(full, move('format'), card))).toMatch(
      /Card C holds 60\.0 GB copied nowhere; 2 copies/,
    );
    expect(moveFault(full, move('format', { waiver: 'test shots' }), card)).toBeNull();
    expect(said(moveFault(full, move('record', { gb: 5 }), card))).toMatch(/4\.0 GB left/);
    expect(said(moveFault(lifeOf(card, []), move('copy'), card))).toMatch(/nothing on Card C/);
    expect(said(moveFault(lifeOf(card, []), move('record'), card))).toMatch(/how much/);
    expect(said(moveFault(full, move('correct', { gb: 65 }), card))).toMatch(/cannot hold/);
  });
});

describe('copying of an evening', () => {
  it('takes bytes over MB/s for each copy, twice with reading back, and a change for each card', () => {
    // 36 GB at 90 MB/s are 400 s; two copies read back are 1600 s; one card change.
    expect(offload([{ cardId: 'a', bytes: 36e9, copies: 0 }], 2, 90, true).seconds).toBeCloseTo(
      1600 + CARD_CHANGE_S,
      6,
    );
    expect(offload([{ cardId: 'a', bytes: 36e9, copies: 1 }], 2, 90, false).seconds).toBeCloseTo(
      400 + CARD_CHANGE_S,
      6,
    );
    expect(
      offload(
        [
          { cardId: 'a', bytes: 36e9, copies: 2 },
          { cardId: 'b', bytes: 0, copies: 0 },
        ],
        2,
        90,
        true,
      ),
    ).toEqual({ runs: [], seconds: 0, bytes: 0 });
  });
  it('a faster reader never takes longer, and what has no copy yet comes first', () => {
    const list = fc
      .array(
        fc.record({ bytes: fc.integer({ min: 0, max: 6e10 }), copies: fc.integer({ min: 0, max: 2 }) }),
        { maxLength: 8 },
      )
      .map((l) => l.map((c, i) => ({ ...c, cardId: `${i}` })));
    fc.assert(
      fc.property(list, fc.integer({ min: 20, max: 300 }), (cards, speed) => {
        const { runs, seconds } = offload(cards, 2, speed, true);
        expect(offload(cards, 2, speed * 2, true).seconds).toBeLessThanOrEqual(seconds);
        expect(runs.map((r) => 2 - r.copies)).toEqual(runs.map((r) => 2 - r.copies).sort((a, b) => a - b));
        runs.forEach((r, i) => expect(r.fromS).toBe(runs[i - 1]?.toS ?? 0));
      }),
    );
  });
});

const parts: ClipParts = {
  film: 'The Valdegris line',
  place: 'Salt pans',
  shot: '07',
  title: 'Leave it',
  take: '2',
  date: '2027-05-14',
  card: 'Card A',
  n: '0031',
};
describe('names of clips', () => {
  it('are filled in, and say what they cannot be made of', () => {
    expect(clipName('{film}_{place}_{shot}_t{take}', parts)).toEqual({
      ok: true,
      value: 'The-Valdegris-line_Salt-pans_07_t2',
    });
    expect(clipName('{shot}_{colour}_{take}', parts)).toMatchObject({
      ok: false,
      reason: { code: 'clip.name.unknown', values: { word: '{colour}' } },
    });
    expect(clipName('{shot}', parts)).toMatchObject({ ok: false });
    expect(clipName('{take', parts)).toMatchObject({ ok: false });
    expect(wordsOf('{n}-{card}')).toEqual({ ok: true, value: ['n', 'card'] });
  });
  it('hold nothing a file system trips over, whatever things are called', () => {
    fc.assert(
      fc.property(
        fc.record(
          Object.fromEntries(
            CLIP_WORDS.map((w) => [w, fc.string({ unit: 'grapheme', maxLength: 30 })]),
          ) as Record<keyof ClipParts, fc.Arbitrary<string>>,
        ),
        fc.string({ maxLength: 12 }).filter((s) => !/[{}]/.test(s)),
        (p, between) => {
          const name = clipName(`{film}${between}{shot}_{take}`, { ...p, take: '3' });
          expect(name.ok).toBe(true);
          if (name.ok) {
            expect(name.value).not.toMatch(/[\\/:*?"<>|\s\p{Cc}]/u);
            expect(name.value).not.toMatch(/^[-_.]|[-_.]$/);
            expect(name.value.length).toBeLessThanOrEqual(120);
          }
        },
      ),
    );
  });

  it('new footage has no copies, whatever was copied before', () => {
    const life = (acts: readonly CardMove['act'][]) =>
      lifeOf(
        card,
        acts.map((act, n) => move(act, act === 'record' ? { gb: 5 } : {}, n)),
      );
    expect(life(['record', 'copy', 'copy']).copies).toBe(2);
    expect(life(['record', 'copy', 'copy', 'record'])).toMatchObject({ copies: 0, usedGB: 10 });
  });
});
