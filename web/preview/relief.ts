import { extentOf, heightIn, type Ground } from '@core/terrain';
import { Mesh, MeshLambertMaterial, PlaneGeometry, type Texture } from 'three';

/** Most cells along a side: finer is not seen at the speed of a preview. */
const MOST = 150;
/** Metres the ground's texture spans. */
const TEXTURE_M = 100;

/** The known ground of a place as a surface with its heights; null where none is known. Holes lie level with the origin. */
export const relief = (
  { grid, zeroM }: Ground,
  texture: Texture,
): { readonly mesh: Mesh; readonly lowestM: number } | null => {
  if (!grid) return null;
  const { west, south, east, north } = extentOf(grid);
  const [across, along] = [Math.min(MOST, grid.columns - 1), Math.min(MOST, grid.rows - 1)];
  const geometry = new PlaneGeometry(east - west, north - south, across, along)
    .rotateX(-Math.PI / 2)
    .translate((west + east) / 2, 0, -(south + north) / 2);
  const [at, uv] = [geometry.getAttribute('position'), geometry.getAttribute('uv')];
  let lowestM = 0;
  for (let i = 0; i < at.count; i += 1) {
    const [x, y] = [at.getX(i), -at.getZ(i)];
    // The outermost middles lie on the edge, where rounding could fall off it.
    const h = heightIn(grid, Math.min(east, Math.max(west, x)), Math.min(north, Math.max(south, y))) - zeroM;
    const height = Number.isNaN(h) ? 0 : h;
    at.setY(i, height);
    uv.setXY(i, x / TEXTURE_M, y / TEXTURE_M);
    if (height < lowestM) lowestM = height;
  }
  geometry.computeVertexNormals();
  return { mesh: new Mesh(geometry, new MeshLambertMaterial({ map: texture })), lowestM };
};
