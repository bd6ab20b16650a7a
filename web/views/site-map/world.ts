import { watch } from 'vue';
import type { PlanMap } from '../../map/map';

/** Address of map tiles the owner set at the start; asked for once. */
let address: Promise<string> | null = null;
const tilesAddress = (): Promise<string> => {
  address ??= fetch('/api/settings')
    .then((r) => r.json() as Promise<{ tiles: string }>)
    .then((s) => s.tiles)
    .catch(() => '');
  return address;
};

const done = new WeakSet<PlanMap>();

/** The wide world under a map, once: shores, and tiles only where an address is set and asked for. */
export const showWorld = async (
  on: PlanMap,
  place: { readonly latitude: number; readonly longitude: number } | null,
  layers: { tiles: boolean; tilesSet: boolean },
): Promise<void> => {
  if (!place || done.has(on)) return;
  done.add(on);
  const [{ outlineLayer }, template] = await Promise.all([import('../../map/outline'), tilesAddress()]);
  on.addUnder(await outlineLayer(place));
  layers.tilesSet = template !== '';
  if (template === '') return;
  const { tileLayer } = await import('../../map/tiles');
  const tiles = tileLayer(template, layers.tiles);
  on.addUnder(tiles);
  watch(
    () => layers.tiles,
    (visible) => tiles.setVisible(visible),
  );
};
