import type { FeatureKind, FeatureShape } from '../model';

/** A kind of thing on the plan: how it is drawn, what it carries, what it means to a flight. One entry each, one list. */
export interface FeatureWords {
  readonly kind: FeatureKind;
  readonly name: string;
  /** Shapes it may have; the first is drawn where nothing else is asked. */
  readonly shapes: readonly FeatureShape[];
  readonly group: 'flying' | 'standing' | 'zone';
  /** Stands up and can be hit; hides what is behind it; is overhead of what is below. */
  readonly stands: boolean;
  readonly opaque: boolean;
  readonly heightM: number;
  readonly radiusM: number;
  /** Distance kept from it, m; 0 where it is only not to be crossed. */
  readonly keepM: number;
  readonly says: string;
}

const plain = { stands: false, opaque: false, heightM: 0, radiusM: 0, keepM: 0 } as const;

/** Every kind there is, in the order they are offered. */
export const FEATURE_KINDS: readonly FeatureWords[] = [
  {
    ...plain,
    kind: 'launch',
    name: 'Launch point',
    shapes: ['point'],
    group: 'flying',
    says: 'Where the aircraft takes off and comes home to.',
  },
  {
    ...plain,
    kind: 'stand',
    name: 'Pilot stands',
    shapes: ['point'],
    group: 'flying',
    says: 'Where the pilot stands, if not at the launch point.',
  },
  {
    ...plain,
    kind: 'plan-b',
    name: 'Plan-B landing',
    shapes: ['point'],
    group: 'flying',
    says: 'Where to put it down if the way home is cut off.',
  },
  {
    ...plain,
    kind: 'walk',
    name: 'Way on foot',
    shapes: ['line'],
    group: 'flying',
    says: 'A way the pilot or a helper walks.',
  },
  {
    ...plain,
    kind: 'mast',
    name: 'Mast or pole',
    shapes: ['point'],
    group: 'standing',
    stands: true,
    heightM: 12,
    radiusM: 0.5,
    says: 'Thin and tall; its stays reach wider than it looks.',
  },
  {
    ...plain,
    kind: 'tree',
    name: 'Tree',
    shapes: ['point'],
    group: 'standing',
    stands: true,
    opaque: true,
    heightM: 14,
    radiusM: 4,
    says: 'One tree with its crown.',
  },
  {
    ...plain,
    kind: 'wire',
    name: 'Wire',
    shapes: ['line'],
    group: 'standing',
    stands: true,
    heightM: 9,
    radiusM: 0.5,
    says: 'Wires on poles. Everything under them counts as taken.',
  },
  {
    ...plain,
    kind: 'wood',
    name: 'Wood',
    shapes: ['area'],
    group: 'standing',
    stands: true,
    opaque: true,
    heightM: 18,
    says: 'Trees as high as the tallest of them.',
  },
  {
    ...plain,
    kind: 'building',
    name: 'Building',
    shapes: ['area'],
    group: 'standing',
    stands: true,
    opaque: true,
    heightM: 8,
    says: 'Up to the ridge, not the gutter.',
  },
  {
    ...plain,
    kind: 'no-fly',
    name: 'No-fly area',
    shapes: ['area'],
    group: 'zone',
    says: 'Not to be flown into. Where you have it from goes with it.',
  },
  {
    ...plain,
    kind: 'permission',
    name: 'Permission needed',
    shapes: ['area'],
    group: 'zone',
    says: 'May be flown into once somebody has said yes.',
  },
  {
    ...plain,
    kind: 'people',
    name: 'People',
    shapes: ['area', 'point'],
    group: 'zone',
    radiusM: 5,
    keepM: 30,
    says: 'People who are not part of the shoot.',
  },
  {
    ...plain,
    kind: 'animals',
    name: 'Animals',
    shapes: ['area', 'point'],
    group: 'zone',
    radiusM: 5,
    keepM: 60,
    says: 'Animals that would be driven up.',
  },
  {
    ...plain,
    kind: 'water',
    name: 'Water',
    shapes: ['area'],
    group: 'zone',
    says: 'What falls in is gone, with what it filmed.',
  },
];

const byKind = new Map<string, FeatureWords>(FEATURE_KINDS.map((k) => [k.kind, k]));

/** Words of a kind. */
export const featureWords = (kind: string): FeatureWords => {
  const known = byKind.get(kind);
  if (!known) throw new RangeError(`no such kind on the plan: ${kind}`);
  return known;
};

export const isFeatureKind = (kind: string): kind is FeatureKind => byKind.has(kind);
