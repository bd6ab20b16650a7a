import { message, type Name } from '../messages';
import { onGround, spotsOf, featureName } from '../site';
import type { Feature, Location, Shot } from '../model';
import { LEVEL_GROUND, type Ground } from '../terrain';
import { vec, type Vec3 } from '../geometry';

const featureOf = (
  features: readonly Feature[],
  id: string | null,
  kind: Feature['kind'],
): Feature | undefined => features.find((f) => f.id === id && f.kind === kind);

/** Launch point a shot is flown from: its own choice, else the place's, else the origin. On the ground. */
export const launchOf = (
  features: readonly Feature[],
  ground: Ground | undefined,
  location: Location,
  shot: Pick<Shot, 'launchId'> | null,
): { readonly id: string | null; readonly name: Name; readonly at: Vec3 } => {
  const feature =
    featureOf(features, shot?.launchId ?? null, 'launch') ?? featureOf(features, location.launchId, 'launch');
  const [spot] = feature ? spotsOf(feature) : [];
  return spot && feature
    ? {
        id: feature.id,
        name: featureName(feature),
        at: onGround(ground ?? LEVEL_GROUND, spot.x, spot.y),
      }
    : { id: null, name: message('thing.launch'), at: vec(0, 0, 0) };
};
