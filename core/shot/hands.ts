import type { HandlingName, Kit, Pilot, Film } from '../model';
import { calmestSticks } from '../sticks';
import { keeperRate, levelOf, recordOf, rehearsedSetUp, takesFor } from '../pilot';
import type { ShotFacts } from './facts';

/** What the film's pilot brings to a shot. */
export interface PilotSkill {
  readonly pilot: Pilot;
  /** Practised level of the move, 0 to 4. */
  readonly level: number;
  /** Chance that a take is a keeper. */
  readonly rate: number;
  /** Takes that give nine chances in ten of a keeper. */
  readonly takes: number;
  /** Share of the planned set-up that is left after rehearsing the move. */
  readonly setUpShare: number;
}

export const pilotOf = (film: Film, kit: Pick<Kit, 'pilots'>): Pilot | null =>
  kit.pilots.find((p) => p.id === film.pilotId) ?? null;

/** Level, keeper rate and takes of a shot for the film's pilot; null without one. */
export const pilotSkillOf = (facts: ShotFacts, kit: Pick<Kit, 'pilots' | 'practice'>): PilotSkill | null => {
  const pilot = pilotOf(facts.film, kit);
  if (!pilot || !facts.trajectory) return null;
  const { kind } = facts.shot.move;
  const level = levelOf(pilot, kit.practice, kind);
  const rate = keeperRate(level, recordOf(kit.practice, pilot.id, kind), facts.trajectory.simultaneous);
  return {
    pilot,
    level,
    rate,
    takes: takesFor(rate),
    setUpShare: rehearsedSetUp(kit.practice, pilot.id, kind),
  };
};

/** The calmest stick setting of its aircraft that gives what a shot asks; null where none does, or it has no path. */
export const suggestedSticks = ({
  aircraft,
  trajectory,
}: Pick<ShotFacts, 'aircraft' | 'trajectory'>): HandlingName | null =>
  aircraft && trajectory
    ? calmestSticks(aircraft.handling, {
        speedMs: trajectory.peakSpeedMs,
        yawDegS: trajectory.peakYawDegS,
        tiltDegS: trajectory.peakTiltDegS,
      })
    : null;
