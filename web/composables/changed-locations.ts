import type { FilmInput } from '@core/model';

/** Places that are not as they were: something of theirs changed, or something all of them share. */
export const changedLocations = (before: FilmInput | null, now: FilmInput): Iterable<string> => {
  if (
    !before ||
    before.film !== now.film ||
    before.kit.aircraft !== now.kit.aircraft ||
    before.terrain !== now.terrain
  )
    return now.locations.map((l) => l.id);
  const changed = new Set<string>();
  const compare = (
    a: readonly { readonly id: string }[],
    b: readonly { readonly id: string }[],
    placeOf: (t: { readonly id: string }) => string,
  ): void => {
    if (a === b) return;
    // A held slider changes one row of many and moves none.
    if (a.length === b.length && a.every((t, i) => t.id === b[i]?.id)) {
      b.forEach((t, i) => {
        const old = a[i];
        if (old && old !== t) {
          changed.add(placeOf(old));
          changed.add(placeOf(t));
        }
      });
      return;
    }
    const known = new Map(a.map((t) => [t.id, t]));
    for (const t of b) {
      const old = known.get(t.id);
      if (old !== t) for (const row of old ? [old, t] : [t]) changed.add(placeOf(row));
      known.delete(t.id);
    }
    for (const gone of known.values()) changed.add(placeOf(gone));
  };
  const ofPlace = (t: { readonly id: string }): string =>
    (t as { readonly locationId?: string }).locationId ?? '';
  compare(before.locations, now.locations, (l) => l.id);
  for (const kind of ['shots', 'subjects', 'features'] as const) compare(before[kind], now[kind], ofPlace);
  return changed;
};
