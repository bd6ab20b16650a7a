import type { Filter } from '../model';

/** A filter as it is called, with the mark it is set to where it has several. */
export const filterNameOf = (filters: readonly Filter[], id: string | null, stops?: number): string => {
  if (id === null) return 'no filter';
  const filter = filters.find((f) => f.id === id);
  if (!filter) return 'a filter that is gone';
  return filter.kind === 'variable' && stops !== undefined
    ? `${filter.name} at ${stops.toFixed(0)} stops`
    : filter.name;
};
