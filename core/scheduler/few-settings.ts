/** Most different settings the planner holds: they are bits of one number. */
export const MOST_SETTINGS = 30;

/**
 * Which settings are kept where there are more than the planner holds: first those that leave no shot without one, the one most of
 * the shots still waiting can be flown with before the others (greedy cover, Chvátal 1979), then those most shots can be flown with.
 * @param settings of each shot
 * @param most how many may be kept
 * @returns the same lists without what is not kept; all of them as they stand where they are few enough
 */
export const fewSettings = (
  settings: readonly (readonly string[])[],
  most = MOST_SETTINGS,
): readonly (readonly string[])[] => {
  const all = [...new Set(settings.flat())];
  if (all.length <= most) return settings;
  const kept = new Set<string>();
  const shotsWith = (key: string, of: readonly (readonly string[])[]): number =>
    of.filter((s) => s.includes(key)).length;
  while (kept.size < most) {
    const waiting = settings.filter((s) => s.length > 0 && !s.some((key) => kept.has(key)));
    const of = waiting.length > 0 ? waiting : settings;
    const next = all
      .filter((key) => !kept.has(key))
      .reduce((best, key) => (shotsWith(key, of) > shotsWith(best, of) ? key : best));
    kept.add(next);
  }
  return settings.map((s) => s.filter((key) => kept.has(key)));
};
