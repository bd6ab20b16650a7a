import type { HandlingName, Kit, Film } from '../model';
import { keeperRate, LEVEL_WORDS, levelOf, recordOf, takesFor } from '../pilot';
import { groupBy } from '../units';
import type { FilmPlan } from '../day';
import { pilotOf } from '../shot';

/** A move of the film as something to rehearse. */
export interface Rehearsal {
  readonly kind: string;
  readonly name: string;
  /** Numbers of the shots that ask for it. */
  readonly shots: readonly number[];
  readonly level: number;
  readonly word: string;
  readonly inputs: number;
  readonly rate: number;
  readonly takes: number;
  /** How to fly it first. */
  readonly how: 'simulator' | HandlingName;
  readonly where: string;
  readonly wanted: boolean;
}

/** From this level on a move needs no rehearsal. */
const STEADY = 3;
const MANY_INPUTS = 3;

const howTo = (level: number, inputs: number): Rehearsal['how'] =>
  level === 0 && inputs >= MANY_INPUTS ? 'simulator' : level <= 1 ? 'slow' : 'normal';

const whereTo = (direction: string, lowestM: number): string => {
  if (direction === 'with') return 'An open field with a helper who walks the line; nobody else near.';
  if (direction === 'around')
    return 'An open field about a cone or a bag, twice as wide and high as planned.';
  return lowestM < 4
    ? 'An open field, three times as high first, then down step by step.'
    : 'An open field, high and away from people and wires.';
};

/** Which moves of a film its pilot should rehearse, hardest and least practised first. Empty without a pilot. */
export const practiceSheet = (derived: FilmPlan, film: Film, kit: Kit): Rehearsal[] => {
  const pilot = pilotOf(film, kit);
  if (!pilot) return [];
  const flown = [...derived.shots.values()].filter((s) => s.facts.trajectory && s.facts.move);
  return [...groupBy(flown, (s) => s.facts.shot.move.kind)]
    .flatMap(([kind, shots]): Rehearsal[] => {
      const first = shots[0]?.facts;
      if (!first?.move) return [];
      const inputs = Math.max(...shots.map((s) => s.facts.trajectory?.simultaneous ?? 0));
      const level = levelOf(pilot, kit.practice, kind);
      const rate = keeperRate(level, recordOf(kit.practice, pilot.id, kind), inputs);
      return [
        {
          kind,
          name: first.move.name,
          shots: shots.map((s) => s.number),
          level,
          word: LEVEL_WORDS[level] ?? LEVEL_WORDS[0],
          inputs,
          rate,
          takes: takesFor(rate),
          how: howTo(level, inputs),
          where: whereTo(first.direction, Math.min(...shots.map((s) => s.facts.trajectory?.lowestM ?? 0))),
          wanted: level < STEADY,
        },
      ];
    })
    .sort((a, b) => Number(b.wanted) - Number(a.wanted) || a.level - b.level || b.inputs - a.inputs);
};
