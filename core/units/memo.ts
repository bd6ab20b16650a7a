/**
 * Remembers the last answer for each key and gives it again while every input is the same object or value. What it works out
 * depends on its inputs alone: the work is given once, and receives nothing but them.
 */
export class KeyedMemo<I extends object, T> {
  private readonly entries = new Map<string, { readonly inputs: I; readonly value: T }>();

  constructor(private readonly work: (inputs: I) => T) {}

  get(key: string, inputs: I): T {
    const entry = this.entries.get(key);
    if (entry && sameInputs(entry.inputs, inputs)) return entry.value;
    const value = this.work(inputs);
    this.entries.set(key, { inputs, value });
    return value;
  }

  /** Forgets what no key asks for any more. */
  keep(keys: ReadonlySet<string>): void {
    for (const key of this.entries.keys()) if (!keys.has(key)) this.entries.delete(key);
  }
}

/** Whether two inputs have the same value in every field. Both have the fields of one type. */
const sameInputs = <I extends object>(a: I, b: I): boolean => {
  for (const field in b) if (!Object.is(a[field], b[field])) return false;
  return true;
};
