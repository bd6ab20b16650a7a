/** Work that can be left off between its steps. */
export type Steps<T> = Generator<undefined, T>;

/** Runs steps to their end. @returns what they come to */
export const toEnd = <T>(steps: Steps<T>): T => {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
};
