import { Literal, Union } from '@sinclair/typebox';
import {
  between,
  flag,
  listOf,
  localDate,
  longText,
  oneOf,
  shortText,
  strict,
  text,
  uuid,
  type Stored,
} from './schema';

export const FEATURE_KIND_IDS = [
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
] as const;
/** What is drawn on the map of a location. */
export type FeatureKind = (typeof FEATURE_KIND_IDS)[number];
export const FEATURE_SHAPES = ['point', 'line', 'area'] as const;
export type FeatureShape = (typeof FEATURE_SHAPES)[number];

/** What a launch point stands on. */
export const FOOTINGS = ['ground', 'vehicle', 'boat'] as const;
export type Footing = (typeof FOOTINGS)[number];

/** How far from a location's origin things are drawn, m. */
export const mapMetres = () => between(-20_000, 20_000, { unit: 'm' });

/** Something drawn on the map of a location: where one flies from, what stands there, what is kept away from. */
export const FeatureSchema = strict({
  id: uuid(),
  locationId: uuid(),
  kind: oneOf(FEATURE_KIND_IDS, { title: 'Kind' }),
  name: text(200, { title: 'Name', initial: '' }),
  shape: oneOf(FEATURE_SHAPES, { title: 'Shape' }),
  points: listOf(strict({ xM: mapMetres(), yM: mapMetres() }), 2000, {
    minItems: 1,
    title: 'Points',
    description:
      'One place, the corners of a line, or the outline of an area without its first corner again.',
  }),
  heightM: between(0, 1000, {
    title: 'Height',
    unit: 'm',
    initial: 0,
    description: 'Above the ground it stands on.',
  }),
  radiusM: between(0, 1000, { title: 'Radius', unit: 'm', initial: 0 }),
  keepM: between(0, 5000, { title: 'Distance kept', unit: 'm', initial: 0 }),
  source: shortText({
    title: 'Source',
    initial: '',
    description: 'Where the knowledge of an area comes from.',
  }),
  until: Union([localDate(), Literal('')], { title: 'Valid until', initial: '' }),
  granted: flag({ title: 'Permission given', initial: false }),
  footing: oneOf(FOOTINGS, {
    title: 'Stands on',
    default: 'ground',
    description: 'What a launch point stands on; a vehicle or a boat moves the home point.',
  }),
  movesMs: between(0, 30, {
    title: 'Speed under way',
    unit: 'm/s',
    default: 0,
    description: 'How fast a vehicle or boat moves or drifts; 0 lies still.',
  }),
  movesDeg: between(0, 360, { title: 'Course', unit: 'deg', default: 0, description: 'Where it moves to.' }),
  notes: longText({ title: 'Notes', initial: '' }),
});
export type Feature = Stored<typeof FeatureSchema>;
