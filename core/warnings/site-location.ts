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
        say: `${spot.name} lies inside ${zone.name || featureWords(zone.kind).name}.`,
        why:
          zone.kind === 'water'
            ? 'Nobody launches from water.'
            : `${zone.source ? `Noted from: ${zone.source}. ` : ''}Check the local rule.`,
        cures: [{ say: 'Launch from outside of it, or ask first.' }],
      });
    const under = scene.solids.find((s) => s.ring && topAt(s, spot.x, spot.y) > -Infinity);
    if (under)
      warnings.push({
        code: 'site.launch-under',
        severity: 'stop',
        subject,
        say: `${spot.name} lies under ${under.name}.`,
        why: 'A launch point needs open sky above it.',
        cures: [{ say: 'Move it into the open.' }],
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
        say: 'The height grid does not cover the launch point.',
        why: 'Heights count from the ground there.',
        cures: [{ say: 'Bring a grid of this place.' }],
      });
    else if (holes > 0.02)
      warnings.push({
        code: 'site.grid-holes',
        severity: 'note',
        subject,
        say: `${(holes * 100).toFixed(0)} % of the height grid is unknown.`,
        why: 'Where nothing is known, nothing is checked.',
        cures: [],
      });
  }
  return warnings;
};
