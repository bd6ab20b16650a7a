import type { FilmSummary } from './api';
import { snapshots } from './snapshots';

/** The films this device has, as the list of films shows them. */
export const filmsOnDevice = async (): Promise<FilmSummary[]> =>
  (await snapshots()).map(({ filmId, rows, atMs }) => {
    const of = (kind: string): number => rows.filter((r) => r.kind === kind).length;
    const film = rows.find((r) => r.kind === 'film')?.value as { readonly name: string } | undefined;
    return {
      id: filmId,
      name: film?.name ?? '',
      locations: of('location'),
      shots: of('shot'),
      updatedAt: new Date(atMs).toISOString(),
    };
  });
