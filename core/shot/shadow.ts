import { spotsOf, featureWords } from '../site';
import type { Feature, Subject } from '../model';
import type { SunPosition } from '../light';
import { radians, vec, type Vec3 } from '../geometry';
import { footprint } from './subject';

/** Longest shadow drawn, m: near the horizon they have no end. */
const LONGEST_M = 220;

const thrown = (ring: readonly { x: number; y: number }[], heightM: number, sun: SunPosition): Vec3[][] => {
  const length = Math.min(LONGEST_M, heightM / Math.tan(radians(sun.altitudeDeg)));
  const away = radians(sun.azimuthDeg + 180);
  const [dx, dy] = [Math.sin(away) * length, Math.cos(away) * length];
  const sides = ring.map((b, i) => {
    const a = ring[(i + ring.length - 1) % ring.length] ?? b;
    return [vec(a.x, a.y, 0), vec(b.x, b.y, 0), vec(b.x + dx, b.y + dy, 0), vec(a.x + dx, a.y + dy, 0)];
  });
  return [...sides, ring.map((p) => vec(p.x + dx, p.y + dy, 0))];
};

/** Shadows of what stands at a place, on level ground, as outlines that overlap; none with the sun down. */
export const shadowsOf = (
  subjects: readonly Subject[],
  things: readonly Feature[],
  sun: SunPosition,
): Vec3[][] => {
  if (sun.altitudeDeg < 0.5) return [];
  return [
    ...subjects.filter((s) => s.kind !== 'field').flatMap((s) => thrown(footprint(s), s.heightM, sun)),
    ...things
      .filter((f) => f.shape === 'area' && featureWords(f.kind).stands)
      .flatMap((f) => thrown(spotsOf(f), f.heightM, sun)),
  ];
};
