import { toLocal } from '@core/geometry';
import type { MultiPolygon as Shores } from 'geojson';
import Feature from 'ol/Feature.js';
import { MultiLineString } from 'ol/geom.js';
import VectorLayer from 'ol/layer/Vector.js';
import VectorSource from 'ol/source/Vector.js';
import { Stroke, Style } from 'ol/style.js';
import { inksNow, thin } from './colours';

/** Shown from this far out: nearer, a coarse shore would only mislead. m per pixel. */
const FROM_RESOLUTION = 120;

/** Shores of the world, coarse (Natural Earth, 1:110 million), for knowing where on earth a place is. */
export const outlineLayer = async (place: { latitude: number; longitude: number }): Promise<VectorLayer> => {
  const [{ default: atlas }, { feature }] = await Promise.all([
    import('world-atlas/land-110m.json'),
    import('topojson-client'),
  ]);
  const land = feature(
    atlas as never,
    (atlas as unknown as { objects: { land: never } }).objects.land,
  ) as unknown as { features: { geometry: Shores }[] };
  const metres = ([lon = 0, lat = 0]: readonly number[]): number[] => {
    const turn = ((lon - place.longitude + 540) % 360) - 180;
    const at = toLocal(place.latitude, place.longitude, lat, place.longitude + turn);
    return [at.xM, at.yM];
  };
  // A shore that leaves one side of the world and comes in at the other would be drawn across all of it.
  const lines = land.features
    .flatMap((f) => f.geometry.coordinates.flat())
    .flatMap((ring) => {
      const pieces: number[][][] = [[]];
      for (const [i, c] of ring.map(metres).entries()) {
        const before = i > 0 ? pieces.at(-1)?.at(-1) : undefined;
        if (before && Math.abs((c[0] ?? 0) - (before[0] ?? 0)) > 1e7) pieces.push([]);
        pieces.at(-1)?.push(c);
      }
      return pieces.filter((p) => p.length > 1);
    });
  return new VectorLayer({
    source: new VectorSource({ features: [new Feature(new MultiLineString(lines))] }),
    zIndex: 0,
    minResolution: FROM_RESOLUTION,
    style: () => new Style({ stroke: new Stroke({ color: thin(inksNow().chalk2, 0.7), width: 1.2 }) }),
  });
};
