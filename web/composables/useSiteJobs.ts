import { wrap, type Remote } from 'comlink';
import type { PlaceJob, SiteWorker } from '../workers/site.worker';
import { useFilm } from '../stores/film';
import { useGrounds } from '../stores/grounds';

/** Places of the open film as they are handed to the worker beside the page: plain data, each ground once. */
export const useSiteJobs = () => {
  const film = useFilm();
  const grounds = useGrounds();
  let worker: Remote<SiteWorker> | null = null;
  const sent = new Set<string>();

  const remote = (): Remote<SiteWorker> => {
    worker ??= wrap<SiteWorker>(
      new Worker(new URL('../workers/site.worker.ts', import.meta.url), { type: 'module', name: 'site' }),
    );
    return worker;
  };

  /** A place as plain data, with its ground sent on before; null when it is gone. */
  const of = async (locationId: string): Promise<PlaceJob | null> => {
    const row = film.list('ground').find((g) => g.locationId === locationId);
    const groundKey = row?.assetId ?? '';
    if (row && !sent.has(groundKey)) {
      const grid = await grounds.gridOf(row).catch(() => null);
      if (grid) {
        await remote().addGround(groundKey, grid);
        sent.add(groundKey);
      }
    }
    const { input } = film;
    const location = input?.locations.find((l) => l.id === locationId);
    if (!input || !location) return null;
    const shots = input.shots.filter((s) => s.locationId === locationId);
    const used = new Set(shots.map((s) => s.aircraftId));
    const here = <T extends { readonly locationId: string }>(list: readonly T[]): T[] =>
      list.filter((t) => t.locationId === locationId);
    return {
      film: input.film,
      location,
      subjects: here(input.subjects),
      features: here(input.features),
      shots,
      aircraft: input.kit.aircraft.filter((a) => used.has(a.id)),
      groundKey,
    };
  };
  return { of, remote };
};
