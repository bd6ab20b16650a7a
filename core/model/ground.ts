import { String as Str } from '@sinclair/typebox';
import { between, flag, listOf, name, oneOf, strict, text, uuid, whole, type Stored } from './schema';
import { mapMetres } from './feature';

/** Content of a file kept beside the rows, named by its SHA-256. */
export const assetId = () => Str({ pattern: '^[0-9a-f]{64}$' });
export const ASSET_MIMES = ['image/png', 'image/jpeg', 'image/webp', 'application/x-heights'] as const;
export type AssetMime = (typeof ASSET_MIMES)[number];
/** Largest file kept beside the rows, bytes. */
export const ASSET_LIMIT = 12_000_000;

/** Where the height grid of a location lies; the heights are in a file. */
export const GroundSchema = strict({
  id: uuid(),
  locationId: uuid(),
  assetId: assetId(),
  name: name(),
  columns: whole(2, 4000, { title: 'Columns' }),
  rows: whole(2, 4000, { title: 'Rows' }),
  cellM: between(0.05, 5000, { title: 'Cell size', unit: 'm' }),
  westM: between(-100_000, 100_000, { title: 'West edge', unit: 'm' }),
  southM: between(-100_000, 100_000, { title: 'South edge', unit: 'm' }),
  lowM: between(-12_000, 10_000, { title: 'Lowest', unit: 'm' }),
  highM: between(-12_000, 10_000, { title: 'Highest', unit: 'm' }),
});

/** A picture laid under the map, pinned at two or three places. */
export const PictureSchema = strict({
  id: uuid(),
  locationId: uuid(),
  assetId: assetId(),
  name: name(),
  widthPx: whole(1, 20_000, { title: 'Width', unit: 'px' }),
  heightPx: whole(1, 20_000, { title: 'Height', unit: 'px' }),
  opacity: between(0, 1, { title: 'Opacity', unit: 'share', initial: 1 }),
  shown: flag({ title: 'Shown', default: true }),
  pins: listOf(
    strict({
      px: between(-20_000, 40_000, { unit: 'px' }),
      py: between(-20_000, 40_000, { unit: 'px' }),
      xM: mapMetres(),
      yM: mapMetres(),
    }),
    3,
    { minItems: 2, title: 'Pins' },
  ),
});
export type PictureRow = Stored<typeof PictureSchema>;

export const AssetSchema = strict({
  id: assetId(),
  mime: oneOf(ASSET_MIMES),
  data: text(20_000_000, { description: 'Base64.' }),
});
