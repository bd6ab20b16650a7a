import { SEEN, type HeightGrid } from '@core/terrain';
import { pinned, type Pin } from '@core/site';
import ImageLayer from 'ol/layer/Image.js';
import ImageCanvas from 'ol/source/ImageCanvas.js';

/** How a picture is laid into the map: its pixels to local metres. */
interface Laid {
  readonly image: CanvasImageSource;
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
  readonly smooth: boolean;
}

type Extent = readonly number[];

/** A layer that draws one picture, turned and scaled to where it lies. */
export const pictureLayer = (laid: Laid, opacity: number, zIndex: number): ImageLayer<ImageCanvas> =>
  new ImageLayer({
    opacity,
    zIndex,
    source: new ImageCanvas({
      ratio: 1.2,
      canvasFunction: (extent: Extent, resolution: number, pixelRatio: number, size: readonly number[]) => {
        const canvas = document.createElement('canvas');
        canvas.width = Math.max(1, Math.round(size[0] ?? 1));
        canvas.height = Math.max(1, Math.round(size[1] ?? 1));
        const context = canvas.getContext('2d');
        if (!context) return canvas;
        const [west, north] = [extent[0] ?? 0, extent[3] ?? 0];
        const k = pixelRatio / resolution;
        context.imageSmoothingEnabled = laid.smooth;
        context.setTransform(
          laid.a * k,
          -laid.d * k,
          laid.b * k,
          -laid.e * k,
          (laid.c - west) * k,
          (north - laid.f) * k,
        );
        context.drawImage(laid.image, 0, 0);
        return canvas;
      },
    }),
  });

/** Where a raster's own picture (a pixel a cell, rows from the north) lies. */
const laidGrid = (image: HTMLCanvasElement, grid: HeightGrid, smooth: boolean): Laid => ({
  image,
  smooth,
  a: grid.cellM,
  b: 0,
  c: grid.westM - grid.cellM / 2,
  d: 0,
  e: -grid.cellM,
  f: grid.southM + (grid.rows - 0.5) * grid.cellM,
});

const canvasOf = (
  grid: HeightGrid,
  paint: (i: number, rgba: Uint8ClampedArray, at: number) => void,
): HTMLCanvasElement => {
  const canvas = document.createElement('canvas');
  canvas.width = grid.columns;
  canvas.height = grid.rows;
  const context = canvas.getContext('2d');
  if (!context) return canvas;
  const image = context.createImageData(grid.columns, grid.rows);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1)
      paint(row * grid.columns + column, image.data, ((grid.rows - 1 - row) * grid.columns + column) * 4);
  context.putImageData(image, 0, 0);
  return canvas;
};

/** The ground by its shade, in the tones of the theme: warm shot by dusk, paper by noon. */
export const shadeLayer = (grid: HeightGrid, shade: Float32Array, noon: boolean): ImageLayer<ImageCanvas> => {
  const [dark, light] = noon
    ? ([
        [176, 166, 148],
        [250, 246, 236],
      ] as const)
    : ([
        [20, 16, 24],
        [94, 86, 92],
      ] as const);
  const image = canvasOf(grid, (i, rgba, at) => {
    const s = shade[i] ?? NaN;
    if (Number.isNaN(s)) return;
    for (let k = 0; k < 3; k += 1)
      rgba[at + k] = (dark[k] ?? 0) + ((light[k] ?? 0) - (dark[k] ?? 0)) * Math.min(1, s * 1.15);
    rgba[at + 3] = 255;
  });
  return pictureLayer(laidGrid(image, grid, true), 1, 1);
};

/** What is not seen lies under a dark veil with a grain; what is too far or unknown under a lighter one. */
export const seenLayer = (grid: HeightGrid, cells: Uint8Array, noon: boolean): ImageLayer<ImageCanvas> => {
  const veil: Readonly<Record<number, readonly [number, number, number, number]>> = noon
    ? {
        [SEEN.hidden]: [120, 20, 10, 120],
        [SEEN.ground]: [60, 40, 20, 160],
        [SEEN.unknown]: [90, 90, 90, 70],
        [SEEN.beyond]: [60, 60, 80, 70],
      }
    : {
        [SEEN.hidden]: [150, 30, 24, 130],
        [SEEN.ground]: [70, 40, 30, 190],
        [SEEN.unknown]: [0, 0, 0, 110],
        [SEEN.beyond]: [0, 0, 10, 120],
      };
  const image = canvasOf(grid, (i, rgba, at) => {
    const tone = veil[cells[i] ?? 0];
    if (!tone) return;
    // Every other cell lighter: told apart from a shadow without its colour.
    const grain = cells[i] === SEEN.hidden && (i + Math.floor(i / grid.columns)) % 2 === 0 ? 0.72 : 1;
    for (let k = 0; k < 4; k += 1) rgba[at + k] = (tone[k] ?? 0) * (k === 3 ? grain : 1);
  });
  return pictureLayer(laidGrid(image, grid, false), 1, 4);
};

/** A picture somebody brought, where its pins put it; null while the pins do not tell. */
export const pinnedLayer = (
  image: CanvasImageSource,
  pins: readonly Pin[],
  opacity: number,
  scale: number,
): ImageLayer<ImageCanvas> | null => {
  const laid = pinned(pins);
  if (!laid.ok) return null;
  const { a, b, c, d, e, f } = laid.value;
  return pictureLayer(
    { image, smooth: true, a: a * scale, b: b * scale, c, d: d * scale, e: e * scale, f },
    opacity,
    2,
  );
};
