import { worth, whereOf, type Draft, type Where } from './draft';
import type { DayTables } from './timeline';

/** Shots to take out: some near each other, or a whole flight. */
export const ruined = (t: DayTables, draft: Draft, random: () => number): Where[] => {
  const flights = draft.flights.filter((f) => !f.fixed);
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.35) {
    const flight =
      random() < 0.5
        ? [...flights].sort((a, b) => a.route.shots.length - b.route.shots.length)[0]
        : pick(flights);
    const other = random() < 0.5 ? pick(flights) : undefined;
    return [...whereOf(flight), ...(other === flight ? [] : whereOf(other))];
  }
  const seed = pick(flights.flatMap(whereOf));
  if (!seed) return [];
  const own = t.groups[seed.group];
  const mates = flights.filter((f) => f.group === seed.group).flatMap(whereOf);
  const way = own?.waysOf[seed.shot]?.[0] ?? 0;
  const near = mates
    .map((w) => ({
      w,
      d: (own?.between[way]?.[own.waysOf[w.shot]?.[0] ?? 0]?.seconds ?? 0) * (0.6 + random()),
    }))
    .sort((a, b) => a.d - b.d);
  return near.slice(0, 2 + Math.floor(random() * Math.min(10, mates.length))).map((n) => n.w);
};

export const shuffledByWorth = (t: DayTables, shots: readonly Where[], random: () => number): Where[] =>
  shots
    .map((w) => ({ w, key: worth(t, w) * (0.7 + 0.6 * random()) + random() }))
    .sort((a, b) => b.key - a.key)
    .map((x) => x.w);
