/** A stored thing as a person knows it, by the first of its states that has a title or a name. */
export const thingNameOf = (...states: readonly (Readonly<Record<string, unknown>> | null)[]): string =>
  states
    .flatMap((s) => [s?.['title'], s?.['name']])
    .filter((n): n is string => typeof n === 'string' && n !== '')[0] ?? '';

export { filterNameOf } from '@core/shot';
