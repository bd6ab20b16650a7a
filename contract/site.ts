import { Type } from '@sinclair/typebox';
import { Between, filled, LocalDate, Name, OneOf, ShortText, strict, Text, Uuid, Whole } from './parts';

/** Content of a file kept beside the rows, named by its SHA-256. */
export const AssetId = Type.String({ pattern: '^[0-9a-f]{64}$' });

/** How far from a location's origin things are drawn, m. */
const Metres = Between(-20_000, 20_000);

/** Something drawn on the plan of a place: where one flies from, what stands there, what is kept away from. */
export const FeatureSchema = strict({
  id: Uuid,
  locationId: Uuid,
  kind: OneOf(
    'launch',
    'stand',
    'plan-b',
    'walk',
    'mast',
    'tree',
    'wire',
    'wood',
    'building',
    'no-fly',
    'permission',
    'people',
    'animals',
    'water',
  ),
  name: Type.String({ maxLength: 200 }),
  shape: OneOf('point', 'line', 'area'),
  points: Type.Array(strict({ xM: Metres, yM: Metres }), { minItems: 1, maxItems: 2000 }),
  heightM: Between(0, 1000),
  radiusM: Between(0, 1000),
  /** Distance to keep, m. */
  keepM: Between(0, 5000),
  source: ShortText,
  /** Date until which it holds; empty when nobody said. */
  until: Type.Union([LocalDate, Type.Literal('')]),
  granted: Type.Boolean(),
  notes: Text,
});

/** Ground of a place: where its raster of heights lies; the heights are in a file. */
export const GroundSchema = strict({
  id: Uuid,
  locationId: Uuid,
  assetId: AssetId,
  name: Name,
  columns: Whole(2, 4000),
  rows: Whole(2, 4000),
  cellM: Between(0.05, 5000),
  westM: Between(-100_000, 100_000),
  southM: Between(-100_000, 100_000),
  lowM: Between(-12_000, 10_000),
  highM: Between(-12_000, 10_000),
});

/** A picture laid under the plan, pinned at two or three places. */
export const PictureSchema = strict({
  id: Uuid,
  locationId: Uuid,
  assetId: AssetId,
  name: Name,
  widthPx: Whole(1, 20_000),
  heightPx: Whole(1, 20_000),
  opacity: Between(0, 1),
  shown: filled(Type.Boolean(), true),
  pins: Type.Array(
    strict({ px: Between(-20_000, 40_000), py: Between(-20_000, 40_000), xM: Metres, yM: Metres }),
    { minItems: 2, maxItems: 3 },
  ),
});

export const AssetSchema = strict({
  id: AssetId,
  mime: OneOf('image/png', 'image/jpeg', 'image/webp', 'application/x-heights'),
  /** Base64. */
  data: Type.String({ maxLength: 20_000_000 }),
});
export type AssetMime = 'image/png' | 'image/jpeg' | 'image/webp' | 'application/x-heights';
export const ASSET_MIMES: readonly AssetMime[] = [
  'image/png',
  'image/jpeg',
  'image/webp',
  'application/x-heights',
];
/** Largest file kept beside the rows, bytes. */
export const ASSET_LIMIT = 12_000_000;
