import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { FilmFile } from '@contract';
import { packHeights, type HeightGrid } from '@core/terrain';
import { demoId } from './ids';

type Height = (xM: number, yM: number) => number;

const smooth = (t: number): number => {
  const u = Math.min(1, Math.max(0, t));
  return u * u * (3 - 2 * u);
};
/** Small bumps that fade out about the origin, so that the meadow one launches from is a meadow. */
const bumps = (x: number, y: number): number =>
  Math.min(1, Math.hypot(x, y - 60) / 260) ** 2 *
  (2.1 * Math.sin(x / 71 + Math.sin(y / 93)) * Math.cos(y / 58 + Math.sin(x / 117)) +
    1.1 * Math.sin(x / 29 + 1.7 * Math.cos(y / 41)) * Math.sin(y / 33 + 1.3 * Math.cos(x / 37)) +
    0.35 * Math.cos(x / 11 + 2 * Math.sin(y / 17)) * Math.cos(y / 13));

/** A meadow in a narrow valley: banks rise to the ends of the viaduct, a ridge closes the north, the south falls to a stream. */
export const viaductGround: Height = (x, y) => {
  const floor = 52 + Math.max(0, 140 - y) * 0.62;
  const bank = 62 * smooth((Math.abs(x - 20) - floor) / 150);
  const ridge = 84 * smooth((y - 230) / 260);
  const fall = -26 * smooth((-95 - y) / 170) + 4 * smooth((-330 - y) / 120);
  return 640 + Math.max(bank, ridge * 0.6) + ridge * 0.4 + fall + bumps(x, y);
};

/** Slate steps up a hillside that gets steeper, with the quarry's bowl to the east. */
export const terraceGround: Height = (x, y) => {
  const slope = y <= 118 ? 0 : 6 * smooth((y - 118) / 30) + Math.max(0, y - 148) * 0.34;
  const steps = y > 150 ? 2.2 * Math.sin((y - 150) / 6.5) * smooth((y - 150) / 40) : 0;
  const bowl = -18 * smooth(1 - Math.hypot(x - 260, y - 60) / 120);
  const south = -30 * smooth((-60 - y) / 220);
  return 820 + slope + steps + bowl + south + bumps(x, y + 20);
};

const rasterOf = (height: Height, side: number, cellM: number): HeightGrid => {
  const from = -((side - 1) * cellM) / 2;
  return {
    columns: side,
    rows: side,
    cellM,
    westM: from,
    southM: from,
    heights: Float32Array.from({ length: side * side }, (_, i) =>
      height(from + (i % side) * cellM, from + Math.floor(i / side) * cellM),
    ),
  };
};

export const demoRaster = (height: Height): HeightGrid => rasterOf(height, 201, 5);

type Ground = FilmFile['grounds'][number];
type Asset = FilmFile['assets'][number];

/** The made-up ground of a place: the same on every machine. */
export const demoGround = (
  n: number,
  locationId: string,
  name: string,
  height: Height,
): { ground: Ground; asset: Asset } => {
  const { head, bytes } = packHeights(demoRaster(height));
  // Level 9 without a time stamp: the same bytes each time.
  const packed = gzipSync(bytes, { level: 9 });
  const id = createHash('sha256').update(packed).digest('hex');
  return {
    ground: { id: demoId(11, n), locationId, assetId: id, name, ...head },
    asset: { id, mime: 'application/x-heights', data: packed.toString('base64') },
  };
};
