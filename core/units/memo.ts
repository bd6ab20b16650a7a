/**
 * Remembers the last answer for each key and gives it again while every input is the same object or value.
 * Dropping keys no longer used is the caller's act (`keep`).
 */
export class KeyedMemo<T> {
  private readonly held = new Map<string, { inputs: readonly unknown[]; value: T }>();

  get(key: string, inputs: readonly unknown[], work: () => T): T {
    const entry = this.held.get(key);
    if (
      entry &&
      entry.inputs.length === inputs.length &&
      entry.inputs.every((input, i) => Object.is(input, inputs[i]))
    ) {
      return entry.value;
    }
    const value = work();
    this.held.set(key, { inputs, value });
    return value;
  }

  /** The last answer for a key, if it was given for inputs that begin with these. */
  last(key: string, inputs: readonly unknown[]): T | undefined {
    const entry = this.held.get(key);
    return entry && inputs.every((input, i) => Object.is(input, entry.inputs[i])) ? entry.value : undefined;
  }

  keep(keys: ReadonlySet<string>): void {
    for (const key of this.held.keys()) if (!keys.has(key)) this.held.delete(key);
  }
}
