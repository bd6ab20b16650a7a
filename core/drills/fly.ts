import { newRow, type HandlingName, type Location, type MoveValues, type Shot, type Subject } from '../model';
import { changeMoveKind } from '../moves';
import { aimOf, shotFacts, type ShotFacts, type ShotLight } from '../shot';
import { locationAt } from '../weather';
import type { Drill } from './registry';

export const DRILL_LEVELS = [1, 2, 3] as const;
export type DrillLevel = (typeof DRILL_LEVELS)[number];

/** How much of the wind and of the least wind, how fast, on which sticks a level is flown. Own choice. */
const HARD: Readonly<
  Record<DrillLevel, { wind: number; least: number; speed: number; handling: HandlingName }>
> = {
  1: { wind: 0.5, least: 0.5, speed: 0.75, handling: 'slow' },
  2: { wind: 1, least: 1, speed: 1, handling: 'normal' },
  3: { wind: 1.6, least: 1.4, speed: 1.3, handling: 'fast' },
};
/** Gusts over the mean wind where a drill brings its own. */
const GUST_FACTOR = 1.5;

export const drillHandling = (level: DrillLevel): HandlingName => HARD[level].handling;

const PAD = { xM: 0, yM: 0, baseM: 0, heightM: 0.2, widthM: 1, headingDeg: 0, speedMs: 0 } as const;
/** Stands in where a location has nothing to look at, m from the launch point. */
const MARK = { ...PAD, yM: 40, heightM: 6, widthM: 6 } as const;
const WALKER = { heightM: 1.8, widthM: 0.6 } as const;

const lookedAt = (drill: Drill, level: DrillLevel, { subject, location }: ShotFacts): Subject => {
  const some = subject ?? newRow('subject', { id: location.id, locationId: location.id, ...MARK });
  if (drill.looksAt === 'pad') return { ...some, ...PAD, path: [] };
  if (drill.looksAt === 'walker')
    return { ...some, ...WALKER, path: [], speedMs: (drill.values['speedMs'] ?? 3) * HARD[level].speed };
  return some;
};

/** The air of a drill: that of the shot's minute, more or less of it by its level, and its own where it wants some. */
const airOf = (
  drill: Drill,
  level: DrillLevel,
  { location }: ShotFacts,
  light: ShotLight | null,
): Location => {
  const there = light ? locationAt(location, light.atMs) : location;
  const { wind, least } = HARD[level];
  const windMs = Math.max(drill.leastWindMs * least, there.windMs * wind);
  return { ...there, windMs, gustMs: Math.max(windMs * GUST_FACTOR, there.gustMs * wind) };
};

const shotOf = (drill: Drill, level: DrillLevel, { shot }: ShotFacts, subject: Subject): Shot | null => {
  const plain = {
    ...newRow('shot', { id: shot.id, locationId: shot.locationId, position: shot.position }).move,
  };
  const move = changeMoveKind(plain, drill.moveKind, aimOf(subject));
  if (!move) return null;
  const { speedMs } = drill.values;
  const faster: MoveValues = speedMs === undefined ? {} : { speedMs: speedMs * HARD[level].speed };
  const cut = { timelineS: drill.seconds ?? 6, speedFactor: 1, endFactor: null };
  return {
    ...shot,
    title: '',
    overGround: false,
    handling: drillHandling(level),
    move: { ...move, values: { ...move.values, ...drill.values, ...faster } },
    cut: { by: 'seconds', beats: 8, segments: [cut] },
  };
};

/**
 * A drill as it is flown at a shot's location, with its aircraft and camera: facts as those of any shot.
 * @param light of the shot, for the wind of its minute
 * @returns none where the move describes no path there
 */
export const drillFacts = (
  drill: Drill,
  level: DrillLevel,
  facts: ShotFacts,
  light: ShotLight | null,
): ShotFacts | null => {
  const subject = lookedAt(drill, level, facts);
  const shot = shotOf(drill, level, facts, subject);
  if (!shot) return null;
  const { film, aircraft, ground, surfaceAt } = facts;
  const location = airOf(drill, level, facts, light);
  const flown = shotFacts({ shot, film, location, subject, aircraft, ground, surfaceAt });
  return flown.trajectory ? flown : null;
};
