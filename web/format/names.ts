import type { Filter } from '@core/model';

/** A stored thing as a person knows it, by the first of its states that has a title or a name. */
export const thingNameOf = (...states: readonly (Readonly<Record<string, unknown>> | null)[]): string =>
  states
    .flatMap((s) => [s?.['title'], s?.['name']])
    .filter((n): n is string => typeof n === 'string' && n !== '')[0] ?? '';

/** A filter as it is called, with the mark it is set to where it has several. */
export const filterNameOf = (filters: readonly Filter[], id: string | null, stops?: number): string => {
  if (id === null) return 'no filter';
  const filter = filters.find((f) => f.id === id);
  if (!filter) return 'a filter that is gone';
  return filter.kind === 'variable' && stops !== undefined
    ? `${filter.name} at ${stops.toFixed(0)} stops`
    : filter.name;
};
