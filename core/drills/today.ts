import type { Pilot, Practice } from '../model';
import { levelOf } from '../pilot';
import { DRILL_LEVELS, type DrillLevel } from './fly';
import { DRILLS, type Drill } from './registry';

/** Good tries on one level that lead to the next. Own choice. */
export const TRIES_A_LEVEL = 3;
/** Drills of a day: about five minutes with two or three tries each. */
const A_DAY = 3;
/** What counts beside how well a move is known: that the film asks for it, and that it rested. */
const ASKED = 2;
const REST_DAYS = 3;
const DAY_MS = 86_400_000;

const ownOf = (practice: readonly Practice[], pilotId: string, drill: Drill): readonly Practice[] =>
  practice.filter((p) => p.pilotId === pilotId && p.drillId === drill.id);

/** How a pilot stands with a drill. */
export interface DrillRecord {
  readonly level: DrillLevel;
  readonly tries: number;
  readonly keepers: number;
  /** Best mark; null before the first try. */
  readonly best: number | null;
  readonly lastMs: number | null;
}

/** Level, tries and best mark of a pilot at a drill: three good tries lead to the next level. */
export const drillRecord = (practice: readonly Practice[], pilotId: string, drill: Drill): DrillRecord => {
  const own = ownOf(practice, pilotId, drill);
  const keepers = own.reduce((sum, p) => sum + p.keepers, 0);
  const marks = own.flatMap((p) => p.mark ?? []);
  return {
    level: DRILL_LEVELS[Math.min(DRILL_LEVELS.length - 1, Math.floor(keepers / TRIES_A_LEVEL))] ?? 1,
    tries: own.reduce((sum, p) => sum + p.tries, 0),
    keepers,
    best: marks.length > 0 ? Math.max(...marks) : null,
    lastMs: own.length > 0 ? Math.max(...own.map((p) => p.utcMs)) : null,
  };
};

/**
 * Drills for today, most wanted first: moves the pilot is least sure of, those of the film before others, what was flown in the
 * last days later.
 * @param asked kinds of move the shot list has
 */
export const drillsForToday = (
  pilot: Pilot | null,
  practice: readonly Practice[],
  asked: ReadonlySet<string>,
  nowMs: number,
): readonly Drill[] => {
  const wanted = (drill: Drill): number => {
    const { level, lastMs } = drillRecord(practice, pilot?.id ?? '', drill);
    const rested = lastMs === null ? 1 : Math.min(1, (nowMs - lastMs) / DAY_MS / REST_DAYS);
    return (
      4 -
      levelOf(pilot, practice, drill.moveKind) +
      (asked.has(drill.moveKind) ? ASKED : 0) -
      level +
      2 * rested
    );
  };
  return DRILLS.map((drill, i) => ({ drill, i, w: wanted(drill) }))
    .sort((a, b) => b.w - a.w || a.i - b.i)
    .slice(0, A_DAY)
    .map(({ drill }) => drill);
};
