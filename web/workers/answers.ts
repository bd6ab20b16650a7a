/**
 * Answers by the thing asked about: worked out when the question is another than the last one, told when the page does not
 * hold what it was told last. Of a place in work one shot changes; the others need neither be reckoned nor copied again.
 */
export class Answers<T> {
  private readonly known = new Map<string, { readonly about: string; readonly answer: T }>();
  private readonly told = new Map<string, T>();

  /**
   * @param aboutOf all that an answer hangs on, as text
   * @param held ids whose last told answer the page still has
   */
  fresh<Q>(
    questions: readonly Q[],
    idOf: (q: Q) => string,
    aboutOf: (q: Q) => string,
    work: (q: Q) => T,
    held: ReadonlySet<string>,
  ): (readonly [id: string, answer: T])[] {
    return questions.flatMap((q) => {
      const id = idOf(q);
      const answer = this.answerTo(id, aboutOf(q), () => work(q));
      if (held.has(id) && this.told.get(id) === answer) return [];
      this.told.set(id, answer);
      return [[id, answer] as const];
    });
  }

  private answerTo(id: string, about: string, work: () => T): T {
    const before = this.known.get(id);
    if (before?.about === about) return before.answer;
    const answer = work();
    this.known.set(id, { about, answer });
    return answer;
  }
}
