import { fromLocal, toLocal } from '@core/geometry';
import { addCoordinateTransforms, addProjection, get, Projection } from 'ol/proj.js';

/** Metres east and north of a place's origin, as a projection of the map. */
export const localProjection = (latitude: number, longitude: number): Projection => {
  const code = `LOCAL:${latitude},${longitude}`;
  const known = get(code);
  if (known) return known;
  const projection = new Projection({
    code,
    units: 'm',
    extent: [-20_000, -20_000, 20_000, 20_000],
    worldExtent: [-180, -90, 180, 90],
  });
  addProjection(projection);
  const out = (c: readonly number[]): number[] => {
    const at = fromLocal(latitude, longitude, c[0] ?? 0, c[1] ?? 0);
    return [at.longitude, at.latitude];
  };
  const back = (c: readonly number[]): number[] => {
    const at = toLocal(latitude, longitude, c[1] ?? 0, c[0] ?? 0);
    return [at.xM, at.yM];
  };
  addCoordinateTransforms('EPSG:4326', projection, back, out);
  return projection;
};
