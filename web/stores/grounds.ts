import { groundOf, unpackHeights, type Ground, type HeightGrid } from '@core/terrain';
import type { Entity } from '@core/model';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import { useFilm } from './film';
import { tr } from './messages';

/** Bytes unpacked by the platform. */
const unpacked = async (packed: ArrayBuffer): Promise<Uint8Array> =>
  new Uint8Array(
    await new Response(
      new Blob([packed]).stream().pipeThrough(new DecompressionStream('gzip')),
    ).arrayBuffer(),
  );

const fetchGrid = async (row: Entity<'ground'>): Promise<HeightGrid> => {
  const response = await fetch(`/api/assets/${row.assetId}`);
  if (!response.ok) throw new Error(tr('theHeightsOfNameAre', { name: row.name }));
  const grid = unpackHeights(row, await unpacked(await response.arrayBuffer()));
  if (!grid) throw new Error(tr('theHeightsOfNameAreDamaged', { name: row.name }));
  return grid;
};

/** Rasters of heights of the open film's places, fetched once and handed to the reckoning. */
export const useGrounds = defineStore('grounds', () => {
  const film = useFilm();
  const grids = new Map<string, Promise<HeightGrid>>();
  const trouble = shallowRef('');
  let asked = 0;

  /** The raster behind a row, fetched at most once. */
  const gridOf = (row: Entity<'ground'>): Promise<HeightGrid> => {
    const known = grids.get(row.assetId) ?? fetchGrid(row);
    grids.set(row.assetId, known);
    known.catch(() => {
      grids.delete(row.assetId);
    });
    return known;
  };
  /** Takes a raster that has just been brought in, so that it need not be fetched. */
  const keep = (assetId: string, grid: HeightGrid): void => {
    grids.set(assetId, Promise.resolve(grid));
  };

  const gather = async (): Promise<void> => {
    const turn = ++asked;
    const rows = film.list('ground');
    const places = new Map(film.list('location').map((l) => [l.id, l]));
    const loaded = await Promise.all(
      rows.map(async (row): Promise<[string, Ground] | null> => {
        const place = places.get(row.locationId);
        try {
          return place ? [row.locationId, groundOf(await gridOf(row), place.elevationM)] : null;
        } catch (error) {
          trouble.value = error instanceof Error ? error.message : String(error);
          return null;
        }
      }),
    );
    if (turn === asked) film.terrain = new Map(loaded.filter((t) => t !== null));
  };
  // Only what a ground is made of: a place's notes do not matter here.
  watch(
    () =>
      [
        film.filmId,
        ...film
          .list('ground')
          .map((g) => `${g.locationId} ${g.assetId} ${film.get('location', g.locationId)?.elevationM ?? ''}`),
      ].join(),
    () => {
      trouble.value = '';
      if (film.list('ground').length > 0 || film.terrain.size > 0) void gather();
    },
    { immediate: true },
  );

  return { trouble, gridOf, keep };
});
