type Thing = Readonly<Record<string, unknown>>;

const same = (a: unknown, b: unknown): boolean => Object.is(a, b) || JSON.stringify(a) === JSON.stringify(b);

/** Fields in which two states of a thing differ. */
export const changedFields = (from: Thing, to: Thing): string[] =>
  [...new Set([...Object.keys(from), ...Object.keys(to)])].filter((key) => !same(from[key], to[key]));

export interface Merge {
  readonly value: Thing;
  /** Fields both sides changed differently; empty when the two go together by themselves. */
  readonly clashing: readonly string[];
}

/** Three-way merge by field: what only one side changed is taken from it, what both changed differently is named. */
export const merge = (base: Thing, mine: Thing, theirs: Thing): Merge => {
  const my = changedFields(base, mine);
  const their = new Set(changedFields(base, theirs));
  return {
    value: { ...theirs, ...Object.fromEntries(my.map((key) => [key, mine[key]])) },
    clashing: my.filter((key) => their.has(key) && !same(mine[key], theirs[key])),
  };
};

/** A state with the fields that differ between `from` and `to` set as in `to`: how an undo leaves others' work alone. */
export const patched = (now: Thing, from: Thing, to: Thing): Thing => ({
  ...now,
  ...Object.fromEntries(changedFields(from, to).map((key) => [key, to[key]])),
});
