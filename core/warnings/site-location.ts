import { measured, message, yesNo } from '../messages';
import { inRing } from '../geometry';
import { topAt } from '../clearance';
import { featureWords, spotsOf } from '../site';
import { extentOf, rangeOf } from '../terrain';
import type { Warning } from './types';
import { launchOf, type Scene } from '../location';

/** What is to be said of the launch points and the ground of a place by themselves. */
export const locationSiteWarnings = (scene: Scene): Warning[] => {
  const { location } = scene;
  const subject = { kind: 'location', id: location.id } as const;
  const warnings: Warning[] = [];
  const launches = scene.features.filter((f) => f.kind === 'launch');
  const main = launchOf(scene.features, scene.ground, location, null);
  const spots = [
    { id: main.id, name: main.name, x: main.at.x, y: main.at.y },
    ...launches
      .filter((f) => f.id !== main.id)
      .flatMap((f) =>
        spotsOf(f)
          .slice(0, 1)
          .map((s) => ({ id: f.id, name: f.name || 'A launch point', ...s })),
      ),
  ];
  for (const spot of spots) {
    const zone = scene.zones.find(
      (f) =>
        (f.kind === 'no-fly' || (f.kind === 'permission' && !f.granted) || f.kind === 'water') &&
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
          zone: zone.name || featureWords(zone.kind).name,
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
  }
  const { grid } = scene.ground;
  if (grid) {
    const { west, south, east, north } = extentOf(grid);
    const { holes } = rangeOf(grid);
    if (west > 0 || east < 0 || south > 0 || north < 0)
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
