import { KeyedMemo } from '@core/units';

/**
 * Answers by the thing asked about: worked out when the question is another than the last one, told when the page does not
 * hold what it was told last. Of a place in work one slate changes; the others need neither be reckoned nor copied again.
 */
export class Answers<T> {
  private readonly known = new KeyedMemo<T>();
  private readonly told = new Map<string, T>();

  /**
   * @param inputs what the answers hang on, compared as values
   * @param held ids whose last told answer the page still has
   */
  fresh<Q>(
    questions: readonly Q[],
    idOf: (q: Q) => string,
    inputs: (q: Q) => readonly unknown[],
    work: (q: Q) => T,
    held: ReadonlySet<string>,
  ): (readonly [id: string, answer: T])[] {
    return questions.flatMap((q) => {
      const id = idOf(q);
      const answer = this.known.get(id, inputs(q), () => work(q));
      if (held.has(id) && this.told.get(id) === answer) return [];
      this.told.set(id, answer);
      return [[id, answer] as const];
    });
  }
}
