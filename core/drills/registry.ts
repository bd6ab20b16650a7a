import type { MoveValues } from '../model';

export const DRILL_IDS = [
  'hold-gusts',
  'slow-yaw',
  'orbit-left',
  'orbit-right',
  'reverse-orbit',
  'push-tilt',
  'reveal',
  'spiral',
  'track',
  'land-crosswind',
  'way-home',
] as const;
export type DrillId = (typeof DRILL_IDS)[number];

/** An exercise: a move with numbers of its own, flown again and again, harder by wind, speed and stick profile. */
export interface Drill {
  readonly id: DrillId;
  /** Kind of move it practises; tries count towards it. */
  readonly moveKind: string;
  readonly values: MoveValues;
  /** How long it lasts, for moves that last as long as the cut wants, s. */
  readonly seconds?: number;
  /** What is looked at: what the location has, a walker, a landing pad at the pilot's feet. */
  readonly looksAt: 'subject' | 'walker' | 'pad';
  /** Least wind on the second level, m/s; the first has half of it, the third more. */
  readonly leastWindMs: number;
  /** The picture is gone: it is flown by the map. */
  readonly blind: boolean;
}

const drill = (
  id: DrillId,
  moveKind: string,
  values: MoveValues,
  more: Partial<Omit<Drill, 'id' | 'moveKind' | 'values'>> = {},
): Drill => ({ id, moveKind, values, looksAt: 'subject', leastWindMs: 0, blind: false, ...more });

/** Every drill there is. Distances and speeds are own choices: short enough to be flown five times in five minutes. */
export const DRILLS: readonly Drill[] = [
  drill('hold-gusts', 'hold', { distanceM: 30, heightM: 12 }, { seconds: 20, leastWindMs: 5 }),
  drill('slow-yaw', 'pan', { distanceM: 60, heightM: 20, turnDeg: 60, rateDegS: 5 }),
  drill('orbit-left', 'part-orbit', { radiusM: 30, heightM: 12, arcDeg: 120, speedMs: 3, sense: 0 }),
  drill('orbit-right', 'part-orbit', { radiusM: 30, heightM: 12, arcDeg: 120, speedMs: 3, sense: 1 }),
  drill('reverse-orbit', 'orbit-and-back', {
    radiusM: 30,
    heightM: 12,
    arcDeg: 60,
    speedMs: 3,
    sense: 0,
  }),
  drill('push-tilt', 'low-to-high', {
    startM: 70,
    endM: 30,
    startHeightM: 3,
    endHeightM: 22,
    speedMs: 3,
  }),
  drill('reveal', 'rise-reveal', { startM: 2, endM: 22, distanceM: 60, speedMs: 2 }),
  drill('spiral', 'spiral-out', {
    startM: 18,
    endM: 40,
    startHeightM: 6,
    endHeightM: 25,
    turns: 0.5,
    speedMs: 3,
  }),
  drill(
    'track',
    'track',
    { lengthM: 60, startM: 15, endM: 15, startHeightM: 4, endHeightM: 4, speedMs: 3 },
    { looksAt: 'walker' },
  ),
  drill(
    'land-crosswind',
    'descend',
    { startM: 20, endM: 1.5, distanceM: 6, speedMs: 1.2 },
    { looksAt: 'pad', leastWindMs: 5 },
  ),
  drill(
    'way-home',
    'push-in',
    { startM: 100, endM: 10, heightM: 30, speedMs: 3 },
    { looksAt: 'pad', leastWindMs: 4, blind: true },
  ),
];
