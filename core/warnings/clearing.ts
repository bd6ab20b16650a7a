import { measured, message, type Message } from '../messages';
import { nearestAlong, type Solid } from '../clearance';
import type { Cure } from './types';
import { flyLayout, layoutOf, type Layout, type ShotParts } from '../shot';

type Values = Readonly<Record<string, number>>;

const HEIGHTS = new Set(['heightM', 'startHeightM', 'endHeightM']);
const DISTANCES = new Set(['radiusM', 'distanceM', 'startM', 'endM', 'startRadiusM', 'endRadiusM']);

const freeWith = (layout: Layout, parts: ShotParts, values: Values, solids: readonly Solid[]): number => {
  const path = flyLayout(layout, parts, values, 32);
  return path.ok
    ? (nearestAlong(
        path.value.samples.map((s) => s.pose.at),
        solids,
        200,
      )?.freeM ?? Infinity)
    : -Infinity;
};

const changed = (parts: ShotParts, of: ReadonlySet<string>, by: (value: number) => number): Values | null => {
  const { values } = parts.shot.move;
  const entries = Object.entries(values).filter(([id]) => of.has(id));
  return entries.length > 0
    ? { ...values, ...Object.fromEntries(entries.map(([id, v]) => [id, Math.round(by(v) * 10) / 10])) }
    : null;
};

const cure = (parts: ShotParts, say: Message, values: Values): Cure => ({
  say,
  set: { entity: 'shot', id: parts.shot.id, fields: { move: { ...parts.shot.move, values } } },
});

/**
 * Cures for a path that comes too near to something, each tried before it is offered: all heights raised, or all distances
 * drawn in, by the least of a series that leaves the wanted air free.
 * @param wantedM free air wanted about the middle of the aircraft, m
 */
export const clearing = (parts: ShotParts, solids: readonly Solid[], wantedM: number): Cure[] => {
  const layout = layoutOf(parts);
  const first = <T>(tries: readonly T[], make: (t: T) => Values | null, words: (t: T) => Message): Cure[] => {
    for (const t of tries) {
      const values = make(t);
      if (values && freeWith(layout, parts, values, solids) >= wantedM)
        return [cure(parts, words(t), values)];
    }
    return [];
  };
  const parameters = new Map((layout.move?.parameters ?? []).map((p) => [p.id, p]));
  const within = (values: Values | null): Values | null =>
    values &&
    Object.entries(values).every(([id, v]) => {
      const p = parameters.get(id);
      return !p || (v >= p.min && v <= p.max);
    })
      ? values
      : null;
  return [
    ...first(
      [3, 5, 8, 12, 16, 20, 30, 40, 60],
      (m) => within(changed(parts, HEIGHTS, (v) => v + m)),
      (m) => message('clearing.higher', { by: measured(m, 'metres') }),
    ),
    ...first(
      [0.9, 0.8, 0.7, 0.6, 0.5, 0.4],
      (k) => within(changed(parts, DISTANCES, (v) => v * k)),
      (k) => message('clearing.closer', { by: measured((1 - k) * 100, 'percent') }),
    ),
    ...first(
      [1.1, 1.25, 1.5, 2],
      (k) => within(changed(parts, DISTANCES, (v) => v * k)),
      (k) => message('clearing.farther', { by: measured((k - 1) * 100, 'percent') }),
    ),
  ].slice(0, 2);
};
