import { measured, message, yesNo, type Name } from '../messages';
import { inRing } from '../geometry';
import { topAt } from '../clearance';
import { isAboard, isUnderWay, launchFeature, spotsOf, featureName } from '../site';
import { inBox } from '../geometry';
import { extentOf, rangeOf } from '../terrain';
import type { Warning } from './types';
import { launchOf, type Scene } from '../location';

/** A usual flight, by which drift is told, min. */
const FLIGHT_MIN = 10;

interface LaunchSpot {
  readonly id: string | null;
  readonly name: Name;
  readonly x: number;
  readonly y: number;
}

/** Every launch point of a location: the one shots are flown from that name none, then the others. */
const launchSpots = ({ features, ground, location }: Scene): LaunchSpot[] => {
  const main = launchOf(features, ground, location, null);
  return [
    { id: main.id, name: main.name, x: main.at.x, y: main.at.y },
    ...features
      .filter((f) => f.kind === 'launch' && f.id !== main.id)
      .flatMap((f) =>
        spotsOf(f)
          .slice(0, 1)
          .map((s) => ({ id: f.id, name: featureName(f), ...s })),
      ),
  ];
};

const ofLaunch = (scene: Scene, spot: LaunchSpot): Warning[] => {
  const subject = { kind: 'location', id: scene.location.id } as const;
  const warnings: Warning[] = [];
  const launch = launchFeature(scene.features, spot.id);
  if (launch && isUnderWay(launch))
    warnings.push({
      code: 'site.launch-under-way',
      severity: 'care',
      subject,
      say: message('site.launch-under-way.say', {
        spot: spot.name,
        metres: measured(launch.movesMs * 60 * FLIGHT_MIN, 'metres', 0),
        minutes: measured(FLIGHT_MIN, 'minutes', 0),
      }),
      why: message('site.launch-under-way.why'),
      cures: [{ say: message('site.launch-under-way.cure') }],
    });
  const zone = scene.zones.find(
    (f) =>
      (f.kind === 'no-fly' ||
        (f.kind === 'permission' && !f.granted) ||
        (f.kind === 'water' && !isAboard(launch))) &&
      f.shape === 'area' &&
      inRing(spotsOf(f), spot.x, spot.y),
  );
  if (zone)
    warnings.push({
      code: `site.launch-${zone.kind}`,
      severity: 'stop',
      subject,
      say: message('location-site-warnings.say', {
        spot: spot.name,
        zone: featureName(zone),
      }),
      why:
        zone.kind === 'water'
          ? message('location-site-warnings.why')
          : message('location-site-warnings.why.else', {
              isSource: yesNo(Boolean(zone.source)),
              source: zone.source,
            }),
      cures: [{ say: message('location-site-warnings.cure') }],
    });
  const under = scene.solids.find((s) => s.ring && topAt(s, spot.x, spot.y) > -Infinity);
  if (under)
    warnings.push({
      code: 'site.launch-under',
      severity: 'stop',
      subject,
      say: message('site.launch-under.say', { spot: spot.name, under: under.name }),
      why: message('site.launch-under.why'),
      cures: [{ say: message('site.launch-under.cure') }],
    });
  return warnings;
};

const ofGrid = (scene: Scene): Warning[] => {
  const subject = { kind: 'location', id: scene.location.id } as const;
  const warnings: Warning[] = [];
  const { grid } = scene.ground;
  if (grid) {
    const { holes } = rangeOf(grid);
    if (!inBox(extentOf(grid), 0, 0))
      warnings.push({
        code: 'site.grid-away',
        severity: 'care',
        subject,
        say: message('site.grid-away.say'),
        why: message('site.grid-away.why'),
        cures: [{ say: message('site.grid-away.cure') }],
      });
    else if (holes > 0.02)
      warnings.push({
        code: 'site.grid-holes',
        severity: 'note',
        subject,
        say: message('site.grid-holes.say', { holes: measured(holes * 100, 'percent', 0) }),
        why: message('site.grid-holes.why'),
        cures: [],
      });
  }
  return warnings;
};

/** What is to be said of the launch points and the ground of a place by themselves. */
export const locationSiteWarnings = (scene: Scene): Warning[] => [
  ...launchSpots(scene).flatMap((spot) => ofLaunch(scene, spot)),
  ...ofGrid(scene),
];
