import type { Tables } from './tables';

/**
 * No plan is worth more than this: shots are bought with the energy of all packs, each at least at the price of its takes and the
 * shortest way to it, the dearest for their worth left out last and the last one only in part (fractional knapsack, Dantzig 1957).
 */
export const weightBoundOf = (t: Tables): { readonly weightBound: number } => {
  const { problem } = t;
  const room = problem.packs
    .map((p) => p.usableWh - problem.takeoff.wattHours - problem.landing.wattHours)
    .filter((wh) => wh > 0);
  let left = room.reduce((sum, wh) => sum + wh, 0);
  const biggest = Math.max(0, ...room);
  const items = problem.shots
    .map((shot, i) => {
      const legs = (t.waysOf[i] ?? []).map((way) => {
        const others = t.between.flatMap((row, from) =>
          t.shotOf[from] === i ? [] : [row[way]?.wattHours ?? Infinity],
        );
        return Math.min(t.out[way]?.wattHours ?? Infinity, ...others);
      });
      return { worth: shot.weight, wh: shot.performWh + Math.min(...legs) };
    })
    .filter((item) => item.wh <= biggest + 1e-9)
    .sort((a, b) => b.worth / b.wh - a.worth / a.wh);
  let weightBound = 0;
  for (const { worth, wh } of items) {
    const share = Math.min(1, Math.max(0, left / wh));
    weightBound += worth * share;
    left -= wh * share;
  }
  return { weightBound };
};
