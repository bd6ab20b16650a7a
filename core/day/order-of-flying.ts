import type { Shot } from '../model';

/** Pairs of shots of which the first is flown before the second, from what a person wants of their turns. */
export const beforePairs = (
  shots: readonly Pick<Shot, 'id' | 'locationId' | 'turn' | 'afterId'>[],
): [string, string][] => {
  const here = new Set(shots.map((s) => s.id));
  return shots.flatMap((s): [string, string][] => {
    const others =
      s.turn === 'any'
        ? []
        : shots.filter((o) => o.id !== s.id && o.locationId === s.locationId && o.turn !== s.turn);
    return [
      ...(s.afterId !== null && here.has(s.afterId) ? [[s.afterId, s.id] as [string, string]] : []),
      ...(s.turn === 'first'
        ? others.map((o): [string, string] => [s.id, o.id])
        : s.turn === 'last'
          ? others.map((o): [string, string] => [o.id, s.id])
          : []),
    ];
  });
};

/**
 * Shots whose turns contradict each other: each is to come before the next, and the last before the first (depth-first search).
 * @returns the shortest such ring found, by ids; empty where there is none
 */
export const contradiction = (pairs: readonly (readonly [string, string])[]): string[] => {
  const next = new Map<string, string[]>();
  for (const [a, b] of pairs) next.set(a, [...(next.get(a) ?? []), b]);
  let best: string[] = [];
  for (const start of next.keys()) {
    // Breadth first: the first way back to where it began is the shortest.
    const from = new Map<string, string>();
    const queue = [start];
    for (let id = queue.shift(); id !== undefined; id = queue.shift()) {
      for (const to of next.get(id) ?? []) {
        if (to === start) {
          const ring = [id];
          for (let at = id; at !== start; at = from.get(at) ?? start) {
            const before = from.get(at);
            if (before !== undefined) ring.unshift(before);
          }
          if (best.length === 0 || ring.length < best.length) best = ring;
          queue.length = 0;
          break;
        }
        if (!from.has(to)) {
          from.set(to, id);
          queue.push(to);
        }
      }
    }
  }
  return best;
};
