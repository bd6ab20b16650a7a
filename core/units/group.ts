/** Things by a key, keys in the order they first come. */
export const groupBy = <T, K>(list: Iterable<T>, keyOf: (thing: T) => K): Map<K, T[]> => {
  const groups = new Map<K, T[]>();
  for (const thing of list) {
    const key = keyOf(thing);
    const group = groups.get(key);
    if (group) group.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
};

/** Rows in the order of their keys; equal keys fall back to the id, so that every machine agrees. */
export const inOrder = <T extends { readonly position: string; readonly id: string }>(
  list: readonly T[],
): T[] =>
  [...list].sort((a, b) =>
    a.position < b.position ? -1 : a.position > b.position ? 1 : a.id < b.id ? -1 : 1,
  );

/** Arithmetic mean; 0 of nothing. */
export const mean = (list: readonly number[]): number =>
  list.length === 0 ? 0 : list.reduce((sum, x) => sum + x, 0) / list.length;
