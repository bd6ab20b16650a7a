import { flatLength } from './vector';

/** A place on the map, local metres. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Whether a place lies inside a closed outline, by counting crossings of a ray east (Shimrat, Comm. ACM 5(8), 1962). */
export const inRing = (ring: readonly Spot[], x: number, y: number): boolean => {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const a = ring[i];
    const b = ring[j];
    if (a && b && a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
};

/** Share of the way from a to b that is nearest to a place, 0–1. */
export const nearestShare = (
  ax: number,
  ay: number,
  bx: number,
  by: number,
  x: number,
  y: number,
): number => {
  const [dx, dy] = [bx - ax, by - ay];
  const square = dx * dx + dy * dy;
  return square > 0 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / square)) : 0;
};

/** Distance from a place to a straight line between two others, m. */
export const toSegment = (a: Spot, b: Spot, x: number, y: number): number => {
  const u = nearestShare(a.x, a.y, b.x, b.y, x, y);
  return flatLength(x - a.x - (b.x - a.x) * u, y - a.y - (b.y - a.y) * u);
};

/** Distance from a place to a line of places, or to the outline of an area: 0 inside it. m; Infinity without places. */
export const toShape = (spots: readonly Spot[], closed: boolean, x: number, y: number): number => {
  const [first] = spots;
  if (!first) return Infinity;
  if (spots.length === 1) return flatLength(x - first.x, y - first.y);
  if (closed && inRing(spots, x, y)) return 0;
  let least = Infinity;
  for (let i = closed ? 0 : 1; i < spots.length; i += 1) {
    const [a, b] = [spots[(i + spots.length - 1) % spots.length], spots[i]];
    if (a && b) least = Math.min(least, toSegment(a, b, x, y));
  }
  return least;
};

const side = (a: Spot, b: Spot, c: Spot): number =>
  Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x));

/** Shares of both lines at which they cross, or null. */
export const crossing = (
  a: Spot,
  b: Spot,
  c: Spot,
  d: Spot,
): { readonly first: number; readonly second: number } | null => {
  const bottom = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
  if (bottom === 0) return null;
  const first = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / bottom;
  const second = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / bottom;
  return first >= 0 && first <= 1 && second >= 0 && second <= 1 ? { first, second } : null;
};

/** Whether an outline crosses itself: then it has no clear inside. */
export const crossesItself = (ring: readonly Spot[]): boolean => {
  const n = ring.length;
  for (let i = 0; i < n; i += 1)
    for (let j = i + 2; j < n; j += 1) {
      if (i === 0 && j === n - 1) continue;
      const [a, b, c, d] = [ring[i], ring[i + 1], ring[j], ring[(j + 1) % n]];
      if (a && b && c && d && side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0)
        return true;
    }
  return false;
};

/** Area inside an outline, m², by the shoelace formula; sign dropped. */
export const areaOf = (ring: readonly Spot[]): number =>
  Math.abs(
    ring.reduce((sum, a, i) => {
      const b = ring[(i + 1) % ring.length] ?? a;
      return sum + a.x * b.y - b.x * a.y;
    }, 0),
  ) / 2;
