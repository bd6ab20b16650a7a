import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Answers } from './answers';

interface Asked {
  readonly id: string;
  readonly about: number;
}
const asked = fc.uniqueArray(
  fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), about: fc.integer({ min: 0, max: 2 }) }),
  { selector: (q) => q.id },
);
const round = fc.record({ questions: asked, lost: fc.subarray(['a', 'b', 'c', 'd']) });

describe('answers told as far as they are lacking', () => {
  it('lead to what telling everything leads to, whatever the page loses between', () => {
    fc.assert(
      fc.property(fc.array(round, { maxLength: 12 }), (rounds) => {
        const answers = new Answers<{ readonly of: number }>();
        const page = new Map<string, { readonly of: number }>();
        for (const { questions, lost } of rounds) {
          for (const id of lost) page.delete(id);
          const fresh = answers.fresh(
            questions,
            (q: Asked) => q.id,
            (q) => String(q.about),
            (q) => ({ of: q.about }),
            new Set(page.keys()),
          );
          for (const [id, answer] of fresh) page.set(id, answer);
          for (const q of questions) expect(page.get(q.id)).toEqual({ of: q.about });
        }
      }),
    );
  });

  it('work out and tell only the shot that changed', () => {
    const answers = new Answers<string>();
    const worked: string[] = [];
    const ask = (a: number, held: string[]): readonly (readonly [string, string])[] =>
      answers.fresh(
        [
          { id: 'a', about: a },
          { id: 'b', about: 7 },
        ],
        (q) => q.id,
        (q) => String(q.about),
        (q) => {
          worked.push(q.id);
          return `${q.id}${q.about}`;
        },
        new Set(held),
      );
    expect(ask(1, [])).toEqual([
      ['a', 'a1'],
      ['b', 'b7'],
    ]);
    worked.length = 0;
    expect(ask(2, ['a', 'b'])).toEqual([['a', 'a2']]);
    expect(worked).toEqual(['a']);
    expect(ask(2, ['a', 'b'])).toEqual([]);
    expect(ask(2, ['a'])).toEqual([['b', 'b7']]);
    expect(worked).toEqual(['a']);
  });
});
