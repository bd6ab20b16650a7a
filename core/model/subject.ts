import { above, between, listOf, name, oneOf, strict, uuid, type Stored } from './schema';

export const SUBJECT_KINDS = [
  'person',
  'vehicle',
  'train',
  'boat',
  'trees',
  'house',
  'tower',
  'bridge',
  'field',
  'other',
] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];

const metres = () => between(-5000, 5000, { unit: 'm' });

export const SubjectSchema = strict({
  id: uuid(),
  locationId: uuid(),
  name: name({ initial: 'New subject' }),
  kind: oneOf(SUBJECT_KINDS, { title: 'Kind', initial: 'house' }),
  xM: between(-5000, 5000, {
    title: 'East',
    unit: 'm',
    initial: 0,
    description: 'East of the location’s origin.',
  }),
  yM: between(-5000, 5000, {
    title: 'North',
    unit: 'm',
    initial: 60,
    description: 'North of the location’s origin.',
  }),
  baseM: between(-500, 500, {
    title: 'Base',
    unit: 'm',
    initial: 0,
    description: 'Its foot above (+) or below (−) the launch point.',
  }),
  heightM: above(0, 500, { title: 'Height', unit: 'm', initial: 8 }),
  widthM: above(0, 2000, {
    title: 'Length',
    unit: 'm',
    initial: 10,
    description: 'Along its heading, or its long side.',
  }),
  depthM: between(0, 2000, {
    title: 'Depth',
    unit: 'm',
    default: 0,
    description: 'Across the long side; 0 takes what is usual for its kind.',
  }),
  headingDeg: between(0, 360, {
    title: 'Heading',
    unit: 'deg',
    default: 90,
    description: 'Bearing it moves on, or of its long side when it stands.',
  }),
  speedMs: between(0, 60, { title: 'Speed', unit: 'm/s', default: 0 }),
  path: listOf(strict({ xM: metres(), yM: metres() }), 200, {
    title: 'Path',
    default: [],
    description: 'Where it goes, if not straight along its heading.',
  }),
});

export type Subject = Stored<typeof SubjectSchema>;
