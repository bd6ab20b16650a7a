import type { Feature, FeatureKind } from '../model';
import { featureWords } from './kinds';

/** A thing drawn on the map as it begins: with the height, radius and distance kept that are usual for its kind. */
export const newFeature = (
  kind: FeatureKind,
  given: Pick<Feature, 'id' | 'locationId' | 'points' | 'shape'> & Partial<Feature>,
): Feature => {
  const { heightM, radiusM, keepM } = featureWords(kind);
  return {
    kind,
    name: '',
    heightM,
    radiusM,
    keepM,
    source: '',
    until: '',
    granted: false,
    footing: 'ground',
    movesMs: 0,
    movesDeg: 0,
    notes: '',
    ...given,
  };
};
